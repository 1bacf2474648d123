import type { Purpose } from '@/model/joint/tightening';
import { happenedAt } from '@/model/line-time';
import type { ReadingLine } from './fit';

/** A going-round of the joint that closes a fit; the middle of the clamp load that it was planned for. */
export interface FitRound {
  readonly purpose: Purpose;
  readonly startedAt: string;
  readonly clamp_N?: number;
}

/**
 * The first final going-round after a reading closes the fit; any other going-round opens what was read.
 * Both hours are the server's. A reading that is still on its way there was taken just now.
 */
export function isOpenedSince(reading: ReadingLine, rounds: readonly FitRound[]): boolean {
  if (reading.recordedAt === undefined) return false;
  const taken = happenedAt(reading);
  const after = rounds.filter(({ startedAt, purpose }) => startedAt > taken && purpose !== 'retorque');
  return after.length > 0 && !(after.length === 1 && after[0]?.purpose === 'final');
}

/** Whether the joint of a fit was opened up, in the order of the build, after it was read. */
export const isOpenedUp = (reading: ReadingLine, openings: readonly string[] = []): boolean =>
  reading.recordedAt !== undefined && openings.some((at) => at > happenedAt(reading));

/** The joint that was gone over, tightened or opened up after a reading was taken; undefined where none was. */
export const workedOnSince = (
  reading: ReadingLine,
  work: readonly { readonly at: string; readonly jointName: string }[] = [],
): string | undefined =>
  reading.recordedAt === undefined ? undefined : work.find(({ at }) => at > happenedAt(reading))?.jointName;

/** A cap that is clamped harder or less hard makes another bore of it. */
const CLAMP_CHANGE = 0.05;

/** The clamp load that a bore was read at, and the one that it is closed up with, where the two differ. */
export function clampChange(reading: ReadingLine, rounds: readonly FitRound[]): string | undefined {
  if (reading.recordedAt === undefined) return undefined;
  const taken = happenedAt(reading);
  const pulled = rounds.filter(({ purpose }) => purpose !== 'retorque');
  const then = pulled.findLast(({ startedAt }) => startedAt <= taken)?.clamp_N;
  const now = pulled.findLast(({ startedAt }) => startedAt > taken)?.clamp_N;
  if (then === undefined || now === undefined || !(then > 0) || Math.abs(now / then - 1) <= CLAMP_CHANGE)
    return undefined;
  const kN = (newtons: number) => `${(newtons / 1000).toFixed(1)} kN`;
  return `Since it was read its caps were pulled to another clamp load: ${kN(then)} a fastener then, ${kN(now)} now.`;
}
