import { DomainError } from '@/core/units';
import { storedJson } from '@/model/stored-json';

/** Who has the wrench of a round, of those who look at it. */
export interface BenchHold {
  /** The screen that has it; null where it was laid down. */
  readonly bench: string | null;
  /** Initials of whoever took it; empty where nobody gave any. */
  readonly who: string;
  readonly since: string;
  /** The screen that had it before: what it pulled until then may come in late. */
  readonly before?: { readonly bench: string; readonly until: string };
  /** The screen that asks for it. */
  readonly asked?: { readonly bench: string; readonly who: string };
  /** Why it was taken from another. */
  readonly words?: string;
}

export const HOLD_JSON = storedJson<BenchHold>('wrench of a round', []);

export const HOLD_ACTS = ['open', 'take', 'ask', 'hand-over', 'lay-down'] as const;
export type HoldAct = (typeof HOLD_ACTS)[number];

/** What a screen does about the wrench. */
export interface HoldMove {
  readonly act: HoldAct;
  readonly bench: string;
  readonly who: string;
  readonly words?: string;
}

/** What a screen sees of it. */
export interface HoldView {
  readonly state: 'mine' | 'free' | 'elsewhere';
  readonly who: string;
  readonly since: string;
  /** Whoever asks for what is mine; or whether this screen has asked. */
  readonly askedBy?: string;
  readonly asked: boolean;
  /** Whether it may be taken with one press: laid down, left for a day, or of the same person. */
  readonly mayTake: boolean;
  readonly words?: string;
}

const DAY_MS = 86_400_000;

/** Left for a day, counted from when it was taken or, later, from what was last done. */
const isLeft = ({ since }: BenchHold, lastDone: string | undefined, now: string): boolean =>
  Date.parse(now) - Math.max(Date.parse(since), Date.parse(lastDone ?? since)) > DAY_MS;

const mayTake = (
  hold: BenchHold,
  { bench, who }: Pick<HoldMove, 'bench' | 'who'>,
  lastDone: string | undefined,
  now: string,
) => hold.bench === null || hold.bench === bench || hold.who === who || isLeft(hold, lastDone, now);

const nobodyHas = () => new DomainError('nobody-has', 'The wrench of this round lies there: take it first.');

const elsewhere = ({ who }: BenchHold) =>
  new DomainError(
    'held-elsewhere',
    `${who === '' ? 'Another screen' : `${who}, at another screen,`} has the wrench of this round. Ask for it there, or take it with a word why.`,
  );

/**
 * Who has the wrench after a move. One has it at a time; it is handed over by whoever has it, or taken with a word.
 * @param lastDone when something was last done in the round
 * @throws DomainError held-elsewhere
 */
export function holdAfter(
  hold: BenchHold | undefined,
  { act, bench, who, words }: HoldMove,
  lastDone: string | undefined,
  now: string,
): BenchHold {
  const taken = (by: Pick<HoldMove, 'bench' | 'who'>, why?: string): BenchHold => ({
    bench: by.bench,
    who: by.who,
    since: now,
    ...(hold?.bench ? { before: { bench: hold.bench, until: now } } : hold?.before && { before: hold.before }),
    ...(why && { words: why }),
  });
  // Opened to look at, a round is taken in hand only where nobody has it.
  if (act === 'open' && hold?.bench && hold.bench !== bench) return hold;
  if (act === 'take' || act === 'open') {
    if (hold?.bench === bench) return { ...hold, who };
    if (hold && !words && !mayTake(hold, { bench, who }, lastDone, now)) throw elsewhere(hold);
    return taken({ bench, who }, words);
  }
  if (act === 'ask') {
    if (hold?.bench === bench) return hold;
    return hold?.bench ? { ...hold, asked: { bench, who } } : taken({ bench, who });
  }
  if (!hold || hold.bench !== bench) throw hold?.bench ? elsewhere(hold) : nobodyHas();
  if (act === 'lay-down') return { ...taken({ bench, who }), bench: null };
  if (!hold.asked) throw new DomainError('nobody-asked', 'Nobody asks for the wrench.');
  return taken(hold.asked);
}

/** @returns how it stands for a screen */
export function holdView(
  hold: BenchHold | undefined,
  own: Pick<HoldMove, 'bench' | 'who'>,
  lastDone: string | undefined,
  now: string,
): HoldView {
  if (!hold || hold.bench === null)
    return { state: 'free', who: hold?.who ?? '', since: hold?.since ?? now, asked: false, mayTake: true };
  const isMine = hold.bench === own.bench;
  return {
    state: isMine ? 'mine' : 'elsewhere',
    who: hold.who,
    since: hold.since,
    ...(isMine && hold.asked && { askedBy: hold.asked.who }),
    asked: hold.asked?.bench === own.bench,
    mayTake: mayTake(hold, own, lastDone, now),
    ...(hold.words && { words: hold.words }),
  };
}

/**
 * Only whoever has the wrench records. What another pulled while it had it may come in late; where nobody has it, and
 * nobody ever did, a line stands by itself.
 * @param at when the line was made
 * @throws DomainError held-elsewhere
 */
export function assertHolds(hold: BenchHold | undefined, bench: string | undefined, at: string): void {
  if (!hold || hold.bench === null || hold.bench === bench) return;
  const { before } = hold;
  if (before && before.bench === bench && at <= before.until) return;
  throw elsewhere(hold);
}
