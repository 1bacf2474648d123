import { runInOf } from '@/features/run-in/queries';
import { RunInSheet } from '@/features/run-in/run-in-sheet';
import { nowMs } from '@/server/clock';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function RunInPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  const now = nowMs();
  return <RunInSheet engineId={engine.id} now={now} {...runInOf(shop, engine, now)} />;
}
