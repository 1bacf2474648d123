import { cancelledOf } from '@/model/cancelled-lines';
import { EXPANSIONS_UM_PER_MK } from '@/core/units';
import {
  CHANGES,
  REMEDIES,
  cellKey,
  fitKind,
  isVoidedBy,
  placeResult,
  sizeAt20C,
  unmetCondition,
  type ConditionId,
  type FitKind,
  type Part,
  type PlaceResult,
  type ReadingPlan,
} from '@/core/fits';
import type { Fit, FitLine, ReadingLine } from './fit';
import type { FitPageSays } from './fit-page';
import { clampChange, isOpenedSince, isOpenedUp, workedOnSince, type FitRound } from './fit-rounds';

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

/** What a fit's readings rest on outside of it: the going-rounds of its joint, and its bolts as they are now. */
export interface FitContext {
  readonly rounds: readonly FitRound[];
  /** When its joint was opened up again in the order of the build. */
  readonly openings?: readonly string[];
  readonly bolts?: string;
  readonly jointName?: string;
  /** When a head that its readings rest on was gone over, tightened or opened up, by its name. */
  readonly headWork?: readonly { readonly at: string; readonly jointName: string }[];
  /** The page that what is wanted was taken from. */
  readonly page?: FitPageSays;
}

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

const conditionsOf = (kind: FitKind, part: Part): readonly ConditionId[] => kind.conditions[part] ?? [];

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

/** Ids of the lines of a fit that were cancelled and stand no more. */
export const cancelledIn = (lines: readonly FitLine[]): ReadonlySet<string> =>
  cancelledOf(lines.map((line) => ({ id: line.id, strikes: line.kind === 'strike' ? line.strikes : null })));

const withoutStruck = (lines: readonly FitLine[]): readonly FitLine[] => {
  const struck = cancelledIn(lines);
  return lines.filter((line) => line.kind !== 'strike' && !struck.has(line.id));
};

interface Folded {
  readonly current: Map<string, ReadingLine>;
  readonly beneath: ReadingLine[];
  remedy?: string;
  accepted?: string;
  order?: string;
  felt?: string;
  stripIn: boolean;
}

/**
 * Lines of one place in their order: later readings lie over earlier ones, a remedy reopens its parts, a reading ends
 * what was accepted.
 */
function fold(lines: readonly FitLine[]): Folded {
  const folded: Folded = { current: new Map(), beneath: [], stripIn: false };
  const { current, beneath } = folded;
  const lay = (key: string) => {
    const under = current.get(key);
    if (under) beneath.push(under);
    current.delete(key);
  };
  for (const line of lines)
    switch (line.kind) {
      case 'reading':
        lay(cellKey(line));
        current.set(cellKey(line), line);
        folded.accepted = undefined;
        folded.felt = undefined;
        break;
      case 'remedy': {
        const reopens: readonly Part[] = REMEDIES[line.body.remedy].reopens;
        for (const [key, reading] of [...current]) if (reopens.includes(reading.part)) lay(key);
        folded.remedy = line.body.words
          ? `${REMEDIES[line.body.remedy].name}: ${line.body.words}`
          : REMEDIES[line.body.remedy].name;
        folded.accepted = undefined;
        folded.order = undefined;
        break;
      }
      case 'accept':
        folded.accepted = line.body.reason;
        break;
      case 'order':
        folded.order = line.body.words;
        break;
      case 'felt':
        folded.felt = line.body.words;
        break;
      case 'strip-in':
      case 'strip-out':
        folded.stripIn = line.kind === 'strip-in';
        break;
    }
  return folded;
}

/** What was said of a reading’s conditions when it was taken; what was left unsaid then may be said since. */
const answersOf = (reading: ReadingLine, lines: readonly FitLine[]) =>
  lines
    .slice(lines.indexOf(reading) + 1)
    .reduce((said, line) => (line.kind === 'affirm' ? { ...line.body.answers, ...said } : said), reading.body.answers);

/** Why a reading no longer counts; undefined where it does. */
function staleReason(
  reading: ReadingLine,
  lines: readonly FitLine[],
  kind: FitKind,
  context: FitContext,
): string | undefined {
  const conditions = conditionsOf(kind, reading.part);
  const after = lines.slice(lines.indexOf(reading) + 1);
  const change = after.find((line) => line.kind === 'change' && isVoidedBy(line.body.change, reading.part, conditions));
  if (change?.kind === 'change')
    return `Since it was read ${CHANGES[change.body.change].name}${change.body.words ? `: ${change.body.words}` : ''}.`;
  if (conditions.includes('cap-final') && isOpenedUp(reading, context.openings))
    return `Since it was read ${CHANGES['cap-loosened'].name}: ${context.jointName ?? 'its joint'} was opened up.`;
  if (conditions.includes('cap-final') && isOpenedSince(reading, context.rounds))
    return `Since it was read ${CHANGES['cap-loosened'].name}: ${context.jointName ?? 'its joint'} was gone round again.`;
  const head = conditions.includes('head-final') ? workedOnSince(reading, context.headWork) : undefined;
  if (head !== undefined) return `Since it was read ${CHANGES['head-gone-over'].name}: ${head}.`;
  const clamp = conditions.includes('cap-final') ? clampChange(reading, context.rounds) : undefined;
  if (clamp !== undefined) return clamp;
  if (
    conditions.includes('final-bolts') &&
    reading.body.bolts !== undefined &&
    context.bolts !== undefined &&
    reading.body.bolts !== context.bolts
  )
    return `Since it was read ${CHANGES['bolts-changed'].name}: ${reading.body.bolts} then, ${context.bolts} now.`;
  return undefined;
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
