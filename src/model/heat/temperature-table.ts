import { celsiusOf, type Recorded } from '@/core/heat';
import { DomainError, plainFigure } from '@/core/units';

/** What a column of a recorder's table may be. */
export const TEMPERATURE_USES = ['time', 'temperature', 'air', 'left out'] as const;
export type TemperatureUse = (typeof TEMPERATURE_USES)[number];

/** How the time stands in it. */
export type TimeSort = 'day-and-hour' | 'hour' | 'seconds' | 'minutes' | 'hours';

export interface TemperatureTable {
  readonly headings: readonly string[];
  readonly uses: readonly TemperatureUse[];
  readonly times: TimeSort;
  /** As the table has it, on the clock of whoever recorded it: `2026-05-16T10:15:00`, or `10:15` without a day. */
  readonly firstAt?: string;
  /** Minutes from its first line that was read, and °C. */
  readonly points: readonly Recorded[];
  /** Of the air at the last line, where it has a column for it. */
  readonly air_C?: number;
  /** Of the air at each of the points, the last that was read; empty where it has no column for it. */
  readonly airs: readonly number[];
  /** Lines that could not be read, counted with the headings. */
  readonly aside: readonly { readonly line: number; readonly reason: string }[];
}

const DAY_AND_HOUR = /^(\d{4})-(\d{2})-(\d{2})[T ](\d{1,2}):(\d{2})(?::(\d{2})(?:\.\d+)?)?Z?$/;
const HOUR = /^(\d{1,2}):(\d{2})(?::(\d{2})(?:\.\d+)?)?$/;
const DAY_MIN = 1440;
const IN_MINUTES = { seconds: 1 / 60, minutes: 1, hours: 60 } as const;

const is = (pattern: RegExp) => (heading: string) => pattern.test(heading.trim());
const isTime = is(/time|date|hour|elapsed|^t\b|clock|\b(min|sec)/i);
const isAir = is(/air|ambient|room|outside/i);
const isTemperature = is(/temp|head|coolant|water|oil|probe|°|\b[CF]\b/i);

/** What each column is taken for by its heading: the first that fits, each once. */
export function guessedUses(headings: readonly string[]): readonly TemperatureUse[] {
  const taken = new Set<TemperatureUse>();
  const found = headings.map((heading): TemperatureUse => {
    const use = isTime(heading) ? 'time' : isAir(heading) ? 'air' : isTemperature(heading) ? 'temperature' : 'left out';
    if (use !== 'left out' && taken.has(use)) return 'left out';
    taken.add(use);
    return use;
  });
  // Two columns of which one is the time: the other is what was recorded.
  const rest = found.indexOf('left out');
  return !taken.has('temperature') && taken.has('time') && rest >= 0
    ? found.map((use, i) => (i === rest ? 'temperature' : use))
    : found;
}

function timeSort(heading: string, first: string): TimeSort {
  if (DAY_AND_HOUR.test(first)) return 'day-and-hour';
  if (HOUR.test(first)) return 'hour';
  return /\bs\b|sec/i.test(heading) ? 'seconds' : /\bh\b|hour/i.test(heading) ? 'hours' : 'minutes';
}

/** A day that there is, and an hour of it, in minutes; undefined for any other. */
function clockMinutes(text: string): number | undefined {
  const day = DAY_AND_HOUR.exec(text);
  const [hour = '', minute = '', second = '0'] = (day?.slice(4) ?? HOUR.exec(text)?.slice(1) ?? []).map(
    (part) => part ?? '0',
  );
  if (hour === '' || Number(hour) > 23 || Number(minute) > 59 || Number(second) > 59) return undefined;
  const own = 60 * Number(hour) + Number(minute) + Number(second) / 60;
  if (!day) return own;
  const [y = 0, m = 0, d = 0] = day.slice(1, 4).map(Number);
  const at = new Date(Date.UTC(y, m - 1, d));
  return at.getUTCDate() === d && at.getUTCMonth() === m - 1 ? at.getTime() / 60_000 + own : undefined;
}

const isFahrenheit = (heading: string) => /°\s*F|\bF\b|fahrenheit/i.test(heading);

/**
 * Reads a recorder's table: a column of times, by the clock or from its beginning, and one of temperatures, in °C or as
 * the heading says in °F. Hours without a day that go back are of the next day.
 * @throws DomainError no-time, no-temperature where no column is one; too-few-points
 */
export function readTemperatures(
  { headings, records }: { readonly headings: readonly string[]; readonly records: readonly (readonly string[])[] },
  uses: readonly TemperatureUse[] = guessedUses(headings),
): TemperatureTable {
  const [time, temperature, air] = (['time', 'temperature', 'air'] as const).map((use) => uses.indexOf(use));
  if (time === undefined || time < 0)
    throw new DomainError('no-time', 'No column is taken for the time: say which one is.', 'uses');
  if (temperature === undefined || temperature < 0)
    throw new DomainError('no-temperature', 'No column is taken for the temperature: say which one is.', 'uses');
  const times = timeSort(headings[time] ?? '', (records[0]?.[time] ?? '').trim());
  const celsius = (cell: string, column: number) =>
    celsiusOf(isFahrenheit(headings[column] ?? '') && !/[CF]\s*$/i.test(cell) ? `${cell} F` : cell);
  const points: Recorded[] = [];
  const aside: { line: number; reason: string }[] = [];
  let first: { readonly minutes: number; readonly cell: string } | undefined;
  let [days, last] = [0, Number.NEGATIVE_INFINITY];
  let air_C: number | undefined;
  const airs: number[] = [];
  records.forEach((record, i) => {
    const [cell, degrees] = [(record[time] ?? '').trim(), (record[temperature] ?? '').trim()];
    const isClock = times === 'hour' || times === 'day-and-hour';
    const figure = isClock ? clockMinutes(cell) : plainFigure(cell);
    const C = celsius(degrees, temperature);
    const line = i + 2;
    if (figure === undefined) return void aside.push({ line, reason: `“${cell}” is no time` });
    if (C === undefined || C < -60 || C > 1500)
      return void aside.push({ line, reason: `“${degrees}” is no temperature` });
    const own = isClock ? figure : figure * IN_MINUTES[times];
    // Past midnight: by more than a clock is put back for winter.
    if (times === 'hour' && own + days * DAY_MIN < last - DAY_MIN / 2) days += 1;
    const minutes = own + days * DAY_MIN;
    if (minutes <= last) return void aside.push({ line, reason: 'it is not later than the one before it' });
    last = minutes;
    first ??= { minutes, cell };
    points.push([Number((minutes - first.minutes).toFixed(4)), C]);
    const around = air === undefined || air < 0 ? undefined : celsius((record[air] ?? '').trim(), air);
    air_C = around ?? air_C;
    // What was read first stands for the lines before it.
    if (air_C !== undefined) while (airs.length < points.length) airs.push(air_C);
  });
  if (points.length < 3) throw new DomainError('too-few-points', tooFew(points.length, aside), 'text');
  const begun = first as unknown as { readonly cell: string };
  return {
    headings,
    uses,
    times,
    ...((times === 'hour' || times === 'day-and-hour') && {
      firstAt: begun.cell.replace(' ', 'T').replace(/\.\d+/, ''),
    }),
    points,
    airs,
    ...(air_C !== undefined && { air_C }),
    aside,
  };
}

const tooFew = (read: number, aside: readonly { readonly reason: string }[]) =>
  `${read} of its lines can be read, and three are needed${aside[0] ? `: ${aside[0].reason}` : ''}.`;
