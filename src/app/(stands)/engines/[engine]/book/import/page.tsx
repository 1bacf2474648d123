import type { Metadata } from 'next';
import { ImportScreen } from '@/features/book/import-screen';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'A table of figures' };

export default async function ImportPage({ params }: EngineParams) {
  const { engine, sources } = (await engineRowsAt(params)).rows;
  return <ImportScreen engineId={engine.id} sources={sources.filter(({ aside }) => aside === undefined)} />;
}
