/** What a coefficient of friction does in a simulation: its middle, the arm it acts on, its slopes on either side. */
export interface DrawnFriction {
  readonly middle: number;
  readonly arm: number;
  readonly up: number;
  readonly down: number;
}

/** What is drawn in a simulation of clamp load. Arms in mm, deviations of a standard normal. */
export interface Draws {
  readonly seed: number;
  readonly lift: number;
  readonly thread: DrawnFriction;
  readonly head: DrawnFriction;
  /** Thread and head stand in one film, and move by one deviate. */
  readonly shared: boolean;
  readonly torque_Nm: number;
  /** Of the wrench, a share of what is set. */
  readonly deviation: number;
  readonly graduation_Nm: number;
  readonly prevailing_Nm: number;
  readonly nutDeviation_Nm: number;
}

/** Draws up to a batch of clamp loads into a list, and gives the sum so far with theirs added in their order. */
export type Draw = (forces: Float64Array, from: number, count: number, sum: number) => number;

export const BATCH = 1024;

/** What is drawn of each sample, in this order; and where in it each of them lies: 0, the thread's, where it is not. */
export function columnsOf({ shared, deviation, graduation_Nm, nutDeviation_Nm }: Draws) {
  const isDrawn = [!shared, deviation > 0, graduation_Nm > 0, nutDeviation_Nm > 0];
  let columns = 1;
  const [headAt = 0, wrenchAt = 0, markAt = 0, nutAt = 0] = isDrawn.map((is) => (is ? columns++ : 0));
  return { columns, headAt, wrenchAt, markAt, nutAt };
}
