import { DomainError, TORQUE_UNITS_NM, type Note } from '@/core/units';
import { amountOf } from './amounts';
import type { Group } from './groups';
import { printNote } from './notes';
import { degreesOf, isTurn } from './read-turn';
import type { TorquePrintUnit } from './torque-print-units';
import { torqueStep, type TorqueReading } from './torque-readings';

/** A turn in degrees from where the stage before left it. */
export interface PrintedTurn {
  readonly min_deg: number;
  readonly max_deg: number;
}

/** One stage: a torque in N·m, or a turn. */
export type PrintedStage = { readonly min_Nm: number; readonly max_Nm: number } | PrintedTurn;

export interface StagePrint {
  readonly kind: 'stages';
  readonly ambiguous: false;
  readonly readings: readonly [];
  /** In the order in which they are pulled. */
  readonly stages: readonly PrintedStage[];
  /** The last figure, where every stage is a torque. */
  readonly final?: TorqueReading;
  /** The last torque, and the turns that follow it, where the stages are torques and then turns. */
  readonly snug?: TorqueReading;
  readonly turns?: readonly PrintedTurn[];
  /** Each torque as a share of the last of them. */
  readonly shares?: readonly number[];
  readonly condition?: string;
  readonly headCondition?: string;
  readonly notes: readonly Note[];
}

type TorqueGroup = Group<TorquePrintUnit>;

/** How pages name their stages. */
export const STAGE_WORDS =
  'stages?|steps?|passes|stufen?|étapes?|phases?|fasi|fase|etapas?|steg|stappen|krocích|kroky|trin';
const SAYS_STAGES = new RegExp(`(?<![\\p{L}])(?:${STAGE_WORDS})(?![\\p{L}])`, 'u');

/** Whether stages are named; a text says so by one word of it. */
export const saysStages = (text: string): boolean => SAYS_STAGES.test(text);

function stageOf(group: TorqueGroup, square: boolean): PrintedStage | undefined {
  const { unit } = group;
  const { min, max } = amountOf(group, 'decimal');
  if (unit?.kind === 'torque') {
    const factor = TORQUE_UNITS_NM[unit.unit];
    return { min_Nm: min * factor, max_Nm: max * factor };
  }
  if (unit?.kind !== 'turn') return undefined;
  const degrees = degreesOf(unit, square);
  return { min_deg: min * degrees, max_deg: max * degrees };
}

/** `20 / 35 / 42 lb ft`: figures in one unit, each a stage. */
function listOf(group: TorqueGroup): readonly TorqueGroup[] {
  if (group.numbers.length < 2 || group.tolerance) return [group];
  return group.numbers.map((number) => ({ ...group, numbers: [number] }));
}

/** `1,200` and `2/3` may each be two figures: in a row of stages nobody can be asked which. */
const isEitherWay = ({ numbers }: TorqueGroup): boolean =>
  numbers.some((n) => n.thousand !== undefined || n.alsoRange !== undefined);

const risesIn = (stages: readonly PrintedStage[]): boolean => {
  const torques = stages.flatMap((stage) => ('min_Nm' in stage ? [stage.min_Nm] : []));
  return torques.every((torque, i) => i === 0 || torque > (torques[i - 1] ?? 0));
};

const isTorque = (stage: PrintedStage) => 'min_Nm' in stage;

/** The middle of each torque as a share of the last of them; the turns, if any, come after all of them. */
function endOf(
  stages: readonly PrintedStage[],
  groups: readonly TorqueGroup[],
): Pick<StagePrint, 'final' | 'snug' | 'turns' | 'shares'> {
  const turns = stages.flatMap((stage) => ('min_deg' in stage ? [stage] : []));
  const torques = stages.length - turns.length;
  const last = groups[torques - 1];
  if (!stages.slice(0, torques).every(isTorque) || last?.unit?.kind !== 'torque') return {};
  const figure = torqueStep(last, last.unit.unit).readings[0];
  if (!figure) return {};
  const shares = stages.flatMap((stage) =>
    'min_Nm' in stage ? [(stage.min_Nm + stage.max_Nm) / (figure.min_Nm + figure.max_Nm)] : [],
  );
  const rising = [...shares.slice(0, -1), 1];
  return turns.length === 0 ? { final: figure, shares: rising } : { snug: figure, turns, shares: rising };
}

/**
 * Reads several stages, where the page `says` that they are stages or the figures do: figures one after another in so
 * many words (`then`, `+`, `in three stages`), or a torque and a turn after it. Undefined where the text is no such
 * thing.
 */
export function readStages(
  { groups }: { readonly groups: readonly TorqueGroup[] },
  says: boolean,
  square: boolean,
): StagePrint | undefined {
  const many = groups.length === 1 && (groups[0]?.numbers.length ?? 0) > 2;
  if (!many && groups.length < 2) return undefined;
  const follows =
    groups.length > 1 &&
    groups.slice(1).every((group) => group.joiners.has('plus') || (isTurn(group) && !group.joiners.has('apart')));
  const listed = groups.length > 1 && says && groups.every((group) => group.unit !== undefined);
  if (!many && !follows && !listed) return undefined;
  // A figure takes the unit that is printed after it: `20, then 35 lb ft`.
  const given = groups.map((group, i) => {
    const later = groups.slice(i).find(({ unit }) => unit !== undefined)?.unit;
    return group.unit === undefined && later?.kind === 'torque' ? { ...group, unit: later } : group;
  });
  if (given.some((group) => group.unit === undefined)) return undefined;
  const each = given.flatMap(many ? listOf : (group) => [group]);
  const stages = each.map((group) => stageOf(group, square));
  const known = stages.flatMap((stage) => stage ?? []);
  if (
    known.length < 2 ||
    known.length !== stages.length ||
    !risesIn(known) ||
    !('min_Nm' in (known[0] as PrintedStage))
  )
    return undefined;
  const comma = groups.some(({ numbers }) => numbers.some((n) => n.comma));
  if (groups.some(isEitherWay))
    throw new DomainError(
      'unreadable',
      'One of the stages can be read in more than one way. Enter each stage as an entry of its own.',
      'text',
    );
  const notes = [
    ...(comma ? [printNote('decimal-comma')] : []),
    ...(many && !says ? [printNote('taken-for-stages')] : []),
  ];
  return {
    kind: 'stages',
    ambiguous: false,
    readings: [],
    stages: known,
    ...endOf(known, each),
    notes,
  };
}
