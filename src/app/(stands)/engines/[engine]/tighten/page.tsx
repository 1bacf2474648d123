import type { Metadata } from 'next';
import { tightenLines } from '@/features/bench/queries';
import { TightenScreen } from '@/features/bench/tighten-screen';
import { inColumns } from '@/interface/shell/in-columns';
import { nowMs } from '@/server/clock';
import { engineStateAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Tighten' };

export default async function TightenPage({ params }: EngineParams) {
  const state = await engineStateAt(params);
  return <TightenScreen sent={inColumns({ engineId: state.engine.id, lines: tightenLines(state, nowMs()) })} />;
}
