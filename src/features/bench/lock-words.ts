import { plainFigure } from '@/core/units';
import type { Locking } from '@/core/joint';
import type { Purpose } from '@/model/joint/tightening';
import { kindAt, type TighteningPlan } from '@/model/joint/tightening-plan';
import type { KnownOfPlaces } from './known-of-places';

/** What a round locks its nuts with: one whose nuts come off again locks nothing. */
export const lockedIn = (purpose: Purpose, locking: Locking): Locking =>
  purpose === 'final' || purpose === 'retorque' ? locking : 'none';

interface Round {
  readonly plan: Pick<TighteningPlan, 'kinds'>;
  readonly purpose: Purpose;
  readonly known: Pick<KnownOfPlaces, 'locking' | 'kindLockings'>;
}

/** What a fastener is locked with in a round. */
export function lockingAt({ plan, purpose, known }: Round, position: number): Locking {
  const kind = kindAt(plan, position);
  return lockedIn(purpose, kind ? (known.kindLockings[kind.name] ?? 'unsaid') : known.locking);
}

export const SLOT_WORDS = 'Then: does a slot meet the hole? Only ever on to it, never back';

/** What is recorded with a pull after which the pin goes in. */
export const SLOT_MEETS = 'a slot meets the hole';

/** What brings a slot to the hole at the figure, where it cannot be turned on: what is done, and what is recorded. */
export const SLOT_REMEDIES = ['another nut', 'another washer', 'its face taken down'] as const;
export const remedyWords = (remedy: (typeof SLOT_REMEDIES)[number]): string =>
  `slackened and pulled again with ${remedy}: ${SLOT_MEETS}`;

const MOST_DEG = 120;

/** `14` as it is recorded with the pull; undefined where it is no turn on to a slot. */
export function slotTurnWords(typed: string): string | undefined {
  const deg = plainFigure(typed.replace(/\s*°$/, ''));
  return deg !== undefined && deg > 0 && deg < MOST_DEG ? `turned ${deg}° further, on to a slot` : undefined;
}

export const NO_SLOT_TURN = `Give it in degrees, more than 0 and less than ${MOST_DEG}, such as 14. It is never turned back to a slot.`;

/** What is done last, once every nut is at its figure. */
export const LOCK_LAST: Readonly<Partial<Record<Locking, string>>> = {
  tab: 'Bend the tabs over, and say so in the order.',
  wire: 'Draw the wire tight the way that tightens, and say so in the order.',
  pin: 'Put the pins in, and say so in the order.',
};

/** Where nobody said how they are locked, it is asked and not taken as done. */
export const lockUnsaid = ({ houseLock }: Pick<KnownOfPlaces, 'houseLock'>): string =>
  `How they are locked is not said${houseLock ? ` (house practice: ${houseLock})` : ''}: say it on the joint’s sheet, and see that it is done.`;
