import { jointSummaries, torqueLeaves } from '@/features/joint/queries';
import { JointsSheet } from '@/features/joint/joints-sheet';
import { nowMs } from '@/server/clock';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function JointsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return (
    <JointsSheet
      engineId={engine.id}
      joints={jointSummaries(shop, engine, nowMs())}
      canAdd={torqueLeaves(shop, engine.id).length > 0}
    />
  );
}
