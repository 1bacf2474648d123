import type { Metadata } from 'next';
import { PartsImportScreen } from '@/features/tray/parts-import-screen';
import { engineAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Parts in' };

export default async function PartsImportPage({ params }: EngineParams) {
  const { engine } = await engineAt(params);
  return <PartsImportScreen engineId={engine.id} />;
}
