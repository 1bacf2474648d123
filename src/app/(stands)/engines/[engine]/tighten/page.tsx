import type { Metadata } from 'next';
import { tightenLines } from '@/features/bench/queries';
import { TightenScreen } from '@/features/bench/tighten-screen';
import { nowMs } from '@/server/clock';
import { engineStateAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Tighten' };

export default async function TightenPage({ params }: EngineParams) {
  const state = await engineStateAt(params);
  return <TightenScreen engineId={state.engine.id} lines={tightenLines(state, nowMs())} />;
}
