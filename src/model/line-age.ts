import type { Problem } from '@/model/result';
import { sentNumber } from '@/model/typed-number';

const MS_PER_YEAR = 365.25 * 86_400_000;
/** What is older was not made with this program. */
export const MAX_AGE_MS = 10 * MS_PER_YEAR;

/** How long ago a line was made when it was sent, in ms: a device tells no hour, its clock is not the shop's. */
export const lineAge = sentNumber().integer().min(0).max(MAX_AGE_MS).default(0);

/** When a line of an age was made, by the clock of whoever receives it. */
export const madeAt = (age_ms: number, now: number): string => new Date(now - age_ms).toISOString();

/** What the server made of a line that was sent to it. */
export interface Recorded {
  readonly id: string;
  /** False where the same line was there already. */
  readonly isNew: boolean;
  readonly at: string;
  readonly recordedAt: string;
}

/** What became of lines that were sent together: those written, and why the one after them was refused. */
export interface RecordedTogether {
  readonly recorded: readonly Recorded[];
  readonly refused?: Problem;
}

/** A clock that is set by the network moves by less. */
export const SLACK_MS = 5 * 60_000;

/** Whether a clock stands before what was written already: it went back, and what it says of times is not believed. */
export const isBehind = (now: number, lastWritten: string): boolean => Date.parse(lastWritten) - now > SLACK_MS;
