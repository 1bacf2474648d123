import { DomainError } from '@/core/units';
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

export interface PlanInput {
  readonly positions: readonly Position[];
  readonly school: TurnSchool;
  /** The book's own order, place after place; asked for where the school is that one. */
  readonly turn?: readonly number[];
  readonly stages: readonly PlannedStage[];
  readonly unitOfWork: UnitOfWork;
  /** Fasteners that come down together at every stage: the two of a cap. */
  readonly perGroup?: number;
  /** Between all stages, or only before the last. */
  readonly turnShaft: boolean | 'before-last';
}

export interface Plan {
  readonly order: readonly number[];
  readonly steps: readonly Step[];
}

const pull = (stage: number, position: number, stages: readonly PlannedStage[]): PullStep => {
  const figures = stages[stage] as PlannedStage;
  return { kind: 'pull', stage, position, ...figures, final: stage === stages.length - 1 };
};

/** The book's own order, of every place once. @throws DomainError bad-turn */
function printedTurn({ positions, turn = [] }: Pick<PlanInput, 'positions' | 'turn'>): readonly number[] {
  assertTurn(turn, positions.length);
  return turn;
}

/** Groups of neighbours by index, in the turn of their middles; by the book's order, as it comes upon them. */
function groupsInTurn(
  input: Pick<PlanInput, 'positions' | 'school' | 'turn' | 'perGroup'>,
): readonly (readonly number[])[] {
  const { positions, school, perGroup = 1 } = input;
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
  return order(middles, school).map((g) => groups[g] as readonly number[]);
}

/** Whether the shaft is turned after a stage; `before-last` is before the last figure, whatever angles follow it. */
export function turnsShaftAfter(
  { stages, turnShaft }: Pick<PlanInput, 'stages' | 'turnShaft'>,
  stage: number,
): boolean {
  if (turnShaft === 'before-last') return stage === stages.filter(({ turn }) => turn === undefined).length - 2;
  return turnShaft && stage < stages.length - 1;
}

/**
 * The turn in which a whole row is pulled at one figure. The fasteners of one cap follow one another, or it is cocked;
 * but for the book's own order, which is followed as it stands.
 * @throws DomainError bad-field, bad-turn
 */
export function rowTurn(input: Omit<PlanInput, 'stages' | 'unitOfWork' | 'turnShaft'>): readonly number[] {
  if (input.school === 'as-printed') return printedTurn(input);
  return (input.perGroup ?? 1) > 1 ? groupsInTurn(input).flat() : order(input.positions, input.school);
}

/**
 * Lays out every step of a tightening in turn: which fastener, at which stage, with the wrench at what.
 * @throws DomainError bad-field
 */
export function tighteningPlan(input: PlanInput): Plan {
  if (input.stages.length === 0) throw new DomainError('bad-field', 'stages must hold at least one figure.', 'stages');
  if (input.stages[0]?.turn) throw new DomainError('bad-field', 'a turn must follow a torque.', 'stages');
  const count = input.stages.length;
  if (input.unitOfWork === 'each') {
    const groups = groupsInTurn(input);
    const steps = groups.flatMap((group, g): readonly Step[] => [
      ...input.stages.flatMap((_, stage) => group.map((position) => pull(stage, position, input.stages))),
      ...(input.turnShaft && g < groups.length - 1 ? [{ kind: 'shaft', afterStage: count - 1 } as const] : []),
    ]);
    return { order: groups.flat(), steps };
  }
  const turn = rowTurn(input);
  const steps = input.stages.flatMap((_, stage): readonly Step[] => [
    ...turn.map((position) => pull(stage, position, input.stages)),
    ...(turnsShaftAfter(input, stage) ? [{ kind: 'shaft', afterStage: stage } as const] : []),
  ]);
  return { order: turn, steps };
}
