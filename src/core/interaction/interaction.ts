import { assertPositive, wrongInput } from '@/core/units';
import { dot, factor, part, type Matrix } from './positive-definite';
import { MAX_INTERACTING } from './most';
import { settled } from './settled';

export interface InteractionPass {
  /** Fasteners as they are pulled, counted from 0; one may be left out, or come again. */
  readonly order: readonly number[];
  readonly target_N: number;
}

export interface InteractionInput {
  /** How far the joint gives at each fastener for a newton at each other, mm/N. */
  readonly compliance: Matrix;
  readonly boltStiffness_N_per_mm: number | readonly number[];
  readonly passes: readonly InteractionPass[];
}

export interface Interaction {
  /** Clamp load left in each fastener at the end; 0 of one that was never pulled. */
  readonly forces_N: readonly number[];
  /** The same after each pass. */
  readonly afterPass: readonly (readonly number[])[];
}

// Given to a part in a million, a table is symmetric.
const SYMMETRY = 1e-6;

function assertSquare(compliance: Matrix): void {
  const n = compliance.length;
  const refuse = (says: string): never => {
    throw wrongInput('compliance', says);
  };
  if (n === 0 || n > MAX_INTERACTING) refuse(`must be of 1 to ${MAX_INTERACTING} fasteners, got ${n}.`);
  const largest = Math.max(...compliance.flat().map(Math.abs));
  compliance.forEach((row, i) => {
    if (row.length !== n) refuse(`must be square: row ${i + 1} has ${row.length} of ${n}.`);
    row.forEach((value, j) => {
      if (!Number.isFinite(value)) refuse('must be of finite numbers.');
      if (Math.abs(value - (compliance[j]?.[i] ?? NaN)) > SYMMETRY * largest)
        refuse(`must be symmetric: ${i + 1} on ${j + 1} is not ${j + 1} on ${i + 1}.`);
    });
  });
}

function stiffnessesOf(given: number | readonly number[], n: number): readonly number[] {
  const all = typeof given === 'number' ? Array.from({ length: n }, () => given) : given;
  if (all.length !== n)
    throw wrongInput('boltStiffness_N_per_mm', `must be one number, or one of each of ${n} fasteners.`);
  for (const one of all) assertPositive(one, 'boltStiffness_N_per_mm');
  return all;
}

function assertPasses(passes: readonly InteractionPass[], n: number): void {
  if (passes.length === 0) throw wrongInput('passes', 'must name at least one pass.');
  for (const { order, target_N } of passes) {
    assertPositive(target_N, 'target_N');
    for (const one of order)
      if (!Number.isInteger(one) || one < 0 || one >= n)
        throw wrongInput('order', `names fastener ${one}; they count from 0 to ${n - 1}.`);
  }
}

/** What gives at each fastener: the joint, and the fastener itself in its own place. */
export function givingOf({ compliance, boltStiffness_N_per_mm }: Omit<InteractionInput, 'passes'>): Matrix {
  assertSquare(compliance);
  const stiffness = stiffnessesOf(boltStiffness_N_per_mm, compliance.length);
  const giving = compliance.map((row, i) =>
    row.map((value, j) => value + (i === j ? 1 / (stiffness[i] as number) : 0)),
  );
  // Said at once, and not by whichever pull comes upon it.
  factor(giving);
  return giving;
}

/**
 * What gives at each fastener as a gasket is pressed further than it ever was, and as it springs back or is pressed
 * again as far as before: then it is several times as stiff.
 */
export interface Giving {
  readonly loading: Matrix;
  readonly unloading: Matrix;
}

/** Of a joint that gives as much either way. */
export const givingAlike = (giving: Matrix): Giving => ({ loading: giving, unloading: giving });

/** Fasteners and how far each nut was turned down, as a round goes on. */
export interface Standing {
  /** What gave when the advances were told; nothing where no nut was pulled yet. */
  readonly by?: Matrix;
  readonly forces_N: readonly number[];
  /** Advance of each nut, mm; undefined of one that was not pulled yet. */
  readonly advances_mm: readonly (number | undefined)[];
}

export const unpulled = (n: number): Standing => ({
  forces_N: Array.from({ length: n }, () => 0),
  advances_mm: Array.from({ length: n }, () => undefined),
});

/**
 * The same forces told by what gives from now on: the set that a gasket took is no advance of a nut any more. What is
 * missing to a nut that is loose stays missing.
 */
function toldBy(giving: Matrix, standing: Standing): Standing {
  const { by, forces_N, advances_mm } = standing;
  if (by === giving || by === undefined) return { ...standing, by: giving };
  const moved = advances_mm.map((advance, i) => {
    if (advance === undefined) return undefined;
    return advance + dot(giving[i] as readonly number[], forces_N) - dot(by[i] as readonly number[], forces_N);
  });
  return { by: giving, forces_N, advances_mm: moved };
}

/**
 * One nut pulled to a clamp load: its own advance is what it takes, that of every other nut stays. A nut that holds as
 * much already does not move. No nut pushes: one that is let go of altogether stands loose until it is reached again.
 */
export function pulled(giving: Matrix, before: Standing, nut: number, target_N: number): Standing {
  if (before.advances_mm[nut] !== undefined && (before.forces_N[nut] as number) >= target_N) return before;
  const { forces_N, advances_mm } = toldBy(giving, before);
  const others = advances_mm.flatMap((advance, i) => (advance !== undefined && i !== nut ? [i] : []));
  // With the pulled nut at its load the rest is as it would be under a load from outside.
  const right = others.map((i) => (advances_mm[i] as number) - (giving[i]?.[nut] as number) * target_N);
  const left = settled(part(giving, others), right);
  const forces = forces_N.map(() => 0);
  forces[nut] = target_N;
  others.forEach((one, i) => {
    forces[one] = left[i] as number;
  });
  const advance = forces.reduce((sum, force, i) => sum + (giving[nut]?.[i] as number) * force, 0);
  return { by: giving, forces_N: forces, advances_mm: advances_mm.map((one, i) => (i === nut ? advance : one)) };
}

/** What all hold once each nut stands where it was turned to. */
function settledAt(giving: Matrix, advances_mm: Standing['advances_mm']): Standing {
  const taking = advances_mm.flatMap((advance, i) => (advance === undefined ? [] : [i]));
  const left = settled(
    part(giving, taking),
    taking.map((i) => advances_mm[i] as number),
  );
  const forces = advances_mm.map(() => 0);
  taking.forEach((one, i) => {
    forces[one] = left[i] as number;
  });
  return { by: giving, forces_N: forces, advances_mm };
}

/**
 * One nut turned on from where it stands; every other nut stays.
 * @param advance_mm how far it comes down: its pitch for a whole turn
 */
export const turnedOn = (giving: Matrix, before: Standing, nut: number, advance_mm: number): Standing =>
  settledAt(
    giving,
    toldBy(giving, before).advances_mm.map((one, i) => (i === nut ? (one ?? 0) + advance_mm : one)),
  );

/** One nut slackened until it holds nothing: what it held comes on the others. */
export const slackened = (giving: Matrix, before: Standing, nut: number): Standing =>
  settledAt(
    giving,
    toldBy(giving, before).advances_mm.map((one, i) => (i === nut ? undefined : one)),
  );

/**
 * What a round leaves in each fastener: elastic interaction through the joint, by linear complementarity.
 * (A + diag(1/k))·F = s over the nuts taking part, F ≥ 0.
 * @throws DomainError bad-field, not-positive, not-positive-definite
 */
export function interaction(input: InteractionInput): Interaction {
  const giving = givingOf(input);
  assertPasses(input.passes, giving.length);
  let standing = unpulled(giving.length);
  const afterPass = input.passes.map(({ order, target_N }) => {
    for (const nut of order) standing = pulled(giving, standing, nut, target_N);
    return standing.forces_N;
  });
  return { forces_N: standing.forces_N, afterPass };
}
