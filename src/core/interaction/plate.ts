import { DomainError, assertFinite, assertPositive, wrongInput } from '@/core/units';
import { MAX_INTERACTING } from './most';
import { dot, factor, forwards } from './positive-definite';

export interface PlateInput {
  readonly length_mm: number;
  readonly width_mm: number;
  /** Where it is pressed upon, from one corner along its length and across it, mm. */
  readonly positions: readonly (readonly [x: number, y: number])[];
  /** Bending stiffness E·h³/12(1 − ν²), less where it is hollow. */
  readonly D_Nmm: number;
  /** Pressure of what it lies on for each mm that it gives. */
  readonly foundation_N_per_mm3: number;
  readonly poisson: number;
  /** Polynomials along and across; as many as the plate asks for if not said. */
  readonly terms?: number | readonly [along: number, across: number];
}

const MOST_TERMS = 48;
const LEAST_TERMS = 4;

/** Polynomials for so many characteristic lengths: found by doubling them until nothing moved by a thousandth. */
const termsFor = (side_mm: number, characteristic_mm: number): number =>
  Math.min(MOST_TERMS, Math.max(16, 2 * Math.ceil(2.5 * (side_mm / characteristic_mm) + 6)));

/** How far an infinite plate carries: l = (D/k)^¼, mm. */
export const characteristicLength = ({
  D_Nmm,
  foundation_N_per_mm3,
}: Pick<PlateInput, 'D_Nmm' | 'foundation_N_per_mm3'>): number => (D_Nmm / foundation_N_per_mm3) ** 0.25;

/** Integrals of Legendre’s normalized polynomials from −1 to 1, and of their derivatives, all of them exact. */
interface Integrals {
  /** ∫ pᵢ″ pⱼ */
  readonly bent: readonly (readonly number[])[];
  /** ∫ pᵢ′ pⱼ′ */
  readonly slopes: readonly (readonly number[])[];
  /** ∫ pᵢ″ pⱼ″ */
  readonly bents: readonly (readonly number[])[];
}

function integrals(terms: number): Integrals {
  const all = Array.from({ length: terms }, (_, i) => i);
  // pᵢ′ = Σ √((2i+1)(2j+1))·pⱼ over every j below i of the other parity.
  const slope = all.map((i) => all.map((j) => (j < i && (i - j) % 2 === 1 ? Math.sqrt((2 * i + 1) * (2 * j + 1)) : 0)));
  const columnOf = (matrix: readonly (readonly number[])[], j: number) => matrix.map((row) => row[j] as number);
  const bent = slope.map((row) => all.map((j) => dot(row, columnOf(slope, j))));
  return {
    bent,
    slopes: slope.map((row) => slope.map((other) => dot(row, other))),
    bents: bent.map((row) => bent.map((other) => dot(row, other))),
  };
}

/** The normalized polynomials at a place between −1 and 1. */
function polynomials(terms: number, place: number): number[] {
  const plain = [1, place];
  for (let n = 1; n + 1 < terms; n++)
    plain.push(((2 * n + 1) * place * (plain[n] as number) - n * (plain[n - 1] as number)) / (n + 1));
  return plain.slice(0, terms).map((value, n) => value * Math.sqrt((2 * n + 1) / 2));
}

function assertPlate(input: PlateInput): void {
  const { length_mm, width_mm, positions, poisson } = input;
  for (const field of ['length_mm', 'width_mm', 'D_Nmm', 'foundation_N_per_mm3'] as const)
    assertPositive(input[field], field);
  assertFinite(poisson, 'poisson');
  if (poisson <= -1 || poisson >= 0.5) throw wrongInput('poisson', `must lie between −1 and 0.5, got ${poisson}.`);
  if (positions.length === 0 || positions.length > MAX_INTERACTING)
    throw wrongInput('positions', `must name 1 to ${MAX_INTERACTING} places on the plate.`);
  positions.forEach(([x, y], i) => {
    if (!(x >= 0 && x <= length_mm && y >= 0 && y <= width_mm))
      throw new DomainError(
        'off-plate',
        `Position ${i + 1}, at ${x} and ${y} mm, lies off the plate of ${length_mm} by ${width_mm} mm.`,
        'positions',
      );
  });
}

function termsOf({ terms, length_mm, width_mm, ...input }: PlateInput): readonly [along: number, across: number] {
  const l = characteristicLength(input);
  const [along, across] =
    terms === undefined
      ? [termsFor(length_mm, l), termsFor(width_mm, l)]
      : typeof terms === 'number'
        ? [terms, terms]
        : terms;
  for (const one of [along, across])
    if (!Number.isInteger(one) || one < LEAST_TERMS || one > MOST_TERMS)
      throw wrongInput('terms', `must be whole numbers from ${LEAST_TERMS} to ${MOST_TERMS}, got ${one}.`);
  return [along, across];
}

/**
 * How far a rectangular plate with free edges, lying on an elastic foundation, gives at each place for a newton at each
 * other: mm/N, symmetric and positive definite. By Ritz with Legendre’s polynomials, the energy of the bent plate and
 * of what it lies on at its least. Even and odd terms never mix, so that they are solved four times a quarter.
 * @throws DomainError off-plate, bad-field, not-positive
 */
export function plateCompliance(input: PlateInput): { readonly compliance: readonly (readonly number[])[] } {
  assertPlate(input);
  const { length_mm, width_mm, positions, D_Nmm: D, foundation_N_per_mm3: k, poisson: nu } = input;
  const [along, across] = termsOf(input);
  const [a, b] = [length_mm / 2, width_mm / 2];
  const [X, Y] = [integrals(along), integrals(across)];
  const places = positions.map(([x, y]) => ({
    along: polynomials(along, x / a - 1),
    across: polynomials(across, y / b - 1),
  }));
  const of = (matrix: readonly (readonly number[])[], i: number, j: number) => matrix[i]?.[j] as number;
  /** Stiffness between the terms (i, m) and (j, n), along and across. */
  const stiffness = (i: number, m: number, j: number, n: number): number => {
    const [sameX, sameY] = [i === j ? 1 : 0, m === n ? 1 : 0];
    const bending =
      (of(X.bents, i, j) * sameY) / a ** 4 +
      (sameX * of(Y.bents, m, n)) / b ** 4 +
      (nu * (of(X.bent, i, j) * of(Y.bent, n, m) + of(X.bent, j, i) * of(Y.bent, m, n))) / (a * b) ** 2 +
      (2 * (1 - nu) * of(X.slopes, i, j) * of(Y.slopes, m, n)) / (a * b) ** 2;
    return a * b * (D * bending + k * sameX * sameY);
  };
  const compliance = positions.map(() => positions.map(() => 0));
  for (const oddX of [0, 1])
    for (const oddY of [0, 1]) {
      const terms: (readonly [i: number, m: number])[] = [];
      for (let i = oddX; i < along; i += 2) for (let m = oddY; m < across; m += 2) terms.push([i, m]);
      const factored = factor(
        terms.map(([i, m], row) => terms.map(([j, n], column) => (column <= row ? stiffness(i, m, j, n) : 0))),
      );
      const pressed = places.map((place) =>
        forwards(
          factored,
          terms.map(([i, m]) => (place.along[i] as number) * (place.across[m] as number)),
        ),
      );
      pressed.forEach((one, i) =>
        pressed.slice(0, i + 1).forEach((other, j) => {
          (compliance[i] as number[])[j] = ((compliance[i] as number[])[j] as number) + dot(one, other);
        }),
      );
    }
  return {
    compliance: compliance.map((row, i) => row.map((value, j) => (j <= i ? value : (compliance[j]?.[i] as number)))),
  };
}
