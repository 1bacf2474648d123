import { storedJson } from '@/model/stored-json';
import type { Guard, Ladder, Locking, Unknown } from '@/core/joint';
import type { TrackSchool } from '@/model/practice/house-practice';
import type { Care } from './care';
import type { Position, Step } from '@/core/tightening';
import type { TorqueUnit } from '@/core/units';

/** What is done to a fastener at its turn. */
export const PULL_ACTS = ['pull', 'slacken-and-pull'] as const;
export type PullAct = (typeof PULL_ACTS)[number];

/** The figure of fasteners of one kind: where it is from, what was made of it, and what it is pulled with. */
export interface PlannedFigure {
  readonly unit: TorqueUnit;
  readonly wrenchName: string;
  /** `reason`: why this leaf was taken although another governs. */
  readonly leaf: {
    readonly printedText: string;
    readonly source: string;
    readonly page: string;
    readonly reason?: string;
  };
  readonly filmName: string;
  /** The films by their rows, in the thread and under the head; older plans have the name alone. */
  readonly films?: { readonly thread: string; readonly head: string };
  readonly thread: string;
  /** What it is kept from coming loose by; older plans do not say. */
  readonly locking?: Locking;
  readonly ladder: Pick<Ladder, 'rungs' | 'printed_Nm' | 'target_Nm' | 'setting' | 'band' | 'notes'>;
}

/** Fasteners of another kind than the joint's own. */
export interface KindPlan extends PlannedFigure {
  readonly name: string;
  readonly places: readonly number[];
}

/**
 * A tightening's plan as it stood when the first nut was touched, kept with it for good:
 * later changes to the joint, its leaf, the films or the wrench do not reach back into the record.
 */
export interface TighteningPlan extends PlannedFigure {
  readonly positions: readonly Position[];
  readonly order: readonly number[];
  readonly steps: readonly Step[];
  /** Fasteners that have a figure of their own; left out where all have one. */
  readonly kinds?: readonly KindPlan[];
  /** What stood against the figure when it was begun. */
  readonly guards: readonly Guard[];
  /** What was not known of the joint when it was begun; older plans do not say. */
  readonly unknown?: readonly Unknown[];
  /** Why it was begun all the same. */
  readonly reason?: string;
  /** `hand` is recorded as by feel; nothing is said of its torque. */
  readonly care?: Care;
  /** What is said before each pull: “Slacken a little, then pull”. */
  readonly act: PullAct;
  /** How far each is slackened first, degrees; left out: a little. */
  readonly slackenBy_deg?: number;
  /** The heat cycle that this retorque answers. */
  readonly cycleId?: string;
  /** Of a retorque: how the lubricant was found; older plans do not say. */
  readonly filmFound?: 'as-pulled' | 'dried' | 'stuck';
  /** Whether a fastener that went over at its final figure is to be seen to before it is done; older plans do not ask. */
  readonly asksOver?: true;
  /** By which school it is kept in mind what was done; older plans do not say. */
  readonly track?: TrackSchool;
}

/** The figure that the fastener at a place is pulled to. */
export const figureAt = (plan: TighteningPlan, place: number): PlannedFigure => kindAt(plan, place) ?? plan;

/** The kind of the fastener at a place; undefined where it is the joint's own. */
export const kindAt = ({ kinds }: Pick<TighteningPlan, 'kinds'>, place: number): KindPlan | undefined =>
  kinds?.find(({ places }) => places.includes(place));

/** Whether any of its fasteners is left by an angle; what such a one holds no wrench can tell. */
export const endsInTurn = ({ steps }: Pick<TighteningPlan, 'steps'>): boolean =>
  steps.some((step) => step.kind === 'pull' && step.final && step.turn !== undefined);

/** Plans of the first version did not always say what stood against the figure. */
const withGuards = (held: Readonly<Record<string, unknown>>) => ({ guards: [], ...held });

/**
 * Since the third a step may be a turn, whose torque is not pulled to: a program that does not know this must not read
 * it. Older plans have none.
 */
const withTurns = (held: Readonly<Record<string, unknown>>) => held;

/** Since the fourth its fasteners may have figures of their own. Older plans have one. */
const withKinds = (held: Readonly<Record<string, unknown>>) => held;

export const PLAN_JSON = storedJson<TighteningPlan>('plan', [withGuards, withTurns, withKinds]);
