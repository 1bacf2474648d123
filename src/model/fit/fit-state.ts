import { EXPANSIONS_UM_PER_MK } from '@/core/units';
import {
  fitKind,
  placeResult,
  sizeAt20C,
  unmetCondition,
  type FitKind,
  type PlaceResult,
  type ReadingPlan,
} from '@/core/fits';
import type { Fit, FitLine, ReadingLine } from './fit';
import { answersOf, fold, withoutStruck, type Folded } from './fit-fold';
import type { FitPageSays } from './fit-page';
import type { FitContext } from './fit-context';
import { conditionsOf, staleReason } from './stale-reading';

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

/** A fit whose kind this program does not know is still shown, as a pair of diameters of one's own. */
export const kindOf = (fit: Pick<Fit, 'kind'>): FitKind => fitKind(fit.kind) ?? (fitKind('own-pair') as FitKind);

export const planOfFit = (fit: Fit): ReadingPlan => ({
  kind: kindOf(fit),
  methods: fit.methods,
  stations: fit.stations,
  angles: fit.angles,
});

const isAt = (line: FitLine, place: number) => line.place === null || line.place === place;

/** A reading in mm at 20 °C, where its temperatures were taken. */
export function value20_mm(line: ReadingLine, fit: Fit): number {
  const { part_C, gauge_C } = line.body;
  if (part_C === undefined) return line.value_mm;
  const expansion = line.part === 'bore' ? fit.detail.expansion?.bore : fit.detail.expansion?.journal;
  return sizeAt20C(
    line.value_mm,
    { expansion: expansion ?? EXPANSIONS_UM_PER_MK.steel, at_C: part_C },
    { expansion: EXPANSIONS_UM_PER_MK.steel, at_C: gauge_C ?? part_C },
  );
}

function stateOf({
  result,
  folded,
  stale,
  unmet,
}: {
  result: PlaceResult;
  folded: Folded;
  stale?: string;
  unmet?: string;
}): PlaceState {
  const { verdict } = result;
  if (result.fault) return 'fault';
  if (stale) return 'stale';
  if (result.read === 0) return folded.felt ? 'not-measured' : 'unread';
  if (verdict === 'tight' || verdict === 'loose') return unmet && result.read === result.asked ? 'unmet' : verdict;
  if (result.read < result.asked) return 'open';
  if (unmet) return 'unmet';
  if (!verdict) return 'unjudged';
  if (folded.accepted !== undefined) return 'accepted';
  if (verdict === 'too-close') return 'too-close';
  return result.improve || folded.order !== undefined ? 'improve' : 'inside';
}

function fitPlace(fit: Fit, kind: FitKind, all: readonly FitLine[], place: number, context: FitContext): FitPlace {
  const lines = all.filter((line) => isAt(line, place));
  const folded = fold(lines);
  const readings = [...folded.current.values()];
  const measured = readings.map((line) => ({
    ...line,
    value_mm: value20_mm(line, fit),
    resolution_mm: line.body.resolution_mm,
  }));
  const result = placeResult(planOfFit(fit), measured, fit.wanted, {
    nominal_mm: fit.detail.nominal_mm,
    crush: fit.detail.shim?.crush,
  });
  const first = <T>(reasons: readonly (T | undefined)[]) => reasons.find((reason) => reason !== undefined);
  const stale = first(readings.map((reading) => staleReason(reading, lines, kind, context)));
  const unmet = first(
    readings.map((reading) => unmetCondition(conditionsOf(kind, reading.part), answersOf(reading, lines))),
  );
  const state = stateOf({ result, folded, stale, unmet });
  const why = result.fault ?? stale ?? (state === 'unmet' ? unmet : undefined);
  return {
    place,
    name: fit.places[place] ?? `${place + 1}`,
    state,
    result,
    current: folded.current,
    beneath: folded.beneath,
    ...(why && { why }),
    stripIn: folded.stripIn,
    ...(state === 'accepted' && { accepted: folded.accepted }),
    ...(folded.order !== undefined && { order: folded.order }),
    ...(folded.remedy !== undefined && result.read < result.asked && { remedy: folded.remedy }),
    ...(folded.felt !== undefined && { felt: folded.felt }),
  };
}

/** The place by which a fit stands as it does; none where it has no place. */
export const worstPlaceOf = ({ places, state }: FitState): FitPlace | undefined =>
  places.find((place) => place.state === state) ?? places[0];

const rank = (state: PlaceState) => PLACE_STATES.indexOf(state);

/** Where a fit stands, place by place, from its lines. Plain rows in; nothing here touches a file. */
export function fitState(fit: Fit, lines: readonly FitLine[], context: FitContext): FitState {
  const kind = kindOf(fit);
  const valid = withoutStruck(lines);
  const places = fit.places.map((_, place) => fitPlace(fit, kind, valid, place, context));
  const { page } = context;
  return {
    fit,
    kind,
    places,
    ...(page && { page }),
    state: places.reduce<PlaceState>((worst, { state }) => (rank(state) < rank(worst) ? state : worst), 'inside'),
  };
}

/** Worst first; of like standing in the order in which they were made. */
export const worstFirst = (allJudged: readonly FitState[]): readonly FitState[] =>
  [...allJudged].sort((a, b) => rank(a.state) - rank(b.state));
