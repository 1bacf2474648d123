import { assertPositive } from '@/core/units';
import type { StageTurn } from './plan';

/** What was read at a pull, as the wrench told it: its adaptor and its own error are in the setting already. */
export interface PullReading {
  /** The highest it came to. */
  readonly read_Nm?: number;
  /** How far the fastener turned while it was pulled. */
  readonly turned_deg?: number;
  /** At which it broke away, of one that is gone over again: loosening where it is slackened first, else tightening. */
  readonly broke_Nm?: number;
  /** The instrument that told it; left out where it was read by eye. */
  readonly instrument?: string;
  /** The instrument's own name of this reading: one reading is one pull. */
  readonly readingId?: string;
}

/** What a pull asks of a wrench: a figure at the wrench, or an angle. */
export interface AskedOfPull {
  readonly asked_Nm: number;
  readonly turn?: StageTurn;
}

/** `unread`: what was asked for is not in the reading. */
export type ReadStanding = 'inside' | 'short' | 'past' | 'unread';

const WIDE_PCT = 6;
const CLOSE_PCT = 4;
const CLOSE_ABOVE_NM = 10;

/** What an angle read by eye against a mark may be off by. */
export const ANGLE_BY_EYE_DEG = 3;

/**
 * Between what a pull may be read and still be the one that was asked for, at the wrench.
 * @source permissible deviation of a hand torque tool, ISO 6789-1: 6 % up to 10 N·m, 4 % above
 * @throws DomainError bad-field
 */
export function readLimits(asked_Nm: number): { readonly min_Nm: number; readonly max_Nm: number } {
  assertPositive(asked_Nm, 'asked_Nm');
  const part = (asked_Nm > CLOSE_ABOVE_NM ? CLOSE_PCT : WIDE_PCT) / 100;
  return { min_Nm: asked_Nm * (1 - part), max_Nm: asked_Nm * (1 + part) };
}

const between = (value: number, least: number, most: number): ReadStanding =>
  value < least ? 'short' : value > most ? 'past' : 'inside';

/** How a reading stands to what was asked for. A turn is judged by its angle alone. */
export function standingOfRead({ asked_Nm, turn }: AskedOfPull, { read_Nm, turned_deg }: PullReading): ReadStanding {
  if (turn)
    return turned_deg === undefined
      ? 'unread'
      : between(turned_deg, turn.min_deg - ANGLE_BY_EYE_DEG, turn.max_deg + ANGLE_BY_EYE_DEG);
  if (read_Nm === undefined) return 'unread';
  const { min_Nm, max_Nm } = readLimits(asked_Nm);
  return between(read_Nm, min_Nm, max_Nm);
}
