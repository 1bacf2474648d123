import { givingOf, plateCompliance, pulled, unpulled } from '@/core/interaction';
import { patternPositions, type PlannedStage, type Position } from '@/core/tightening';
import { DomainError } from '@/core/units';
import type { ClampMapFacts } from './clamp-map-facts';
import type { Joint } from './joint';

/** A pull of the map: which fastener, in which pass, and what every one of them has left then. */
export interface ClampFrame {
  readonly place: number;
  readonly pass: number;
  readonly forces_N: readonly number[];
}

export interface ClampMap {
  readonly frames: readonly ClampFrame[];
  readonly target_N: number;
}

/** How even what is left is. */
export interface Evenness {
  readonly least_N: number;
  readonly mean_N: number;
  readonly most_N: number;
  /** Standard deviation over mean, per cent. */
  readonly variation_pct: number;
}

/** Where the fasteners lie, mm from the least of them. @throws DomainError missing-field */
function places_mm(joint: Joint, pitch_mm: number | null): readonly Position[] {
  if (joint.pattern !== 'free' && pitch_mm === null)
    throw new DomainError('missing-field', 'How far its neighbours lie apart was not said.', 'pitch_mm');
  const placed =
    joint.pattern === 'free'
      ? (joint.detail.places ?? [])
      : patternPositions(joint.pattern, joint.fasteners).map(([x, y]): Position => [
          (x * (pitch_mm ?? 0)) / 100,
          (y * (pitch_mm ?? 0)) / 100,
        ]);
  const [left, top] = [Math.min(...placed.map(([x]) => x)), Math.min(...placed.map(([, y]) => y))];
  return placed.map(([x, y]) => [x - left, y - top]);
}

const TERMS = [24, 16] as const;

/** What gives at each fastener of a joint: the part as a plate on its gasket, and the fastener. @throws DomainError */
export function givingOfJoint(joint: Joint, facts: ClampMapFacts): readonly (readonly number[])[] {
  const { E_GPa, poisson, depth_mm, solid, foundation_N_per_mm3, margin_mm, boltStiffness_N_per_mm } = facts;
  const placed = places_mm(joint, facts.pitch_mm);
  const side = (axis: 0 | 1) => Math.max(...placed.map((place) => place[axis])) + 2 * margin_mm;
  const [length_mm, width_mm] = [side(0), side(1)];
  const { compliance } = plateCompliance({
    length_mm,
    width_mm,
    positions: placed.map(([x, y]): Position => [x + margin_mm, y + margin_mm]),
    D_Nmm: (solid * E_GPa * 1000 * depth_mm ** 3) / (12 * (1 - poisson ** 2)),
    foundation_N_per_mm3,
    poisson,
    terms: length_mm >= width_mm ? TERMS : [TERMS[1], TERMS[0]],
  });
  return givingOf({ compliance, boltStiffness_N_per_mm });
}

/**
 * What the passes of a plan ask of each fastener, N. A stage by angle has no figure of its own.
 * @param final_N clamp load at the final figure, less a torque of `prevailing_Nm` that clamps nothing
 */
export function targetsOf(
  stages: readonly PlannedStage[],
  { final_N, prevailing_Nm }: { readonly final_N: number; readonly prevailing_Nm: number },
): readonly number[] {
  const torques = stages.flatMap((stage) => (stage.turn ? [] : [stage.torque_Nm]));
  const last = torques.at(-1);
  if (last === undefined || !(last > prevailing_Nm))
    throw new DomainError('bad-field', 'There is no figure to pull to, so nothing is left to be shown.', 'stages');
  return torques
    .filter((torque) => torque > prevailing_Nm)
    .map((torque) => (final_N * (torque - prevailing_Nm)) / (last - prevailing_Nm));
}

/** Goes through the passes pull by pull. */
export function clampMap(
  giving: readonly (readonly number[])[],
  order: readonly number[],
  targets_N: readonly number[],
): ClampMap {
  let standing = unpulled(giving.length);
  const frames = targets_N.flatMap((target_N, pass) =>
    order.map((place): ClampFrame => {
      standing = pulled(giving, standing, place, target_N);
      return { place, pass, forces_N: standing.forces_N };
    }),
  );
  return { frames, target_N: Math.max(...targets_N) };
}

/** @param forces_N of at least one fastener, one of which holds */
export function evenness(forces_N: readonly number[]): Evenness {
  const mean_N = forces_N.reduce((sum, one) => sum + one, 0) / forces_N.length;
  const variance = forces_N.reduce((sum, one) => sum + (one - mean_N) ** 2, 0) / forces_N.length;
  return {
    least_N: Math.min(...forces_N),
    mean_N,
    most_N: Math.max(...forces_N),
    variation_pct: (100 * Math.sqrt(variance)) / mean_N,
  };
}

/** Stiffness of a fastener of steel: 205 GPa over its length and one diameter more, for what gives in head and nut. */
export const boltStiffness = (stressArea_mm2: number, length_mm: number, major_mm: number): number =>
  (205e3 * stressArea_mm2) / (length_mm + major_mm);
