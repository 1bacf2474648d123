import { RingsSheet } from '@/features/measures/rings-sheet';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function RingsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <RingsSheet engineId={engine.id} kept={shop.measures.latest(engine.id, 'clocking')} />;
}
