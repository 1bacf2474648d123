import { readingOfLeaf, turnsOfLeaf } from '@/model/book/leaf-figure';
import { usualBearingFace } from '@/core/fastener';
import { ladder, type Guard, type Ladder, type Unknown } from '@/core/joint';
import { threadNamed } from '@/core/thread';
import { stages, type PlannedStage } from '@/core/tightening';
import { DomainError, torqueFromSi, torqueToSi } from '@/core/units';
import { chooseWrench, windowFloor, type WrenchChoice } from '@/core/wrench';
import type { FastenerKind } from './joint-detail';
import { isOverdue, judgedJoint } from './joint-guards';
import { ladderInput, scaleOf } from './joint-ladder';
import type { Joint } from './joint';
import type { Wrench } from '@/model/shelf/wrench';
import type { JointInputs } from './joint-inputs';
import { filmOn, hangsHere, isOffered } from '@/model/shelf/shelves';
import { inputsOfKinds, ofKind, type KindInputs } from './fastener-kind';
import type { TighteningPlan } from './tightening-plan';

/** A joint worked out: its ladder, the wrench it is for and why, and what stands against it. */
export interface JointResult {
  readonly ladder: Ladder;
  readonly wrench: Wrench;
  readonly choice: WrenchChoice;
  readonly guards: readonly Guard[];
  /** What is not known of it, and could not be judged. */
  readonly unknown: readonly Unknown[];
}

function wrenchNamed({ joint, shelves }: JointInputs, id = joint.wrenchId): Wrench {
  const wrench = shelves.wrenches.find((one) => one.id === id);
  if (!wrench) throw new DomainError('not-found', 'That wrench is not on the shelf.', 'wrenchId');
  return wrench;
}

/** The joint's ladder, from its leaf to its wrench. @throws DomainError */
export function computeJoint(setting: JointInputs): JointResult {
  const { joint, shelves } = setting;
  const byHand = wrenchNamed(setting);
  const first = ladder(ladderInput(setting, byHand));
  // What came with somebody's build is not in this shop: it is taken only where nothing hangs here.
  const here = shelves.wrenches.filter(isOffered);
  const shelf = (shelves.wrenches.some(hangsHere) ? here : shelves.wrenches).map((wrench) => ({
    ...scaleOf(wrench),
    id: wrench.id,
    overdue: isOverdue(wrench, setting),
  }));
  const adaptor = joint.detail.overrides.adaptor ? undefined : (joint.detail.adaptor ?? undefined);
  const choice = chooseWrench(first.target_Nm, shelf, shelves.practice.window, adaptor);
  const chosen = joint.detail.wrenchByHand || !choice.chosen ? byHand : wrenchNamed(setting, choice.chosen.id);
  const worked = chosen === byHand ? first : ladder(ladderInput(setting, chosen));
  const judged = judgedJoint(setting, worked, chosen);
  const low = stageGuards(setting, worked, chosen);
  return { ladder: worked, wrench: chosen, choice, guards: [...judged.guards, ...low], unknown: judged.unknown };
}

/** Stages before the last that the wrench cannot be set to, or is not trusted at; the last is judged with the figure. */
function stageGuards(setting: JointInputs, worked: Ladder, wrench: Wrench): readonly Guard[] {
  if (!worked.setting.onScale) return [];
  const { window } = setting.shelves.practice;
  const floor = Math.max(wrench.min, windowFloor(wrench, window));
  const figures = stagesOfJoint(setting, { ladder: worked, wrench }).flatMap((stage) =>
    stage.turn ? [] : [stage.setting],
  );
  const low = figures.filter((figure) => figure < floor - 1e-9 && figure < (figures.at(-1) ?? 0));
  const [least] = low;
  if (least === undefined) return [];
  const other = setting.shelves.wrenches.find((one) => {
    const there = torqueFromSi(torqueToSi(least, wrench.unit), one.unit);
    return (
      one.id !== wrench.id && isOffered(one) && there >= Math.max(one.min, windowFloor(one, window)) && there <= one.max
    );
  });
  const told = low.map((figure) => `${Number(figure.toPrecision(4))}`).join(', ');
  const where =
    least < wrench.min
      ? `below its lowest mark of ${wrench.min}`
      : `lower than where it is trusted, ${Number(floor.toPrecision(3))}`;
  return [
    {
      code: 'stage-low-on-wrench',
      severity: 'ask',
      message: `${low.length === 1 ? 'A stage' : 'Stages'} of ${told} ${wrench.unit} ${low.length === 1 ? 'is' : 'are'} ${where} (${wrench.name}). ${other ? `Take ${other.name} for ${low.length === 1 ? 'it' : 'them'}, and this one for the last.` : 'No other wrench here is trusted there: bring it down evenly by hand, and begin with the next stage.'}`,
    },
  ];
}

/** The figures of the stages, in the wrench's unit and in N·m. */
export function stagesOfJoint(
  setting: JointInputs,
  { ladder: worked, wrench }: Pick<JointResult, 'ladder' | 'wrench'>,
): readonly PlannedStage[] {
  // Less than half a mark: the nearest mark of the scale is nothing.
  if (!(worked.setting.rounded > 0))
    throw new DomainError(
      'below-half-mark',
      `The figure is less than half a mark of ${wrench.name}, so nothing can be set on it. Take a finer wrench.`,
      'wrenchId',
    );
  const { joint, leaf } = setting;
  const final = worked.setting.rounded;
  const reading = readingOfLeaf(leaf);
  const bottomFirst = joint.rangeSchool === 'bottom-then-middle' && reading.min_Nm < reading.max_Nm;
  const bottom = (final * 2 * reading.min_Nm) / (reading.min_Nm + reading.max_Nm);
  const marked = Math.round(bottom / wrench.graduation) * wrench.graduation;
  const rising =
    bottomFirst && marked > 0 && marked < final
      ? [...stages(Number(marked.toPrecision(10)), joint.stageScheme, wrench.graduation).stages, final]
      : stages(final, joint.stageScheme, wrench.graduation).stages;
  const turns = turnsOfLeaf(leaf);
  // After a turn a wrench tells nothing: there is no figure to confirm.
  const figures = joint.detail.confirming && turns.length === 0 ? [...rising, final] : rising;
  const planned = (figure: number) => ({ setting: figure, torque_Nm: torqueToSi(figure, wrench.unit) });
  return [...figures.map(planned), ...turns.map((turn) => ({ ...planned(final), turn }))];
}

export const filmsName = ({ joint, shelves }: JointInputs): string => {
  const [thread, head] = [
    filmOn(shelves, joint.todayFilm).name,
    joint.detail.headFilm === null ? null : filmOn(shelves, joint.detail.headFilm).name,
  ];
  return head === null || head === thread ? thread : `${thread} in the thread, ${head} under the head`;
};

/** The films of a joint's sheet by their rows. */
export const filmsOf = ({ todayFilm, detail }: Joint): NonNullable<TighteningPlan['films']> => ({
  thread: todayFilm,
  head: detail.headFilm ?? todayFilm,
});

/** A kind of fastener of a joint, worked out like a joint of its own. */
export interface KindResult extends KindInputs {
  readonly worked: JointResult;
}

/** Every kind of a joint beside its own fasteners, worked out. @throws DomainError */
export const computeKinds = (setting: JointInputs): readonly KindResult[] =>
  inputsOfKinds(setting).map((kind) => ({ ...kind, worked: ofKind(kind.kind, () => computeJoint(kind.inputs)) }));

/** What a locking nut of each kind turns with by itself, by the kind's name; the joint's own under ''. @throws DomainError */
export const prevailingOf = (setting: JointInputs): Readonly<Record<string, number>> =>
  Object.fromEntries([
    ['', computeJoint(setting).ladder.prevailing_Nm],
    ...computeKinds(setting).map(({ kind, worked }) => [kind.name, worked.ladder.prevailing_Nm] as const),
  ]);

/** Refuses a joint of which any fastener cannot be reckoned. @throws DomainError */
export function assertReckoned(setting: JointInputs): void {
  computeJoint(setting);
  computeKinds(setting);
}

type Judged = Pick<JointResult, 'guards' | 'unknown'>;

/** What stands against the kinds of a joint, and what is not known of them, each under its name. */
export const judgedKinds = (
  kinds: readonly { readonly kind: Pick<FastenerKind, 'name'>; readonly worked: Judged }[],
): Judged => ({
  guards: kinds.flatMap(({ kind, worked }) =>
    worked.guards.map((guard) => ({ ...guard, message: `${kind.name}: ${guard.message}` })),
  ),
  unknown: kinds.flatMap(({ kind, worked }) =>
    worked.unknown.map((one) => ({ ...one, what: `${kind.name}: ${one.what}` })),
  ),
});

/** The same of all fasteners of a joint. */
export function judgedWhole(own: Judged, kinds: Parameters<typeof judgedKinds>[0]): Judged {
  const others = judgedKinds(kinds);
  return { guards: [...own.guards, ...others.guards], unknown: [...own.unknown, ...others.unknown] };
}

/** The face to start from for a thread, until somebody measures the nut. */
export const usualFaceOf = (designation: string) => usualBearingFace(threadNamed(designation));
