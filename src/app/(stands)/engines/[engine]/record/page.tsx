import type { Metadata } from 'next';
import { provenFits } from '@/model/fit/fit-gate';
import { RecordScreen } from '@/features/record/record-screen';
import { retorqueLine, tighteningLine } from '@/interface/words/status-words';
import { nowMs } from '@/server/clock';
import { engineStateAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Record' };

export default async function RecordPage({ params }: EngineParams) {
  const now = nowMs();
  const { engine, joints, fits, order } = await engineStateAt(params);
  const lines = joints.map((joint) => ({
    id: joint.joint.id,
    name: joint.joint.name,
    line: `${tighteningLine(joint, now)} ${retorqueLine(joint, now)}`,
  }));
  const proven = fits.length === 0 ? undefined : `${provenFits(fits)} of ${fits.length} proven`;
  const done = order.steps.filter(({ state }) => state === 'done').length;
  const steps = order.steps.length === 0 ? undefined : `${done} of ${order.steps.length} steps done`;
  return <RecordScreen engineId={engine.id} joints={lines} fits={proven} order={steps} />;
}
