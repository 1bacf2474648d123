import type { Shelves } from '@/model/shelf/shelves';
import { stiffness, stretchShareOfYield } from '@/core/fastener';
import { leastArea, MILD_YIELD_MPA, tighteningArm, type LadderFastener } from '@/core/joint';
import { ladderInput } from '@/model/joint/joint-ladder';
import { inputsOf, type EngineRows } from '@/model/engine/engine-rows';
import { inputsOfKinds, ofKind } from '@/model/joint/fastener-kind';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { computeJoint } from '@/model/joint/joint-result';
import type { BoltSet } from '@/model/bolt/bolt-set';
import { otherNumber } from '@/model/bolt/set-number';
import { boltSetState, countingSets, type BoltState } from '@/model/bolt/bolt-state';
import type { Engine } from '@/model/engine/engine';
import type { Joint } from '@/model/joint/joint';

export interface SetPage {
  readonly set: BoltSet;
  /** A later set of its kind took its place, or it is set aside: it counts no more. */
  readonly counts: boolean;
  /** How many fasteners there are of its kind, where the set has another number. */
  readonly fasteners?: number;
  /** What the torque figure of these fasteners comes to; absent where they are no longer of a kind of the joint. */
  readonly figure?: SetFigure;
  readonly bears?: SetBears;
  readonly stiffness_N_per_mm: number;
  readonly bolts: readonly BoltState[];
}

/** The most stretch that is wanted, against what the bolt bears. */
export interface SetBears {
  /** Share of the yield of today's bolt; by that of mild steel where its grade is not known. */
  readonly mostShare: number;
  readonly isGradeKnown: boolean;
}

/** What the torque figure of fasteners comes to, beside their stretch. */
export interface SetFigure {
  /** What it would stretch a bolt with: the clamp load at its middle. */
  readonly preload_N: number;
  /** What one newton of preload costs in torque in today’s film, mm; and the locking nut’s own torque. */
  readonly arm_mm: number;
  readonly prevailing_Nm: number;
}

export interface StretchPage {
  readonly joint: Joint;
  readonly engine: Engine;
  readonly sets: readonly SetPage[];
}

const yieldOf = (today: LadderFastener, set: BoltSet): SetBears => ({
  mostShare: stretchShareOfYield(
    {
      stiffness_N_per_mm: stiffness(set.segments, set.E_GPa),
      least_mm2: leastArea(today),
      yield_MPa: today.yield_MPa ?? MILD_YIELD_MPA,
    },
    set.maxStretch_mm,
  ),
  isGradeKnown: today.yield_MPa !== undefined,
});

/** Today's fasteners of a joint, or of one of its kinds, and what their torque figure comes to. */
function figureOf(inputs: JointInputs): { readonly today: LadderFastener; readonly figure: SetFigure } {
  const { ladder, wrench } = computeJoint(inputs);
  const { today } = ladderInput(inputs, wrench);
  const { friction, band, prevailing_Nm } = ladder;
  const arm_mm = tighteningArm({
    thread: today.thread,
    bearing: today.bearing,
    muThread: friction.thread.middle,
    muHead: friction.head.middle,
  });
  return { today, figure: { preload_N: band.p50_N, arm_mm, prevailing_Nm } };
}

/** The stretch sheets of a joint, each of its own fasteners or of one of their kinds. */
export function stretchPage(rows: EngineRows, jointId: string, now: number, shelves: Shelves): StretchPage | undefined {
  const joint = rows.joints.find(({ id }) => id === jointId);
  if (!joint) return undefined;
  const inputs = inputsOf(rows, joint, shelves, now);
  const kinds = inputsOfKinds(inputs);
  const figures = new Map([
    ['', figureOf(inputs)],
    ...kinds.map(({ kind, inputs: of }) => [kind.name, ofKind(kind, () => figureOf(of))] as const),
  ]);
  const sets = rows.bolts.filter(({ set }) => set.jointId === joint.id);
  const counting = new Set(countingSets(sets).map(({ set }) => set.id));
  return {
    joint,
    engine: rows.engine,
    sets: sets
      .filter(({ set }) => set.aside === undefined)
      .map((one) => {
        const { set } = one;
        const found = figures.get(set.kind);
        const counts = !set.bothEnds || counting.has(set.id);
        const fasteners = counts ? otherNumber(set, joint) : undefined;
        return {
          ...boltSetState(one),
          counts,
          ...(fasteners !== undefined && { fasteners }),
          ...(found && { figure: found.figure, bears: yieldOf(found.today, set) }),
          stiffness_N_per_mm: stiffness(set.segments, set.E_GPa),
        };
      }),
  };
}
