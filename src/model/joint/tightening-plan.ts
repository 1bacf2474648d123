import { storedJson } from '@/model/stored-json';
import type { Guard, Ladder, Unknown } from '@/core/joint';
import type { Care } from './care';
import type { Position, Step } from '@/core/tightening';
import type { TorqueUnit } from '@/core/units';

/** What is done to a fastener at its turn. */
export const PULL_ACTS = ['pull', 'slacken-and-pull'] as const;
export type PullAct = (typeof PULL_ACTS)[number];

/**
 * A tightening's plan as it stood when the first nut was touched, kept with it for good:
 * later changes to the joint, its leaf, the films or the wrench do not reach back into the record.
 */
export interface TighteningPlan {
  readonly positions: readonly Position[];
  readonly order: readonly number[];
  readonly steps: readonly Step[];
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
  readonly ladder: Pick<Ladder, 'rungs' | 'printed_Nm' | 'target_Nm' | 'setting' | 'band' | 'notes'>;
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
  /** The heat cycle that this retorque answers. */
  readonly cycleId?: string;
  /** Whether a fastener that went over at its final figure is to be seen to before it is done; older plans do not ask. */
  readonly asksOver?: true;
}

/** Whether its fasteners are left by an angle; what such a one holds no wrench can tell. */
export const endsInTurn = ({ steps }: Pick<TighteningPlan, 'steps'>): boolean => {
  const last = steps.findLast((step) => step.kind === 'pull');
  return last?.kind === 'pull' && last.turn !== undefined;
};

/** Plans of the first version did not always say what stood against the figure. */
const withGuards = (held: Readonly<Record<string, unknown>>) => ({ guards: [], ...held });

/**
 * Since the third a step may be a turn, whose torque is not pulled to: a program that does not know this must not read
 * it. Older plans have none.
 */
const withTurns = (held: Readonly<Record<string, unknown>>) => held;

export const PLAN_JSON = storedJson<TighteningPlan>('plan', [withGuards, withTurns]);
