import type { Metadata } from 'next';
import { runInOf, warmHeads } from '@/features/run-in/queries';
import { RunInScreen } from '@/features/run-in/run-in-screen';
import { engineStateOf } from '@/model/engine/engine-rows';
import { nowMs } from '@/server/clock';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';
import { shelvesOnce } from '@/server/request-reads';

export const metadata: Metadata = { title: 'Run-in' };

export default async function RunInPage({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  const now = nowMs();
  const runIn = runInOf(engineStateOf(rows), now, warmHeads(rows, shelvesOnce(shop), now));
  return <RunInScreen engineId={rows.engine.id} now={now} {...runIn} />;
}
