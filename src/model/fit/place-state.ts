import type { FitKind, PlaceResult } from '@/core/fits';
import type { Fit, ReadingLine } from './fit';
import type { FitPageSays } from './fit-page';

/** Where one place of a fit stands, the worst first. */
export const PLACE_STATES = [
  'tight',
  'loose',
  'fault',
  'too-close',
  'stale',
  'unmet',
  'improve',
  'open',
  'unread',
  'unjudged',
  'not-measured',
  'accepted',
  'inside',
] as const;
export type PlaceState = (typeof PLACE_STATES)[number];

const PROVEN: ReadonlySet<PlaceState> = new Set(['inside', 'accepted']);

const HOLDING: ReadonlySet<PlaceState> = new Set(['tight', 'loose', 'fault']);

/** Out of limits: what closes it up is not pulled for good. */
export const isHolding = (state: PlaceState): boolean => HOLDING.has(state);

export const isProven = (state: PlaceState): boolean => PROVEN.has(state);

export interface FitPlace {
  readonly place: number;
  readonly name: string;
  readonly state: PlaceState;
  readonly result: PlaceResult;
  /** The readings that count, by cell. */
  readonly current: ReadonlyMap<string, ReadingLine>;
  /** Earlier readings of the same cells, the oldest first. */
  readonly beneath: readonly ReadingLine[];
  /** Why the readings are stale, or were not taken under their conditions. */
  readonly why?: string;
  readonly stripIn: boolean;
  readonly accepted?: string;
  /** What is on order for it. */
  readonly order?: string;
  /** The last remedy, while its readings are still to be taken. */
  readonly remedy?: string;
  readonly felt?: string;
}

export interface FitState {
  readonly fit: Fit;
  readonly kind: FitKind;
  readonly places: readonly FitPlace[];
  readonly page?: FitPageSays;
  /** That of its worst place. */
  readonly state: PlaceState;
}

/** The place by which a fit stands as it does; none where it has no place. */
export const worstPlaceOf = ({ places, state }: FitState): FitPlace | undefined =>
  places.find((place) => place.state === state) ?? places[0];
