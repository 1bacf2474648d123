const digits = (value: number, count: number) => String(value).padStart(count, '0');

/** The day that a calendar on the shop’s wall shows at an hour, such as `2026-11-27`. */
export function wallDay(at: string): string {
  const day = new Date(at);
  return [digits(day.getFullYear(), 4), digits(day.getMonth() + 1, 2), digits(day.getDate(), 2)].join('-');
}

/** A day that was typed is kept as its midnight in UTC: west of there that is the evening before. */
const TYPED = 'T00:00:00.000Z';

/** The day of something of which the day was typed, or the hour written down. */
export const dayOf = (at: string): string => (at.endsWith(TYPED) ? at.slice(0, 10) : wallDay(at));
