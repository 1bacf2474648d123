import type { Guard } from '@/core/joint';
import type { RetorqueState } from '@/core/heat';
import type { RoundState } from '@/core/tightening';
import type { BoltSetState } from '@/model/bolt/bolt-state';
import type { OpenBolt } from '@/model/bolt/open-bolts';
import type { Joint } from './joint';
import type { RecordedEvent, Tightening } from './tightening';

/** A tightening with its lines and where they leave it. */
export interface TighteningState {
  readonly tightening: Tightening;
  readonly events: readonly RecordedEvent[];
  readonly state: RoundState;
}

/** A set of bolts with where each stands, and those that are not inside their stretch. */
export interface StretchedSet extends BoltSetState {
  readonly open: readonly OpenBolt[];
}

export interface JointState {
  readonly joint: Joint;
  readonly tightenings: readonly TighteningState[];
  /** The going-round that counts: the last one to the final figure. */
  readonly final?: TighteningState;
  /** A retorque that was begun and is not finished. */
  readonly openRetorque?: TighteningState;
  /** The last round that was pulled in since the joint was opened up, where it is not done: its nuts are on loosely. */
  readonly halfPulled?: TighteningState;
  readonly retorque: RetorqueState;
  /** Whether its sheet was changed since its going-round was begun, and nobody said what that means. */
  readonly isChanged: boolean;
  /** What of it is tightened by stretch. */
  readonly stretch: readonly StretchedSet[];
  /** What stands against the page that its figure is from. */
  readonly page: readonly Guard[];
}
