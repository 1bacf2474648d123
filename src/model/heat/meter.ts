import { meterStep, type MeterUnit } from '@/core/heat';
import type { MeterReading } from './heat-log';

type Read = Pick<MeterReading, 'at' | 'reads' | 'unit' | 'jump'>;

const isHours = ({ unit }: { readonly unit: MeterUnit }) => unit === 'h';
const said = ({ reads, unit }: Read) => `${reads.toLocaleString('en-GB')} ${unit}`;
/** An odometer is read to its last drum, which turns between two figures. */
const DRUM = 0.5;

const stepBack = (before: Read | undefined, after: Read | undefined): string | undefined =>
  before && after && meterStep(before, after) < -DRUM
    ? `it read ${said(before)} before and ${said(after)} after, and a meter does not go back`
    : undefined;

/**
 * What speaks against a reading beside those before and after it; undefined where it goes on from them. Odometer and hour
 * meter count by themselves.
 */
export function meterDoubt(known: readonly Read[], reading: Read): string | undefined {
  const own = known
    .filter((one) => isHours(one) === isHours(reading))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const before = own.findLast(({ at }) => Date.parse(at) <= Date.parse(reading.at));
  const after = own.find(({ at }) => Date.parse(at) > Date.parse(reading.at));
  const { jump } = reading;
  if (jump && jump.to > reading.reads) return 'after it was exchanged it read more than now';
  if (jump && !before) return 'nothing was read before it was exchanged';
  return stepBack(before, reading) ?? stepBack(reading, after);
}

/** Where readings of one engine contradict each other, in words; undefined where they do not. */
export function meterGoesBack(meters: readonly Read[]): string | undefined {
  const sorted = [...meters].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  for (const [i, reading] of sorted.entries()) {
    const doubt = meterDoubt(sorted.slice(0, i), reading);
    if (doubt) return `of its odometer or hours, ${doubt}.`;
  }
  return undefined;
}

/** The unit that an engine's odometer was last read in. */
export const ownUnit = (meters: readonly Read[]): 'km' | 'mi' | undefined => {
  const unit = meters.findLast((one) => !isHours(one))?.unit;
  return unit === 'km' || unit === 'mi' ? unit : undefined;
};
