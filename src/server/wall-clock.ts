import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { DomainError } from '@/core/units';
import { dataFolder } from './shop-file';

/** The zone of the clock on the shop's wall, where it was taken from a device: beside the shop's files. */
const FILE = 'hours-of';

// Pages and routes are programs of their own in one process: only the first of them sees what it was begun with.
const holder = globalThis as { spannerBegunWith?: { readonly zone: string | undefined } };
const begunWith = (holder.spannerBegunWith ??= { zone: process.env.TZ });

const file = () => join(/* turbopackIgnore: true */ dataFolder(), FILE);

const isZone = (zone: string): boolean => {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).format(0) !== '';
  } catch {
    return false;
  }
};

function keptZone(): string | undefined {
  try {
    const zone = readFileSync(file(), 'utf8').trim();
    return isZone(zone) ? zone : undefined;
  } catch {
    return undefined;
  }
}

let known: { readonly by: string | undefined; readonly zone: string } | undefined;

/** The zone whose hours the program tells and counts days by, such as `Europe/London`. */
export function zoneHere(): string {
  const by = process.env.TZ;
  if (!known || known.by !== by) known = { by, zone: new Intl.DateTimeFormat('en').resolvedOptions().timeZone };
  return known.zone;
}

/** Goes by the hours that were kept for this folder, else by those that the program was begun with. */
export function goByKeptHours(): void {
  const zone = keptZone() ?? begunWith.zone;
  if (zone === process.env.TZ) return;
  if (zone === undefined) delete process.env.TZ;
  else process.env.TZ = zone;
}

/**
 * Keeps a zone as that of the shop's wall; the program goes by it once the shop is opened anew.
 * @throws DomainError unknown-zone
 */
export function keepHours(zone: string): void {
  if (!isZone(zone))
    throw new DomainError(
      'unknown-zone',
      `The machine that keeps the shop does not know the hours of “${zone}”.`,
      'zone',
    );
  writeFileSync(file(), `${zone}\n`);
}
