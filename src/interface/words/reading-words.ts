import { ANGLE_BY_EYE_DEG, type PullReading, type PullStep } from '@/core/tightening';
import { torqueFromSi } from '@/core/units';
import { turnWords } from '@/model/joint/turns-words';
import { limitsAt } from '@/model/joint/pull-reading';
import { figureAt, type TighteningPlan } from '@/model/joint/tightening-plan';
import type { Figures } from '../figures/figures';

type Writes = Pick<Figures, 'plain' | 'significant'>;

/** What was read at a pull: `read 31.2 lbf·ft, turned 92°, by Wrench 7`; empty where nothing was. */
export function readWords(
  plan: TighteningPlan,
  step: PullStep,
  reading: PullReading,
  { significant, plain }: Writes,
): string {
  const { unit } = figureAt(plan, step.position);
  const { read_Nm, turned_deg, broke_Nm, instrument } = reading;
  return [
    ...(read_Nm === undefined ? [] : [`read ${significant(torqueFromSi(read_Nm, unit))} ${unit}`]),
    ...(broke_Nm === undefined ? [] : [`broke away at ${significant(torqueFromSi(broke_Nm, unit))} ${unit}`]),
    ...(turned_deg === undefined ? [] : [`turned ${plain(Number(turned_deg.toFixed(1)))}°`]),
    ...(instrument === undefined || (read_Nm === undefined && turned_deg === undefined) ? [] : [`by ${instrument}`]),
  ].join(', ');
}

/** Between what it would be taken as it comes: `Asked for: 30, within 28.8 to 31.2 lbf·ft.` */
export function limitsWords(plan: TighteningPlan, step: PullStep, { significant, plain }: Writes): string {
  if (step.turn) return `Asked for: ${turnWords(step.turn)}, within ${ANGLE_BY_EYE_DEG}°.`;
  const { min, max } = limitsAt(plan, step);
  return `Asked for: ${plain(step.setting)}, within ${significant(min)} to ${significant(max)} ${figureAt(plan, step.position).unit}.`;
}
