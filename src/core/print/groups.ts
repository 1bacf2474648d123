import { isHarmless } from './harmless';
import { LIMIT_OF_MARK, type Limit } from './phrases';
import type { Numeral, Token } from './tokens';

export interface UnitMatch<U> {
  readonly unit: U;
  readonly next: number;
  /** True where the page prints a quotient (`lb/ft`) for the product. */
  readonly quotient?: boolean;
}

export type MatchUnit<U> = (tokens: readonly Token[], at: number) => UnitMatch<U> | undefined;

export interface Tolerance {
  readonly plus: number;
  readonly minus: number;
  readonly percent: boolean;
}

export type Joiner = 'range' | 'lever' | 'apart' | 'plus';

/** One or two figures and the unit that closes them, with what stood between them and the group before. */
export interface Group<U> {
  readonly numbers: readonly Numeral[];
  readonly tolerance?: Tolerance;
  readonly unit?: U;
  readonly quotient: boolean;
  readonly joiners: ReadonlySet<Joiner>;
}

export interface Scan<U> {
  readonly groups: readonly Group<U>[];
  readonly limits: ReadonlySet<Limit>;
  readonly unknownAfterFigure?: string;
  /** True where that word stands between a figure and its unit, so that the figure is not the unit's. */
  readonly unknownBeforeUnit: boolean;
  readonly negative: boolean;
  readonly broken: boolean;
  /** True where three and more figures stand in a row before one unit: stages, or nothing. */
  readonly row: boolean;
  /** Words that were not understood and are no part of what a page says round a figure. */
  readonly unread: readonly string[];
}

/** What joins two figures or groups, by the words and marks that stand between them. */
const JOINERS: ReadonlyMap<string, ReadonlySet<Joiner>> = new Map(
  (
    [
      [['range'], '- / ÷ .. ... to až az do y hasta tot and bis und et ed e al ad til till through thru'],
      [['range', 'lever'], 'à a'],
      [['apart'], 'or ( ) [ ] = ; :'],
      [['apart', 'lever'], ','],
      [['plus'], '+ then plus followed puis dann poi luego sedan daarna potom &'],
      [['lever'], 'x * at on with am an auf sur su bei by'],
    ] as readonly (readonly [readonly Joiner[], string])[]
  ).flatMap(([joins, words]) => words.split(' ').map((word): [string, ReadonlySet<Joiner>] => [word, new Set(joins)])),
);

const OPENERS = new Set(['(', '[', ':', '=', ';', ',']);

// Words that may stand between a figure and its unit: `a quarter of a turn`.
const FILLERS = new Set(
  'of a an the full complete further extra more another additional de d di des einer eine von od från från'.split(' '),
);

const isNumber = (token: Token | undefined): token is Numeral => token?.kind === 'number';
const textOf = (token: Token | undefined) => (token && token.kind !== 'number' ? token.text : undefined);

const sameUnit = <U>(a: U | undefined, b: U | undefined) => a === b || JSON.stringify(a) === JSON.stringify(b);

/** Nothing stood there: one list serves for all that are never added to. */
const NONE: ReadonlySet<Joiner> = new Set();
const NO_LIMITS: ReadonlySet<Limit> = new Set();

const joined = (before: ReadonlySet<Joiner>, joins: ReadonlySet<Joiner>): ReadonlySet<Joiner> =>
  before.size === 0 ? joins : new Set([...before, ...joins]);

interface Working<U> {
  groups: Group<U>[];
  numbers: Numeral[];
  tolerance?: Tolerance;
  joiners: ReadonlySet<Joiner>;
  between: ReadonlySet<Joiner>;
  limits: ReadonlySet<Limit>;
  limitsBetween: number;
  leadingUnit?: UnitMatch<U>;
  unknownAfterFigure?: string;
  unknownBeforeUnit: boolean;
  negative: boolean;
  broken: boolean;
  /** Figures with a comma between: a row, where there are enough of them. */
  listed: boolean;
  unread: string[];
}

function isNegative<U>(state: Working<U>, tokens: readonly Token[], at: number): boolean {
  const sign = tokens[at - 1];
  const text = textOf(sign);
  if (text === 'minus') return true;
  if (text !== '-' || state.numbers.length > 0) return false;
  const [before, figure] = [tokens[at - 2], tokens[at]];
  if (!before) return true;
  if (OPENERS.has(textOf(before) ?? '')) return true;
  return state.groups.length === 0 && sign?.spaceBefore === true && figure?.spaceBefore === false;
}

function addNumber<U>(state: Working<U>, figure: Numeral): void {
  // `20 then 40 lb ft`: the first figure is a step of its own, and takes its unit from the one after it.
  if (state.numbers.length > 0 && state.between.has('plus')) {
    const joiners = state.between;
    close(state, undefined);
    state.joiners = joiners;
  }
  if (state.numbers.length > 0 && !state.between.has('range') && state.limitsBetween === 0) {
    if (state.between.has('apart')) state.listed = true;
    else state.broken = true;
  }
  state.numbers.push(figure);
  state.between = NONE;
  state.limitsBetween = 0;
}

function close<U>(state: Working<U>, match: UnitMatch<U> | undefined): void {
  const { numbers, tolerance, joiners } = state;
  state.groups.push({ numbers, tolerance, joiners, unit: match?.unit, quotient: match?.quotient ?? false });
  state.numbers = [];
  state.tolerance = undefined;
  state.joiners = NONE;
  state.between = NONE;
  state.limitsBetween = 0;
}

/** `38 lb ft ± 2`: the tolerance stands after the unit. Opens the closed group again for it. */
function reopen<U>(state: Working<U>): UnitMatch<U> | undefined {
  const last = state.groups.at(-1);
  if (state.numbers.length > 0 || !last || last.tolerance || last.numbers.length !== 1 || last.unit === undefined)
    return undefined;
  state.groups.pop();
  state.numbers = [...last.numbers];
  state.joiners = last.joiners;
  return { unit: last.unit, next: 0, quotient: last.quotient };
}

function takeTrailingTolerance<U>(
  state: Working<U>,
  tokens: readonly Token[],
  at: number,
  matchUnit: MatchUnit<U>,
): number | undefined {
  if (textOf(tokens[at]) !== '±' || !isNumber(tokens[at + 1])) return undefined;
  const unit = reopen(state);
  if (!unit) return undefined;
  const after = takeTolerance(state, tokens, at) ?? at + 1;
  close(state, unit);
  const again = matchUnit(tokens, after);
  if (again && !sameUnit(again.unit, unit.unit)) state.broken = true;
  return again ? again.next : after;
}

/** Reads `± 2`, `± 5 %`, `+2 -0`, `+2/-1` after a figure; returns the position after it, or undefined. */
function takeTolerance<U>(state: Working<U>, tokens: readonly Token[], at: number): number | undefined {
  const figure = tokens[at + 1];
  if (state.numbers.length === 0 || state.tolerance || !isNumber(figure)) return undefined;
  if (textOf(tokens[at]) === '±') {
    const percent = textOf(tokens[at + 2]) === '%';
    state.tolerance = { plus: figure.value, minus: figure.value, percent };
    return percent ? at + 3 : at + 2;
  }
  if (textOf(tokens[at]) !== '+') return undefined;
  const minusAt = textOf(tokens[at + 2]) === '/' ? at + 3 : at + 2;
  const down = tokens[minusAt + 1];
  if (textOf(tokens[minusAt]) !== '-' || !isNumber(down)) return undefined;
  state.tolerance = { plus: figure.value, minus: down.value, percent: false };
  return minusAt + 2;
}

function takeOther<U>(state: Working<U>, token: Token, before: Token | undefined): void {
  const text = textOf(token) ?? '';
  const limit = LIMIT_OF_MARK.get(text);
  if (limit) {
    state.limits = new Set([...state.limits, limit]);
    state.limitsBetween++;
    return;
  }
  const joins = JOINERS.get(text);
  if (joins) {
    if (state.numbers.length > 0) state.between = joined(state.between, joins);
    else state.joiners = joined(state.joiners, joins);
    return;
  }
  if (text === '±' || text === '%') state.broken = true;
  if (token.kind === 'word' && !FILLERS.has(text) && !isHarmless(text)) state.unread.push(text);
  if (state.numbers.length === 0 || token.kind !== 'word' || FILLERS.has(text)) return;
  // `1e5`, `38x2`: what is grown on to a figure may be part of it.
  if (!token.spaceBefore && isNumber(before)) state.broken = true;
  state.unknownAfterFigure ??= text;
}

function takeUnit<U>(state: Working<U>, match: UnitMatch<U>): void {
  if (state.numbers.length > 0 && state.unknownAfterFigure) state.unknownBeforeUnit = true;
  if (state.numbers.length > 0) close(state, match);
  else if (state.groups.length === 0) state.leadingUnit ??= match;
  else state.broken = true;
}

/** `36 lb ft to 40 lb ft` and `5 mkg to 6` are one range. */
function mergeRanges<U>(groups: readonly Group<U>[]): readonly Group<U>[] {
  if (groups.length < 2) return groups;
  const merged: Group<U>[] = [];
  for (const group of groups) {
    const last = merged.at(-1);
    const joins = last && group.joiners.has('range') && !group.joiners.has('apart') && !group.joiners.has('plus');
    const single = last?.numbers.length === 1 && group.numbers.length === 1 && !last.tolerance && !group.tolerance;
    if (last && joins && single && (group.unit === undefined || sameUnit(last.unit, group.unit)))
      merged[merged.length - 1] = { ...last, numbers: [...last.numbers, ...group.numbers] };
    else merged.push(group);
  }
  return merged;
}

/** Gathers the figures of a printed text into groups, each closed by its unit. */
export function scanGroups<U>(tokens: readonly Token[], matchUnit: MatchUnit<U>): Scan<U> {
  const state: Working<U> = {
    groups: [],
    numbers: [],
    joiners: NONE,
    between: NONE,
    limits: NO_LIMITS,
    limitsBetween: 0,
    unknownBeforeUnit: false,
    negative: false,
    broken: false,
    listed: false,
    unread: [],
  };
  for (let i = 0; i < tokens.length;) {
    const token = tokens[i] as Token;
    const afterTolerance =
      token.kind === 'mark' && (token.text === '±' || token.text === '+')
        ? (takeTolerance(state, tokens, i) ?? takeTrailingTolerance(state, tokens, i, matchUnit))
        : undefined;
    const match = isNumber(token) ? undefined : matchUnit(tokens, i);
    if (afterTolerance) i = afterTolerance;
    else if (isNumber(token)) {
      if (isNegative(state, tokens, i)) state.negative = true;
      addNumber(state, token);
      i++;
    } else if (match) {
      takeUnit(state, match);
      i = match.next;
    } else {
      takeOther(state, token, tokens[i - 1]);
      i++;
    }
  }
  if (state.numbers.length > 0) close(state, state.groups.length === 0 ? state.leadingUnit : undefined);
  const both = state.limits.has('upper-limit') && state.limits.has('lower-limit');
  const row = state.groups.some(({ numbers }) => numbers.length > 2);
  const broken = state.broken || (state.listed && !row);
  const { unknownAfterFigure, unknownBeforeUnit, negative, unread } = state;
  return {
    groups: mergeRanges(state.groups),
    limits: both ? NO_LIMITS : state.limits,
    unknownAfterFigure,
    unknownBeforeUnit,
    negative,
    broken,
    row,
    unread,
  };
}
