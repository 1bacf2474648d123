import type { Metadata } from 'next';
import { TemperatureScreen } from '@/features/run-in/temperature-screen';
import { nowMs } from '@/server/clock';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'A recorded run' };

export default async function RecordedRunPage({ params }: EngineParams) {
  const { rows } = await engineRowsAt(params);
  const counts = rows.joints
    .filter(({ retorqueSchool }) => retorqueSchool !== 'none')
    .map(({ name, detail }) => ({ name, school: detail.heatCycle }));
  return <TemperatureScreen engineId={rows.engine.id} now={nowMs()} counts={counts} />;
}
