import type { Locking } from '@/core/joint';
import type { Purpose } from '@/model/joint/tightening';

/** What a round locks its nuts with: one whose nuts come off again locks nothing. */
export const lockedIn = (purpose: Purpose, locking: Locking): Locking =>
  purpose === 'final' || purpose === 'retorque' ? locking : 'none';

export const SLOT_WORDS =
  'Then: does a slot meet the hole? Only ever on to it, never back; the sheet says what that costs';

/** What is done last, once every nut is at its figure. */
export const LOCK_LAST: Readonly<Partial<Record<Locking, string>>> = {
  tab: 'Bend the tabs over, and say so in the order.',
  wire: 'Draw the wire tight the way that tightens, and say so in the order.',
  pin: 'Put the pins in, and say so in the order.',
};
