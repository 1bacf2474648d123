import { tightenLines } from '@/features/bench/queries';
import { TightenSheet } from '@/features/bench/tighten-sheet';
import { nowMs } from '@/server/clock';
import { engineStateAt, type EngineParams } from '@/server/engine-at';

export default async function TightenPage({ params }: EngineParams) {
  const state = await engineStateAt(params);
  return <TightenSheet engineId={state.engine.id} lines={tightenLines(state, nowMs())} />;
}
