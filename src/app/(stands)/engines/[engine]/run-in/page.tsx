import { runInOf } from '@/features/run-in/queries';
import { RunInSheet } from '@/features/run-in/run-in-sheet';
import { nowMs } from '@/server/clock';
import { engineStateAt, type EngineParams } from '@/server/engine-at';

export default async function RunInPage({ params }: EngineParams) {
  const state = await engineStateAt(params);
  const now = nowMs();
  return <RunInSheet engineId={state.engine.id} now={now} {...runInOf(state, now)} />;
}
