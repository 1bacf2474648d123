import { DomainError } from '@/core/units';
import type { HeatCycle } from '@/model/heat/heat-log';

/**
 * An hour that a device told, on the server's clock: as long before now as it was before the device sent it.
 * A device whose clock is wrong tells how long ago rightly all the same.
 */
export const onThisClock = (told: string, sentAt: string, now: number): number =>
  now - (Date.parse(sentAt) - Date.parse(told));

const MINUTE_MS = 60_000;

/** An engine runs once at a time; hours are told to the minute. @throws DomainError overlaps */
export function assertAlone(
  cycles: readonly Pick<HeatCycle, 'id' | 'ranFrom' | 'ranTo'>[],
  run: { readonly id: string; readonly ranFrom: number; readonly ranTo: number },
): void {
  const other = cycles.find(
    ({ id, ranFrom, ranTo }) =>
      id !== run.id && Date.parse(ranFrom) < run.ranTo - MINUTE_MS && Date.parse(ranTo) > run.ranFrom + MINUTE_MS,
  );
  if (other)
    throw new DomainError(
      'overlaps',
      'It ran already at that hour: another run that stands in the log overlaps with this one. Cancel the one that is wrong.',
      'ranFrom',
    );
}
