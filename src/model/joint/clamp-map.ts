import { givingAlike, givingOf, plateCompliance, type Giving } from '@/core/interaction';
import type { ClampBand } from '@/core/joint';
import type { ClampDeviations } from '@/core/statistics';
import { threadNamed } from '@/core/thread';
import { patternPositions, type PlannedStage, type Position } from '@/core/tightening';
import { DomainError } from '@/core/units';
import type { ClampMapFacts } from './clamp-map-facts';
import type { Joint } from './joint';

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

const areaOf = (thread: string): number => threadNamed(thread).stressArea_mm2;

/**
 * How stiff each fastener is: one of another kind by how much more metal it has than the joint’s own, as long as they.
 */
function stiffnesses({ fasteners, thread, detail }: Joint, own_N_per_mm: number): readonly number[] {
  const own_mm2 = areaOf(detail.today?.thread ?? thread);
  const of = (place: number) => {
    const kind = detail.kinds.find(({ places }) => places.includes(place));
    return kind ? (own_N_per_mm * areaOf(kind.detail.today?.thread ?? kind.fields.thread)) / own_mm2 : own_N_per_mm;
  };
  return Array.from({ length: fasteners }, (_, place) => of(place));
}

/** What gives at each fastener of a joint: the part as a plate on its gasket, and the fastener. @throws DomainError */
export function givingOfJoint(joint: Joint, facts: ClampMapFacts): Giving {
  const { E_GPa, poisson, depth_mm, solid, foundation_N_per_mm3, unloading, margin_mm, boltStiffness_N_per_mm } = facts;
  const placed = places_mm(joint, facts.pitch_mm);
  const side = (axis: 0 | 1) => Math.max(...placed.map((place) => place[axis])) + 2 * margin_mm;
  const [length_mm, width_mm] = [side(0), side(1)];
  const onBedding = (bedding_N_per_mm3: number) => {
    const { compliance } = plateCompliance({
      length_mm,
      width_mm,
      positions: placed.map(([x, y]): Position => [x + margin_mm, y + margin_mm]),
      D_Nmm: (solid * E_GPa * 1000 * depth_mm ** 3) / (12 * (1 - poisson ** 2)),
      foundation_N_per_mm3: bedding_N_per_mm3,
      poisson,
      terms: length_mm >= width_mm ? TERMS : [TERMS[1], TERMS[0]],
    });
    return givingOf({ compliance, boltStiffness_N_per_mm: stiffnesses(joint, boltStiffness_N_per_mm) });
  };
  const loading = onBedding(foundation_N_per_mm3);
  return unloading === 1 ? givingAlike(loading) : { loading, unloading: onBedding(foundation_N_per_mm3 * unloading) };
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

const TWO_SIDED_90 = 2 * 1.6449;
const TWO_DEVIATIONS_PCT = 200;

/**
 * What of a joint's band is alike at all its fasteners and what is another at each. The wrench errs anew at every pull;
 * of the rest, half the variance is the batch's and half each nut's own.
 * @source the halves are a judgement, until somebody has measured their own
 */
export function deviationsOf({ p5_N, p95_N }: ClampBand, wrenchAccuracy_pct: number): ClampDeviations {
  const whole = Math.log(p95_N / p5_N) / TWO_SIDED_90;
  const pull = wrenchAccuracy_pct / TWO_DEVIATIONS_PCT;
  const half = Math.sqrt(Math.max(0, whole ** 2 - pull ** 2) / 2);
  return { batch: half, nut: half, pull };
}

// Places that lie as far from the middle, but for how they were measured.
const SAME_RING = 0.05;

/** Which ring about the middle of them all each fastener lies in, 0 the innermost. */
export function ringsOf(positions: readonly Position[]): readonly number[] {
  const middle = (axis: 0 | 1) => {
    const all = positions.map((place) => place[axis]);
    return (Math.min(...all) + Math.max(...all)) / 2;
  };
  const [x, y] = [middle(0), middle(1)];
  const away = positions.map((place) => Math.hypot(place[0] - x, place[1] - y));
  const most = Math.max(...away);
  const rings: number[] = [];
  for (const one of [...away].sort((a, b) => a - b))
    if (rings.length === 0 || one - (rings.at(-1) as number) > SAME_RING * most) rings.push(one);
  return away.map((one) => rings.findLastIndex((ring) => ring <= one));
}
