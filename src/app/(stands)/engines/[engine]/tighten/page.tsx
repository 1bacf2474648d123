import { tightenLines } from '@/features/bench/queries';
import { TightenSheet } from '@/features/bench/tighten-sheet';
import { nowMs } from '@/server/clock';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function TightenPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <TightenSheet engineId={engine.id} lines={tightenLines(shop, engine, nowMs())} />;
}
