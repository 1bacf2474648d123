import type { Locking } from '@/core/joint';

/** A nut that holds by its own grip, which wears as it is used. */
export const locksItself = (locking: Locking): boolean => locking === 'polymer-nut' || locking === 'metal-nut';

/** `unsaid` until somebody looked. */
export const FASTENER_FORMS = ['unsaid', 'bolt', 'stud'] as const;
export type FastenerForm = (typeof FASTENER_FORMS)[number];

/** `M9 stud`; the thread alone where nobody said what it is. */
export const fastenerWords = ({ thread, form }: { readonly thread: string; readonly form: FastenerForm }): string =>
  form === 'unsaid' ? thread : `${thread} ${form}`;

/** Whether the socket gets at it. */
export const SOCKET_FITS = ['not-tried', 'takes', 'fouls'] as const;
export type SocketFit = (typeof SOCKET_FITS)[number];

/**
 * What is known of a fastener beyond thread and face. What was not measured or asked is null. Lengths in mm, torques
 * in N·m.
 */
export interface FastenerFacts {
  readonly form: FastenerForm;
  /** The thread that turns. */
  readonly thread: string;
  readonly outer_mm: number;
  readonly inner_mm: number;
  readonly faceMeasured: boolean;
  readonly grade: string | null;
  /** A stud's other end, in the parent. */
  readonly metalThread: string | null;
  readonly seating_Nm: number | null;
  /** Outside of a loose washer under the head or nut. */
  readonly washer_mm: number | null;
  readonly washerThickness_mm: number | null;
  readonly washerBore_mm: number | null;
  readonly length_mm: number | null;
  readonly threadLength_mm: number | null;
  readonly headHeight_mm: number | null;
  /** Of the nut that is run down on it. */
  readonly nutHeight_mm: number | null;
  readonly nutGrade: string | null;
  /** Included angle of the seat, where it is not flat. */
  readonly seat_deg: number | null;
  /** Of the shank, where it is thinner than the thread. */
  readonly shankDiameter_mm: number | null;
  readonly locking: Locking;
  readonly prevailingLow_Nm: number | null;
  readonly prevailingHigh_Nm: number | null;
  readonly socket: SocketFit;
  /** Whether it was ever taken past its yield: such a one is used once. */
  readonly takenBeyondYield: boolean | null;
  /** Plated in a shop, and not baked after it. */
  readonly platedUnbaked: boolean | null;
}

/** Where the fastener sits. */
export interface ParentFacts {
  readonly metal: string | null;
  readonly engagement_mm: number | null;
  readonly underHead: string | null;
  readonly holeDepth_mm: number | null;
  /** The hole goes through: nothing bottoms in it. */
  readonly holeThrough: boolean;
  /** A thread insert is wound into the parent; null where nobody said. */
  readonly insert: boolean | null;
  /** Of the insert: no more thread holds than it is long. */
  readonly insertLength_mm: number | null;
  /** What a locking insert turns with by itself; 0 of one that runs freely. */
  readonly insertLow_Nm: number | null;
  readonly insertHigh_Nm: number | null;
  /** How hot the parent gets there, °C. */
  readonly hottest_C: number | null;
  readonly grip_mm: number | null;
  /** Gasket or flange that each fastener presses, and what it bears. */
  readonly gasketArea_mm2: number | null;
  readonly gasketLimit_MPa: number | null;
  /** Null where nobody said. */
  readonly nearHeat: boolean | null;
  /** New fasteners here can move a bore: rods, mains; null where nobody said. */
  readonly boreMoves: boolean | null;
}
