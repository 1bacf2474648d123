import { DomainError, assertNotNegative, assertPositive, wrongInput } from '@/core/units';
import { ruleLimits, type ClearanceRule } from './rule';
import { assertLimits, assertResolution, bothResolutions, judge, type Limits, type Verdict } from './verdict';

/** Stations along the length, each a list of diameters round it, mm. */
export type Grid = readonly (readonly number[])[];

export interface Roundness {
  readonly mean_mm: number;
  /** The greatest spread within a station. */
  readonly outOfRound_mm: number;
  /** The spread of the stations' means. */
  readonly taper_mm: number;
}

export interface ClearanceInput {
  readonly journal: Grid;
  readonly bore: Grid;
  readonly limits?: Limits;
  readonly rule?: ClearanceRule;
  /** Of the instrument for the journal, or for both. */
  readonly resolution_mm?: number;
  /** Of the instrument for the bore, where it is another. */
  readonly boreResolution_mm?: number;
  /** What the two are called in a refusal. */
  readonly names?: readonly [inner: string, outer: string];
}

export interface Clearance {
  readonly min_mm: number;
  readonly max_mm: number;
  readonly mean_mm: number;
  readonly wanted?: Limits;
  readonly verdict?: Verdict;
  readonly journal: Roundness;
  readonly bore: Roundness;
}

const MAX = 400;
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values);

function assertGrid(grid: Grid, field: string): void {
  if (!(grid.length >= 1 && grid.length <= MAX)) throw wrongInput(field, `must be a list of 1 to ${MAX} stations.`);
  grid.forEach((station, i) => {
    if (!(station.length >= 1 && station.length <= MAX))
      throw wrongInput(`${field}[${i}]`, `must be a list of 1 to ${MAX} diameters.`);
    station.forEach((diameter, j) => assertPositive(diameter, `${field}[${i}][${j}]`));
  });
}

/** Mean, out-of-round and taper of a grid of diameters. @throws DomainError bad-field */
export function roundness(grid: Grid, field = 'grid'): Roundness {
  assertGrid(grid, field);
  return { mean_mm: mean(grid.flat()), outOfRound_mm: Math.max(...grid.map(spread)), taper_mm: spread(grid.map(mean)) };
}

/**
 * What is wanted: the page's limits, or a rule on the measured diameter, never under its floor. @throws DomainError
 * bad-field
 */
function wantedOf({ limits, rule }: ClearanceInput, diameter_mm: number): Limits | undefined {
  if (limits && rule)
    throw new DomainError('bad-field', 'Give limits or a rule, not both: one of them must govern.', 'rule');
  if (limits) {
    assertLimits(limits, 'limits');
    return limits;
  }
  if (!rule) return undefined;
  const [low, high] = rule.perDiameter;
  assertNotNegative(low, 'rule.perDiameter');
  assertPositive(high, 'rule.perDiameter');
  if (low > high) throw wrongInput('rule.perDiameter', `must rise, got ${low} to ${high}.`);
  assertNotNegative(rule.floor_mm ?? 0, 'rule.floor_mm');
  return ruleLimits(rule, diameter_mm);
}

/**
 * Clearance of a journal in its bore from grids of diameters, mm.
 * min = least bore − greatest journal; max = greatest bore − least journal.
 * @throws DomainError journal-over-bore, bad-field
 */
export function clearance(input: ClearanceInput): Clearance {
  assertResolution(input.resolution_mm);
  assertResolution(input.boreResolution_mm);
  const [journal, bore] = [roundness(input.journal, 'journal'), roundness(input.bore, 'bore')];
  const [inner, outer] = input.names ?? ['journal', 'bore'];
  if (journal.mean_mm >= bore.mean_mm)
    throw new DomainError(
      'journal-over-bore',
      `The ${inner} (${journal.mean_mm.toFixed(4)} mm) is not smaller than its ${outer} (${bore.mean_mm.toFixed(4)} mm). Check the readings and their unit.`,
      'journal',
    );
  const [journals, bores] = [input.journal.flat(), input.bore.flat()];
  const min_mm = Math.min(...bores) - Math.max(...journals);
  const max_mm = Math.max(...bores) - Math.min(...journals);
  const wanted = wantedOf(input, journal.mean_mm);
  return {
    min_mm,
    max_mm,
    mean_mm: bore.mean_mm - journal.mean_mm,
    ...(wanted && {
      wanted,
      verdict: judge(min_mm, max_mm, wanted, bothResolutions(input.resolution_mm, input.boreResolution_mm)),
    }),
    journal,
    bore,
  };
}
