import {
  readLimits,
  standingOfRead,
  type AskedOfPull,
  type BenchEvent,
  type PullReading,
  type PullStep,
} from '@/core/tightening';
import { DomainError, torqueFromSi, torqueToSi } from '@/core/units';
import { figureAt, type TighteningPlan } from './tightening-plan';

/** What a step asks of its wrench, in the wrench's own figures. */
export const askedAt = (plan: TighteningPlan, { setting, turn, position }: PullStep): AskedOfPull => ({
  asked_Nm: torqueToSi(setting, figureAt(plan, position).unit),
  ...(turn && { turn }),
});

/** The limits of a step's figure, in the wrench's own unit. */
export function limitsAt(plan: TighteningPlan, step: PullStep): { readonly min: number; readonly max: number } {
  const { unit } = figureAt(plan, step.position);
  const { min_Nm, max_Nm } = readLimits(askedAt(plan, step).asked_Nm);
  return { min: torqueFromSi(min_Nm, unit), max: torqueFromSi(max_Nm, unit) };
}

export const hasReading = ({ read_Nm, turned_deg }: PullReading): boolean =>
  read_Nm !== undefined || turned_deg !== undefined;

/**
 * What is asked of a line that has a reading, wherever it comes from: outside its limits it is no plain pull without a
 * reason, and what goes by feel has no figure.
 * @throws DomainError by-feel, outside-limits
 */
export function assertReadingStands(plan: TighteningPlan, event: BenchEvent): void {
  if ((event.kind !== 'pull' && event.kind !== 'again') || !hasReading(event)) return;
  if (plan.care === 'hand')
    throw new DomainError('by-feel', 'This joint goes by feel: no figure is recorded of it.', 'read_Nm');
  const step = plan.steps[event.step];
  if (step?.kind !== 'pull' || event.outcome !== 'pulled' || (event.kind === 'pull' && event.words !== undefined))
    return;
  const standing = standingOfRead(askedAt(plan, step), event);
  if (standing === 'short' || standing === 'past')
    throw new DomainError(
      'outside-limits',
      `What was read lies ${standing === 'past' ? 'past' : 'short of'} what was asked for. Say how it went, or why it is left so.`,
      step.turn ? 'turned_deg' : 'read_Nm',
    );
}

/** What is said of a reading that is a pull already, of this round or another. */
export const readAlready = () =>
  new DomainError(
    'read-already',
    'That reading is a pull already, here or at another bench: the instrument sent it twice, or is listened to at both.',
    'readingId',
  );

/**
 * One reading of an instrument is one pull, however often it is sent and also where its pull was undone.
 * @throws DomainError read-already
 */
export function assertReadOnce(before: readonly BenchEvent[], event: BenchEvent): void {
  if ((event.kind !== 'pull' && event.kind !== 'again') || event.readingId === undefined) return;
  const { readingId } = event;
  if (before.some((line) => (line.kind === 'pull' || line.kind === 'again') && line.readingId === readingId))
    throw readAlready();
}
