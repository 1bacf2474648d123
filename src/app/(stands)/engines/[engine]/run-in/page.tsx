import type { Metadata } from 'next';
import { runInOf, settledJoints, warmHeads } from '@/features/run-in/queries';
import { RunInScreen } from '@/features/run-in/run-in-screen';
import { engineStateOf } from '@/model/engine/engine-rows';
import { nowMs } from '@/server/clock';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';
import { shelvesOnce } from '@/server/request-reads';

export const metadata: Metadata = { title: 'Run-in' };

export default async function RunInPage({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  const now = nowMs();
  const state = engineStateOf(rows);
  const shelves = shelvesOnce(shop);
  const runIn = runInOf(state, now, warmHeads(rows, shelves, now));
  const settled = settledJoints(rows, state.joints, shelves, now);
  return <RunInScreen engineId={rows.engine.id} now={now} {...runIn} settled={settled} />;
}
