import dayjs from 'dayjs';
import relativeTime from 'dayjs/plugin/relativeTime';

dayjs.extend(relativeTime);

/** `14:20` */
export const clockTime = (at: number | string): string => dayjs(at).format('HH:mm');

/** `14:20` today, `Tue 14:20` within the week, else `3 Mar 1999, 14:20`. */
export function nearTime(at: number | string, now: number): string {
  const then = dayjs(at);
  if (then.isSame(now, 'day')) return then.format('HH:mm');
  return Math.abs(then.diff(now, 'day', true)) < 6 ? then.format('ddd HH:mm') : then.format('D MMM YYYY, HH:mm');
}

/** `3 Mar 1999` */
export const fullDate = (at: number | string): string => dayjs(at).format('D MMM YYYY');

export const fullTime = (at: number | string): string => dayjs(at).format('D MMM YYYY, HH:mm:ss');

/** `a week ago` */
export const agoFrom = (at: number | string, now: number): string => dayjs(at).from(dayjs(now));

/** As a field of day and hour holds it. */
export const inputTime = (at: number | string): string => dayjs(at).format('YYYY-MM-DDTHH:mm');
