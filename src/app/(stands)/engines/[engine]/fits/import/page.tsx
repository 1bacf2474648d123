import type { Metadata } from 'next';
import { ReadingsImportScreen } from '@/features/fits/import-screen';
import { engineAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'A table of readings' };

export default async function ReadingsImportPage({ params }: EngineParams) {
  const { engine } = await engineAt(params);
  return <ReadingsImportScreen engineId={engine.id} />;
}
