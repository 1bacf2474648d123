import { evenness, goRound, pullsOf, roundOf, type Evenness, type Giving, type RoundPull } from '@/core/interaction';
import type { PlannedStage } from '@/core/tightening';
import {
  asPlanned,
  framesOf,
  passageOf,
  type DrawnByRule,
  type Passage,
  type PassageFrame,
} from '@/model/joint/clamp-left';
import { givingOfJoint, targetsOf } from '@/model/joint/clamp-map';
import type { ClampMapFacts } from '@/model/joint/clamp-map-facts';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import { planOfJoint } from '@/model/joint/round-plan';
import { DomainError } from '@/core/units';
import type { WorkedKind } from './use-whole-joint';

interface Row {
  readonly name: string;
  readonly even: Evenness;
}

/**
 * Ways at the side of a plan. Stages by angle have no figure to pull to and are left out of all of them, the plan too.
 * @param pulls of the plan as it stands
 * @throws DomainError
 */
function worksOf(giving: Giving, turn: readonly number[], targets: readonly number[], pulls: readonly RoundPull[]) {
  const final_N = targets.at(-1) ?? 0;
  const after = (round: readonly RoundPull[]) => evenness(goRound(roundOf(giving, round)));
  const inTurn = (order: readonly number[], passes: readonly number[]) => after(pullsOf(order, passes));
  const confirmed = targets.filter((target) => target === final_N).length > 1;
  const rising = confirmed ? targets.slice(0, -1) : targets;
  const others: readonly Row[] = [
    { name: 'In one pass', even: inTurn(turn, [final_N]) },
    confirmed
      ? { name: 'Without the confirming round', even: inTurn(turn, rising) }
      : { name: 'With a confirming round', even: inTurn(turn, [...targets, final_N]) },
    { name: 'The same turn backwards, as many passes', even: inTurn([...turn].reverse(), targets) },
  ];
  return { giving, turn, targets, final_N, pulls, own: after(pulls), others };
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
  readonly giving: Giving;
  readonly turn: readonly number[];
  readonly frames: readonly PassageFrame[];
  /** Ways at the side of it, where all fasteners are of one kind. */
  readonly works?: ClampWorks;
}

/** What is left as the plan goes on; with stages by angle, and with kinds, pull by pull of the plan itself. @throws DomainError */
export function mapOf({ setting, worked, kinds, stageList, facts }: MapInput): ShownMap {
  const { joint } = setting;
  const { band, prevailing_Nm } = worked.ladder;
  const prevailing = kinds.map(({ kind, worked: of }): readonly [string, number] => {
    if (!of) throw new DomainError('kind-not-reckoned', `What ${kind.name} are pulled to is not known yet.`, 'kinds');
    return [kind.name, of.ladder.prevailing_Nm];
  });
  const plan = planOfJoint(setting);
  const giving = givingOfJoint(joint, facts);
  const passage = passageOf(plan, asPlanned(plan), Object.fromEntries([['', prevailing_Nm], ...prevailing]));
  const shown = { giving, turn: plan.order, frames: framesOf(giving, passage) };
  if (kinds.length > 0) return shown;
  const pulls = passage.moves.flatMap((move): readonly RoundPull[] =>
    move.is === 'pull' && move.share > 0 ? [{ place: move.place, target_N: move.share * band.p50_N }] : [],
  );
  const targets = targetsOf(stageList, { final_N: band.p50_N, prevailing_Nm });
  return { ...shown, works: worksOf(giving, plan.order, targets, pulls) };
}
