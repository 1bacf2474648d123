import type { Metadata } from 'next';
import { runInOf } from '@/features/run-in/queries';
import { RunInScreen } from '@/features/run-in/run-in-screen';
import { nowMs } from '@/server/clock';
import { engineStateAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Run-in' };

export default async function RunInPage({ params }: EngineParams) {
  const state = await engineStateAt(params);
  const now = nowMs();
  return <RunInScreen engineId={state.engine.id} now={now} {...runInOf(state, now)} />;
}
