import { assertBearingFace, type BearingFace } from '@/core/fastener';
import type { Thread } from '@/core/thread';
import { assertNotNegative, assertPositiveUpTo } from '@/core/units';

/**
 * A fastener as it is turned: its thread, the friction in thread and under the head, the face, a locking nut's own
 * torque.
 */
export interface TurnedFastener {
  readonly thread: Thread;
  readonly muThread: number;
  readonly muHead: number;
  readonly bearing: BearingFace;
  readonly prevailing_Nm?: number;
}

const MAX_FRICTION = 2;

/** @throws DomainError bad-field, with `at` before the name of the field */
export function assertTurned(fastener: TurnedFastener, at = ''): void {
  assertPositiveUpTo(fastener.muThread, MAX_FRICTION, `${at}muThread`);
  assertPositiveUpTo(fastener.muHead, MAX_FRICTION, `${at}muHead`);
  assertBearingFace(fastener.bearing, `${at}bearing`);
  if (fastener.prevailing_Nm !== undefined) assertNotNegative(fastener.prevailing_Nm, `${at}prevailing_Nm`);
}

/** P/2π in mm: what lifts. */
export const liftArm = (thread: Thread): number => thread.pitch_mm / (2 * Math.PI);

/** d2/(2 cos β) in mm, β half the included angle: the arm of thread friction. */
export const threadArm = (thread: Thread): number =>
  thread.pitchDiameter_mm / (2 * Math.cos((thread.includedAngle_deg * Math.PI) / 360));

/**
 * Dm/2 in mm, Dm the mean of the face's two diameters: the arm of friction under the head. A seat of included angle 2φ
 * is pressed harder than it is clamped: Dm/(2 sin φ).
 */
export const headArm = ({ outer_mm, inner_mm, cone_deg }: BearingFace): number =>
  (outer_mm + inner_mm) / 4 / (cone_deg === undefined ? 1 : Math.sin((cone_deg * Math.PI) / 360));

/**
 * What one newton of preload costs in torque, in mm (N·mm a newton).
 * c = P/2π + μt · d2/(2 cos β) + μh · Dm/2
 * @source VDI 2230
 */
export const tighteningArm = ({ thread, muThread, muHead, bearing }: TurnedFastener): number =>
  liftArm(thread) + muThread * threadArm(thread) + muHead * headArm(bearing);
