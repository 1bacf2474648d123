import type { Effect, StepKind, Surface } from '@/model/order/step';
import type { StepStanding } from '@/model/order/step-state';
import { ARRIVAL_CHECKS, isNewHere, type Origin, type PartCondition, type ArrivalCheck } from '@/model/order/part';
import type { TrayPart } from '@/model/order/tray';
import type { Crank } from '@/model/order/crank';

export const STEP_KIND_WORDS: Readonly<Record<StepKind, string>> = {
  part: 'Fit a part',
  joint: 'Tighten a joint',
  fit: 'Prove a fit',
  surface: 'Prepare a surface',
  timing: 'Set the timing',
  freedom: 'Try the freedom',
  'aid-out': 'Take out an aid',
  clean: 'Clean',
  cover: 'Cover and pause',
  other: 'Other',
};

export const STEP_STATE_WORDS: Readonly<Record<StepStanding, string>> = {
  done: 'done',
  trial: 'done for trial',
  stale: 'to be looked at',
  open: 'can be done now',
  waiting: 'waits',
  barred: 'held up',
};

export const EFFECT_WORDS: Readonly<Record<Effect, string>> = {
  'crank-free': 'the crank is free after it',
  'crank-held': 'the crank is held after it',
  'crank-locked': 'the crank is locked after it',
  'turns-crank': 'it turns the crank',
  swarf: 'it makes swarf: cleaning is open again',
  closes: 'it closes the engine',
  starts: 'it starts the engine',
  sealant: 'it takes a sealant',
  'once-only': 'it takes a part that is used only once',
};

export const ORIGIN_WORDS: Readonly<Record<Origin, string>> = {
  'taken-off': 'taken off',
  bought: 'bought',
  made: 'made',
  substitute: 'substitute',
};

export const PART_CONDITION_WORDS: Readonly<Record<PartCondition, string>> = {
  'as-new': 'as new',
  good: 'good',
  'to-replace': 'to be replaced',
  'once-only': 'used once only',
  'not-said': 'not said',
};

export const CHECK_WORDS: Readonly<Record<ArrivalCheck, string>> = {
  thread: 'thread runs by hand',
  length: 'length is right',
  head: 'head is of the right height',
  socket: 'a socket gets at it',
  moves: 'moves freely',
};

export const CRANK_WORDS: Readonly<Record<Crank['state'], string>> = {
  free: 'The crank is free',
  held: 'The crank is held',
  locked: 'The crank is locked',
};

/** Choices of a select in the order of their list. */
export const choicesOf = <Id extends string>(words: Readonly<Record<Id, string>>) =>
  (Object.entries(words) as [Id, string][]).map(([value, label]) => ({ value, label }));

/** `sealant, one face only, a thin film, close while it is wet, use by 2027-03` */
export const surfaceWords = ({ what, on, much, sets, useBy }: Surface): string =>
  [what, on, much, sets, useBy && `use by ${useBy}`].filter(Boolean).join(', ');

/** What was tried of a part as it came, and of one that is new here what was not. */
function triedWords({ part, checked }: Pick<TrayPart, 'part' | 'checked'>): string {
  if (checked.length === 0) return '';
  const [tried, not] = [true, false].map((is) =>
    ARRIVAL_CHECKS.filter((check) => checked.includes(check) === is)
      .map((check) => CHECK_WORDS[check])
      .join(', '),
  );
  return `tried: ${tried}${not && isNewHere(part) ? `; not tried: ${not}` : ''}`;
}

/** Where a part is from, what may be done with it again, what belongs to it, and what became of it. */
export const partWords = ({ part, checked, spent, struckOff }: TrayPart): readonly string[] =>
  [
    ORIGIN_WORDS[part.origin],
    part.condition === 'not-said' ? '' : PART_CONDITION_WORDS[part.condition],
    triedWords({ part, checked }),
    part.detail.mates && `with: ${part.detail.mates}`,
    part.detail.hides && `hides: ${part.detail.hides}`,
    part.detail.words,
    spent > 0 ? `${spent} used once, and opened up since` : '',
    ...struckOff.map(({ count, reason }) => `${count} struck off: ${reason}`),
  ].filter((said) => said !== '');
