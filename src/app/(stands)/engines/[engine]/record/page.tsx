import { engineState } from '@/db/reads/engine-state';
import { provenFits } from '@/model/fit/fit-gate';
import { RecordSheet } from '@/features/record/record-sheet';
import { nowMs } from '@/server/clock';
import { engineAt, type EngineParams } from '@/server/engine-at';
import { retorqueLine, tighteningLine } from '@/interface/words/status-words';

export default async function RecordPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  const now = nowMs();
  const standing = engineState(shop, engine);
  const joints = standing.joints.map((joint) => ({
    id: joint.joint.id,
    name: joint.joint.name,
    line: `${tighteningLine(joint, now)} ${retorqueLine(joint, now)}`,
  }));
  const fits =
    standing.fits.length === 0 ? undefined : `${provenFits(standing.fits)} of ${standing.fits.length} proven`;
  return <RecordSheet engineId={engine.id} joints={joints} fits={fits} />;
}
