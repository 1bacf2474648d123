/** A line as it is kept: when it was said to be done, and when the server wrote it down. */
interface Timed {
  readonly at: string;
  /** Absent while it is on its way. */
  readonly recordedAt?: string;
}

/**
 * When a line happened by the one clock that orders events, the server's. A device's hour is never taken as it is:
 * lines carry their age, and a line of before, whose hour came from a clock that ran ahead, happened no later than
 * it was written down.
 */
export const happenedAt = ({ at, recordedAt }: Timed): string =>
  recordedAt !== undefined && recordedAt < at ? recordedAt : at;
