import { DomainError, assertFinite, assertNotNegative, assertPositive, INCH_MM, wrongInput } from '@/core/units';
import { assertLimits, judge, type Limits, type Verdict } from './verdict';

const CUBIC_INCH_CC = 16.387064;
const MM3_PER_CC = 1000;
const area = (diameter_mm: number) => (Math.PI / 4) * diameter_mm ** 2;

export interface Displacement {
  readonly swept_cc: number;
  readonly total_cc: number;
  readonly total_cuin: number;
  /** Without the overbore, where one was given. */
  readonly standard_cc?: number;
}

/** Swept volume of one cylinder and of all; the overbore is on the diameter. @throws DomainError bad-field */
export function displacement(
  bore_mm: number,
  stroke_mm: number,
  cylinders: number,
  overbore_mm?: number,
): Displacement {
  assertPositive(bore_mm, 'bore_mm');
  assertPositive(stroke_mm, 'stroke_mm');
  if (!Number.isInteger(cylinders) || cylinders < 1 || cylinders > 48)
    throw wrongInput('cylinders', `must be a whole number from 1 to 48, got ${cylinders}.`);
  if (overbore_mm !== undefined) assertNotNegative(overbore_mm, 'overbore_mm');
  const swept = (bore: number) => (area(bore) * stroke_mm) / MM3_PER_CC;
  const swept_cc = swept(bore_mm + (overbore_mm ?? 0));
  const found = { swept_cc, total_cc: swept_cc * cylinders, total_cuin: (swept_cc * cylinders) / CUBIC_INCH_CC };
  return overbore_mm === undefined ? found : { ...found, standard_cc: swept(bore_mm) * cylinders };
}

export interface CompressionInput {
  readonly bore_mm: number;
  readonly stroke_mm: number;
  readonly chamber_cc: number;
  readonly gasket: { readonly bore_mm: number; readonly thickness_mm: number };
  /** Positive with the piston below the face. */
  readonly deck_mm: number;
  /** Positive for a dish. */
  readonly crown_cc: number;
}

/**
 * ratio = (swept + clearance)/clearance, clearance from chamber, gasket, deck and crown. @throws DomainError
 * bad-field
 */
export function compression({ bore_mm, stroke_mm, chamber_cc, gasket, deck_mm, crown_cc }: CompressionInput) {
  assertPositive(bore_mm, 'bore_mm');
  assertPositive(stroke_mm, 'stroke_mm');
  assertNotNegative(chamber_cc, 'chamber_cc');
  assertPositive(gasket.bore_mm, 'gasket.bore_mm');
  assertNotNegative(gasket.thickness_mm, 'gasket.thickness_mm');
  assertFinite(deck_mm, 'deck_mm');
  assertFinite(crown_cc, 'crown_cc');
  const swept_cc = (area(bore_mm) * stroke_mm) / MM3_PER_CC;
  const clearance_cc =
    chamber_cc + (area(gasket.bore_mm) * gasket.thickness_mm + area(bore_mm) * deck_mm) / MM3_PER_CC + crown_cc;
  if (!(clearance_cc > 0))
    throw new DomainError(
      'bad-field',
      `The volume left above the piston comes to ${clearance_cc.toFixed(2)} cc: the piston would meet the head.`,
      'chamber_cc',
    );
  return { ratio: (swept_cc + clearance_cc) / clearance_cc, swept_cc, clearance_cc };
}

export interface RingGap {
  readonly wanted: Limits;
  /** What is missing to the least gap, or 0: filing never closes a gap. */
  readonly file_mm: number;
  readonly verdict: Verdict;
}

function assertShares([low, high]: readonly [number, number]): void {
  assertPositive(low, 'wanted.perBore[0]');
  assertPositive(high, 'wanted.perBore[1]');
  if (low > high) throw wrongInput('wanted.perBore', `must rise, got ${low} to ${high}.`);
}

/** A ring's gap in its own bore against limits or a rule on the bore. @throws DomainError bad-field */
export function ringGap(
  bore_mm: number,
  gap_mm: number,
  wanted: Limits | { readonly perBore: readonly [number, number] },
): RingGap {
  assertPositive(bore_mm, 'bore_mm');
  assertNotNegative(gap_mm, 'gap_mm');
  if ('perBore' in wanted) assertShares(wanted.perBore);
  const limits =
    'perBore' in wanted ? { min_mm: wanted.perBore[0] * bore_mm, max_mm: wanted.perBore[1] * bore_mm } : wanted;
  assertLimits(limits, 'wanted');
  return { wanted: limits, file_mm: Math.max(0, limits.min_mm - gap_mm), verdict: judge(gap_mm, gap_mm, limits) };
}

export interface RodWeight {
  readonly big_g: number;
  readonly small_g: number;
}

const MAX = 48;

function lightest(
  weights_g: readonly number[],
  field: (i: number) => string,
): { readonly target: number; readonly remove: readonly number[] } {
  weights_g.forEach((weight, i) => assertPositive(weight, field(i)));
  const target = Math.min(...weights_g);
  return { target, remove: weights_g.map((weight) => weight - target) };
}

function assertSet(count: number, tolerance_g: number, field: string): void {
  if (!(count >= 1 && count <= MAX)) throw wrongInput(field, `must be a list of 1 to ${MAX}.`);
  assertNotNegative(tolerance_g, 'tolerance_g');
}

/** What to take off each piece to come down to the lightest. @throws DomainError bad-field */
export function matchPieces(pieces_g: readonly number[], tolerance_g: number) {
  assertSet(pieces_g.length, tolerance_g, 'pieces_g');
  const { target, remove } = lightest(pieces_g, (i) => `pieces_g[${i}]`);
  return { target, remove, alreadyMatched: remove.every((excess) => excess <= tolerance_g) };
}

/** The same for rods, end by end. @throws DomainError bad-field */
export function matchRods(rods: readonly RodWeight[], tolerance_g: number) {
  assertSet(rods.length, tolerance_g, 'rods');
  const big = lightest(
    rods.map((rod) => rod.big_g),
    (i) => `rods[${i}].big_g`,
  );
  const small = lightest(
    rods.map((rod) => rod.small_g),
    (i) => `rods[${i}].small_g`,
  );
  const remove = rods.map((_, i): RodWeight => ({ big_g: big.remove[i] ?? 0, small_g: small.remove[i] ?? 0 }));
  const alreadyMatched = [...big.remove, ...small.remove].every((excess) => excess <= tolerance_g);
  return { target: { big_g: big.target, small_g: small.target }, remove, alreadyMatched };
}

/** Shells are sold in both, and measured in either. */
const inBoth = (mm: number) => `${Number(mm.toFixed(4))} mm (${Number((mm / INCH_MM).toFixed(5))} in)`;

/**
 * Which bearing shell: journal undersize or housing oversize, as the nearest step.
 * @throws DomainError between-sizes, bad-field
 */
export function bearingSize(
  measured_mm: number,
  standard_mm: number,
  steps_mm: readonly number[],
  kind: 'journal' | 'housing',
  tolerance_mm: number,
) {
  assertPositive(measured_mm, 'measured_mm');
  assertPositive(standard_mm, 'standard_mm');
  assertNotNegative(tolerance_mm, 'tolerance_mm');
  if (steps_mm.length > MAX) throw wrongInput('steps_mm', `must be a list of at most ${MAX}.`);
  steps_mm.forEach((step, i) => assertNotNegative(step, `steps_mm[${i}]`));
  const away = kind === 'journal' ? standard_mm - measured_mm : measured_mm - standard_mm;
  const step_mm = [0, ...steps_mm].reduce((best, step) =>
    Math.abs(step - away) < Math.abs(best - away) ? step : best,
  );
  const off_mm = measured_mm - (kind === 'journal' ? standard_mm - step_mm : standard_mm + step_mm);
  if (Math.abs(off_mm) > tolerance_mm + 1e-12)
    throw new DomainError(
      'between-sizes',
      `${inBoth(measured_mm)} lies between sizes: the nearest is ${inBoth(step_mm)} ${kind === 'journal' ? 'under' : 'over'}, ${inBoth(Math.abs(off_mm))} away. Measure again, or machine to a size.`,
      'measured_mm',
    );
  return { step_mm, off_mm };
}
