import { engineStanding } from '@/db/engine-standing';
import { RecordSheet } from '@/features/record/record-sheet';
import { nowMs } from '@/interface/server/clock';
import { engineAt, type EngineParams } from '@/interface/server/engine-at';
import { retorqueLine, tighteningLine } from '@/interface/words/standing-words';

export default async function RecordPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  const now = nowMs();
  const joints = engineStanding(shop, engine).joints.map((joint) => ({
    id: joint.joint.id,
    name: joint.joint.name,
    line: `${tighteningLine(joint, now)} ${retorqueLine(joint, now)}`,
  }));
  return <RecordSheet engineId={engine.id} joints={joints} />;
}
