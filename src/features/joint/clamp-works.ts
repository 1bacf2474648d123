import { evenness, goRound, pullsOf, roundOf, type Evenness } from '@/core/interaction';
import type { PlannedStage } from '@/core/tightening';
import {
  asPlanned,
  framesOf,
  passageOf,
  type DrawnByRule,
  type Passage,
  type PassageFrame,
} from '@/model/joint/clamp-left';
import { clampMap, givingOfJoint, targetsOf } from '@/model/joint/clamp-map';
import type { ClampMapFacts } from '@/model/joint/clamp-map-facts';
import type { Joint } from '@/model/joint/joint';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import { turnOf } from '@/model/joint/joint-shape';
import { planOfJoint } from '@/model/joint/round-plan';
import { DomainError } from '@/core/units';
import type { WorkedKind } from './use-whole-joint';

interface Row {
  readonly name: string;
  readonly even: Evenness;
}

/** Everything that is shown of a plan: its pulls, and other ways at the side of it. @throws DomainError */
function worksOf(joint: Joint, facts: ClampMapFacts, targets: readonly number[]) {
  const giving = givingOfJoint(joint, facts);
  const turn = turnOf(joint);
  const final_N = targets.at(-1) ?? 0;
  const after = (order: readonly number[], passes: readonly number[]) =>
    evenness(goRound(roundOf(giving, pullsOf(order, passes))));
  const confirmed = targets.filter((target) => target === final_N).length > 1;
  const rising = confirmed ? targets.slice(0, -1) : targets;
  const others: readonly Row[] = [
    { name: 'In one pass', even: after(turn, [final_N]) },
    confirmed
      ? { name: 'Without the confirming round', even: after(turn, rising) }
      : { name: 'With a confirming round', even: after(turn, [...targets, final_N]) },
    { name: 'The same turn backwards, as many passes', even: after([...turn].reverse(), targets) },
  ];
  const map = clampMap(giving, turn, targets);
  return { giving, turn, targets, map, own: evenness(map.frames.at(-1)?.forces_N ?? []), others };
}

export type ClampWorks = ReturnType<typeof worksOf>;

/** A round as it was pulled, and of how much of it less is known than is drawn. */
export interface AsPulled extends Passage {
  readonly drawn: DrawnByRule;
}

interface MapInput {
  readonly setting: JointInputs;
  readonly worked: JointResult;
  readonly kinds: readonly WorkedKind[];
  readonly stageList: readonly PlannedStage[];
  readonly facts: ClampMapFacts;
}

interface ShownMap {
  readonly giving: readonly (readonly number[])[];
  readonly turn: readonly number[];
  readonly frames: readonly PassageFrame[];
  /** Ways at the side of it, where all fasteners are of one kind. */
  readonly works?: ClampWorks;
}

/** What is left as the plan goes on; with stages by angle, and with kinds, pull by pull of the plan itself. @throws DomainError */
export function mapOf({ setting, worked, kinds, stageList, facts }: MapInput): ShownMap {
  const { joint } = setting;
  const { band, prevailing_Nm } = worked.ladder;
  const works =
    kinds.length === 0
      ? worksOf(joint, facts, targetsOf(stageList, { final_N: band.p50_N, prevailing_Nm }))
      : undefined;
  const prevailing = kinds.map(({ kind, worked: of }): readonly [string, number] => {
    if (!of) throw new DomainError('kind-not-reckoned', `What ${kind.name} are pulled to is not known yet.`, 'kinds');
    return [kind.name, of.ladder.prevailing_Nm];
  });
  const plan = planOfJoint(setting);
  const giving = works?.giving ?? givingOfJoint(joint, facts);
  const passage = passageOf(plan, asPlanned(plan), Object.fromEntries([['', prevailing_Nm], ...prevailing]));
  return { giving, turn: plan.order, frames: framesOf(giving, passage), ...(works && { works }) };
}
