import { placeResult, unmetCondition, type FitKind, type PlaceResult } from '@/core/fits';
import type { Fit, FitLine } from './fit';
import type { FitContext } from './fit-context';
import { answersOf, fold, withoutStruck, type Folded } from './fit-fold';
import { kindOf, planOfFit } from './kind-of-fit';
import { PLACE_STATES, type FitPlace, type FitState, type PlaceState } from './place-state';
import { conditionsOf, staleReason } from './stale-reading';
import { value20_mm } from './value-at-20c';

const isAt = (line: FitLine, place: number) => line.place === null || line.place === place;

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
