import type { Guard } from '@/core/joint';
import { kindsPlan, type Plan, type PlannedStage } from '@/core/tightening';
import { DomainError } from '@/core/units';
import { ofKind } from './fastener-kind';
import { careOf } from './joint-detail';
import type { JointInputs } from './joint-inputs';
import { sourceLine, todayFacts } from './joint-ladder';
import {
  computeJoint,
  computeKinds,
  filmsName,
  filmsOf,
  judgedWhole,
  stagesOfJoint,
  type JointResult,
} from './joint-result';
import { positionsOf, shaftOf, shapeOfPlan } from './joint-shape';
import { ownPlaces } from './kind-places';
import { shapeChanges } from './sheet-changes';
import { endsInTurn, type PlannedFigure, type TighteningPlan } from './tightening-plan';

interface PlanOptions {
  /** Why it is pulled although something stands against it. */
  readonly reason?: string;
  /** True while a strip lies in a bearing: nothing asks for a turn of the shaft. */
  readonly crankHeld?: boolean;
  /** What stands against it from outside the joint. */
  readonly alsoAgainst?: readonly Guard[];
}

/** How the fasteners of a joint come up, once the stages of each kind are known. @throws DomainError */
export const stepsOfJoint = (
  { joint }: Pick<JointInputs, 'joint'>,
  ownStages: readonly PlannedStage[],
  kinds: readonly { readonly places: readonly number[]; readonly stages: readonly PlannedStage[] }[],
  turnShaft: boolean | 'before-last',
): Plan =>
  kindsPlan({
    ...shapeOfPlan(joint),
    kinds: [{ places: ownPlaces(joint), stages: ownStages }, ...kinds],
    together: joint.detail.kindTurn,
    sequence: joint.detail.kindSequence,
    unitOfWork: joint.unitOfWork,
    turnShaft,
  });

/** What a plan keeps of the figure of one kind. */
export function plannedFigure(setting: JointInputs, worked: JointResult): PlannedFigure {
  const { joint, leaf, source } = setting;
  const { rungs, printed_Nm, target_Nm, setting: onWrench, band, notes } = worked.ladder;
  const { thread, locking } = todayFacts(setting);
  return {
    unit: worked.wrench.unit,
    wrenchName: worked.wrench.name,
    leaf: {
      printedText: leaf.printedText,
      source: sourceLine(source),
      page: leaf.page,
      ...(joint.detail.leafReason && { reason: joint.detail.leafReason }),
    },
    filmName: filmsName(setting),
    films: filmsOf(joint),
    thread,
    locking,
    ladder: { rungs, printed_Nm, target_Nm, setting: onWrench, band, notes },
  };
}

/** The plan of a going-round, to be kept with it. @throws DomainError */
export function planOfJoint(setting: JointInputs, options: PlanOptions = {}): TighteningPlan {
  const { joint } = setting;
  const worked = computeJoint(setting);
  const kinds = computeKinds(setting);
  const { order, steps } = stepsOfJoint(
    setting,
    stagesOfJoint(setting, worked),
    kinds.map((one) => ({
      places: one.kind.places,
      stages: ofKind(one.kind, () => stagesOfJoint(one.inputs, one.worked)),
    })),
    options.crankHeld ? false : shaftOf(joint),
  );
  const { guards, unknown } = judgedWhole(worked, kinds);
  return {
    positions: positionsOf(joint),
    order,
    steps,
    ...plannedFigure(setting, worked),
    ...(kinds.length > 0 && {
      kinds: kinds.map((one) => ({
        name: one.kind.name,
        places: one.kind.places,
        ...plannedFigure(one.inputs, one.worked),
      })),
    }),
    // What a round keeps is the sentence; its working is come to anew from the ladder.
    guards: [...guards, ...(options.alsoAgainst ?? [])].map(({ working: _, source: __, ...guard }) => guard),
    unknown,
    care: careOf(joint.detail, setting.shelves.practice),
    act: 'pull',
    asksOver: true,
    track: setting.shelves.practice.track,
    ...(options.reason && { reason: options.reason }),
  };
}

interface RetorqueOptions extends PlanOptions {
  /** The heat cycle that it answers. */
  readonly cycleId: string;
  /** What stands against the figure as it was pulled. */
  readonly guards: readonly Guard[];
}

/**
 * The plan of a retorque: once round at the final figure. Thread, film, face, wrench and figure are those of the
 * going-round that made the joint tight, whatever its sheet says today: it is that thread that is under the nut.
 * @throws DomainError left-by-angle
 */
export function retorquePlan(
  { joint }: Pick<JointInputs, 'joint'>,
  pulled: TighteningPlan,
  { cycleId, guards, alsoAgainst = [], reason }: RetorqueOptions,
): TighteningPlan {
  if (endsInTurn(pulled))
    throw new DomainError(
      'left-by-angle',
      'This joint was left by an angle, and no figure tells what it holds: go by the page.',
      'cycleId',
    );
  const kinds = pulled.kinds ?? [];
  const others = new Set(kinds.flatMap(({ places }) => places));
  const own = pulled.positions.flatMap((_, place) => (others.has(place) ? [] : [place]));
  const { order, steps } = kindsPlan({
    ...(shapeChanges(pulled.positions, joint).length === 0
      ? shapeOfPlan(joint)
      : // The sheet says how others will lie in the next round; what was pulled is gone over in the turn it was pulled in.
        { positions: pulled.positions, school: 'as-printed' as const, turn: pulled.order, perGroup: 1 }),
    kinds: [{ places: own, ladder: pulled.ladder }, ...kinds].map(({ places, ladder: { setting, target_Nm } }) => {
      const last = pulled.steps.findLast((step) => step.kind === 'pull' && places.includes(step.position));
      const stage = last?.kind === 'pull' ? last : { setting: setting.rounded, torque_Nm: target_Nm };
      return { places, stages: [{ setting: stage.setting, torque_Nm: stage.torque_Nm }] };
    }),
    together: joint.detail.kindTurn === 'one-turn' ? 'one-turn' : 'by-stage',
    unitOfWork: 'row',
    turnShaft: false,
  });
  const { reason: _, ...kept } = pulled;
  return {
    ...kept,
    order,
    steps,
    guards: [...guards, ...alsoAgainst],
    act: joint.retorqueSchool === 'slacken' ? 'slacken-and-pull' : 'pull',
    ...(joint.retorqueSchool === 'slacken' &&
      joint.detail.slackenBy_deg !== null && { slackenBy_deg: joint.detail.slackenBy_deg }),
    asksOver: true,
    ...(reason && { reason }),
    cycleId,
  };
}
