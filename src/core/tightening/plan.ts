import { DomainError, wrongInput } from '@/core/units';
import { order, type Position, type TurnSchool } from './order';
import { assertTurn } from './read-turn';

/** An angle through which a fastener is turned from where the stage before left it; a range where the page gives one. */
export interface StageTurn {
  readonly min_deg: number;
  readonly max_deg: number;
}

/**
 * A stage of the tightening: what the wrench is set to, in its own unit, and what that is in N·m. A stage by angle has
 * its turn beside; its figures are those of the torque stage before it.
 */
export interface PlannedStage {
  readonly setting: number;
  readonly torque_Nm: number;
  readonly turn?: StageTurn;
}

/** `row`: the whole row at one figure before the next; `each`: every cap to its final figure before the next cap. */
export const UNITS_OF_WORK = ['row', 'each'] as const;
export type UnitOfWork = (typeof UNITS_OF_WORK)[number];

export interface PullStep extends PlannedStage {
  readonly kind: 'pull';
  readonly stage: number;
  readonly position: number;
  /** True where this pull brings the fastener to its final figure. */
  readonly final: boolean;
}

export interface ShaftStep {
  readonly kind: 'shaft';
  readonly afterStage: number;
}

export type Step = PullStep | ShaftStep;

export const STEP_KINDS = ['pull', 'shaft'] as const satisfies readonly Step['kind'][];

/** Where the fasteners lie and in which turn they are taken. */
interface TurnInput {
  readonly positions: readonly Position[];
  readonly school: TurnSchool;
  /** The book's own order, place after place; asked for where the school is that one. */
  readonly turn?: readonly number[];
  /** Fasteners that come down together at every stage: the two of a cap. */
  readonly perGroup?: number;
  /** Which of those goes first, counted from 0: the cap that takes the thrust. The rest follow in their turn. */
  readonly first?: number;
}

interface WorkInput extends TurnInput {
  readonly unitOfWork: UnitOfWork;
  /** Between all stages, or only before the last. */
  readonly turnShaft: boolean | 'before-last';
}

export interface PlanInput extends WorkInput {
  readonly stages: readonly PlannedStage[];
}

/** The fasteners of one kind in a joint that has several: which they are, and the stages they go through. */
export interface KindOfPlan {
  readonly places: readonly number[];
  readonly stages: readonly PlannedStage[];
}

/**
 * How fasteners of several kinds come up together. `by-stage`: a stage of all of them before the next, kind after kind,
 * so that the wrench changes as seldom as it may; `one-turn`: the same, but in one turn over all of them, the wrench
 * changed as it comes; `as-typed`: one stage of one kind after another, as it is written down.
 */
export const KIND_TURNS = ['by-stage', 'one-turn', 'as-typed'] as const;
export type KindTurn = (typeof KIND_TURNS)[number];

export interface KindsPlanInput extends WorkInput {
  readonly kinds: readonly KindOfPlan[];
  readonly together: KindTurn;
  /** As typed: kind after kind, counted from 0; the n-th time one is named is its n-th stage. */
  readonly sequence?: readonly number[];
}

export interface Plan {
  readonly order: readonly number[];
  readonly steps: readonly Step[];
}

/** One stage of one kind. */
interface KindStage {
  readonly kind: KindOfPlan;
  readonly stage: number;
}

/** What is gone through before anything else is: stages of one kind, or of several that are as far along. */
type Pass = readonly KindStage[];

const pull = ({ kind: { stages }, stage }: KindStage, position: number): PullStep => {
  const figures = stages[stage] as PlannedStage;
  return { kind: 'pull', stage, position, ...figures, final: stage === stages.length - 1 };
};

/** The book's own order, of every place once. @throws DomainError bad-turn */
function printedTurn({ positions, turn = [] }: TurnInput): readonly number[] {
  assertTurn(turn, positions.length);
  return turn;
}

/** Groups of neighbours by index, in the turn of their middles; by the book's order, as it comes upon them. */
function groupsInTurn(input: TurnInput): readonly (readonly number[])[] {
  const { positions, school, perGroup = 1, first } = input;
  if (school === 'as-printed') {
    const turn = printedTurn(input);
    const groupOf = (place: number) => Math.floor(place / perGroup);
    return [...new Set(turn.map(groupOf))].map((group) => turn.filter((place) => groupOf(place) === group));
  }
  const groups = Array.from({ length: Math.ceil(positions.length / perGroup) }, (_, g) =>
    positions.map((_p, i) => i).slice(g * perGroup, (g + 1) * perGroup),
  );
  const middles = groups.map((group): Position => {
    const points = group.map((i) => positions[i] as Position);
    return [
      points.reduce((sum, [x]) => sum + x, 0) / points.length,
      points.reduce((sum, [, y]) => sum + y, 0) / points.length,
    ];
  });
  const turn = order(middles, school);
  const led = first !== undefined && groups[first] ? [first, ...turn.filter((g) => g !== first)] : turn;
  return led.map((g) => groups[g] as readonly number[]);
}

/**
 * The turn in which a whole row is pulled at one figure. The fasteners of one cap follow one another, or it is cocked;
 * but for the book's own order, which is followed as it stands.
 * @throws DomainError bad-field, bad-turn
 */
export function rowTurn(input: TurnInput): readonly number[] {
  if (input.school === 'as-printed') return printedTurn(input);
  return (input.perGroup ?? 1) > 1 ? groupsInTurn(input).flat() : order(input.positions, input.school);
}

const torquesOf = ({ stages }: KindOfPlan): number => stages.filter(({ turn }) => turn === undefined).length;

/** How far along a stage brings its kind: the last torque is 1, and a turn after it is more. */
function reachOf({ kind, stage }: KindStage): number {
  const torques = torquesOf(kind);
  return stage < torques ? (stage + 1) / torques : 2 + stage - torques;
}

const SAME_REACH = 1e-9;

/** What goes before what: what is less far along first; what is as far along in one pass. */
function passesByStage(kinds: readonly KindOfPlan[]): readonly Pass[] {
  const all = kinds
    .flatMap((kind) => kind.stages.map((_, stage): KindStage => ({ kind, stage })))
    .sort((a, b) => reachOf(a) - reachOf(b));
  const passes: KindStage[][] = [];
  for (const one of all) {
    const last = passes.at(-1);
    if (last?.[0] && reachOf(one) - reachOf(last[0]) < SAME_REACH) last.push(one);
    else passes.push([one]);
  }
  return passes;
}

/** @throws DomainError bad-sequence */
function passesAsTyped(kinds: readonly KindOfPlan[], sequence: readonly number[]): readonly Pass[] {
  const gone = kinds.map(() => 0);
  const passes = sequence.map((at): Pass => {
    const kind = kinds[at];
    const stage = gone[at];
    if (!kind || stage === undefined)
      throw new DomainError('bad-sequence', `There are ${kinds.length} kinds, and ${at + 1} is named.`, 'sequence');
    gone[at] = stage + 1;
    return [{ kind, stage }];
  });
  const wrong = kinds.findIndex((kind, i) => gone[i] !== kind.stages.length);
  if (wrong >= 0)
    throw new DomainError(
      'bad-sequence',
      `Kind ${wrong + 1} has ${kinds[wrong]?.stages.length} stages and is named ${gone[wrong]} times.`,
      'sequence',
    );
  return passes;
}

/** Every place is of one kind, and every kind has a place and a figure. @throws DomainError bad-field */
function assertKinds({ positions, kinds }: Pick<KindsPlanInput, 'positions' | 'kinds'>): void {
  for (const { stages } of kinds) {
    if (stages.length === 0) throw wrongInput('stages', 'must hold at least one figure.');
    if (stages[0]?.turn) throw new DomainError('bad-field', 'A turn must follow a torque.', 'stages');
  }
  const places = kinds.flatMap((kind) => kind.places);
  const isWhole = places.length === positions.length && new Set(places).size === places.length;
  if (!isWhole || kinds.some((kind) => kind.places.length === 0) || places.some((place) => !positions[place]))
    throw new DomainError('bad-field', 'Every fastener must be of one kind, and every kind must have one.', 'kinds');
}

/** The pulls of a pass among some of the places, in the turn in which those are given. */
const pullsOf = (pass: Pass, places: readonly number[], together: KindTurn): readonly PullStep[] =>
  together === 'one-turn'
    ? places.flatMap((place) => {
        const own = pass.find(({ kind }) => kind.places.includes(place));
        return own ? [pull(own, place)] : [];
      })
    : pass.flatMap((own) => places.filter((place) => own.kind.places.includes(place)).map((place) => pull(own, place)));

const isFinalTorque = ({ kind, stage }: KindStage): boolean => stage === torquesOf(kind) - 1;

/** Whether the shaft is turned after a pass; `before-last` is before the first final figure, whatever follows it. */
function turnsAfter(passes: readonly Pass[], turnShaft: boolean | 'before-last', pass: number): boolean {
  if (turnShaft === 'before-last') return pass === passes.findIndex((one) => one.some(isFinalTorque)) - 1;
  return turnShaft && pass < passes.length - 1;
}

/** Whether the shaft is turned after a stage of a plan with one kind of fastener. */
export const turnsShaftAfter = (
  { stages, turnShaft }: Pick<PlanInput, 'stages' | 'turnShaft'>,
  stage: number,
): boolean => turnsAfter(passesByStage([{ places: [], stages }]), turnShaft, stage);

/**
 * Lays out every step of a tightening whose fasteners are of several kinds: each kind through its own stages, brought
 * up together.
 * @throws DomainError bad-field, bad-turn, bad-sequence
 */
export function kindsPlan(input: KindsPlanInput): Plan {
  assertKinds(input);
  const { kinds, together, sequence = [], unitOfWork, turnShaft } = input;
  const passes = together === 'as-typed' ? passesAsTyped(kinds, sequence) : passesByStage(kinds);
  if (unitOfWork === 'each') {
    const groups = groupsInTurn(input);
    const afterStage = Math.max(...kinds.map(({ stages }) => stages.length)) - 1;
    const steps = groups.flatMap((group, g): readonly Step[] => [
      ...passes.flatMap((pass) => pullsOf(pass, group, together)),
      ...(turnShaft && g < groups.length - 1 ? [{ kind: 'shaft', afterStage } as const] : []),
    ]);
    return { order: groups.flat(), steps };
  }
  const turn = rowTurn(input);
  const steps = passes.flatMap((pass, i): readonly Step[] => [
    ...pullsOf(pass, turn, together),
    ...(turnsAfter(passes, turnShaft, i) ? [{ kind: 'shaft', afterStage: i } as const] : []),
  ]);
  return { order: turn, steps };
}

/**
 * Lays out every step of a tightening in turn: which fastener, at which stage, with the wrench at what.
 * @throws DomainError bad-field
 */
export const tighteningPlan = ({ stages, ...work }: PlanInput): Plan =>
  kindsPlan({ ...work, kinds: [{ places: work.positions.map((_, place) => place), stages }], together: 'by-stage' });
