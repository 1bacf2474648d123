import { nanoid } from 'nanoid';
import type { SummarizedEngine } from '@/db/reads/engine-summaries';
import {
  CALENDAR_JSON,
  CALENDAR_KEY,
  NO_CALENDAR,
  calendarAfter,
  type Calendar,
  type DueEvent,
} from '@/model/calendar/calendar';
import type { Bench } from '@/server/shop-action';
import { onStands } from './queries';
import { hrefOf } from './wait-line';

/** What of all engines falls due in a window of time. */
export const dueEvents = (engines: readonly SummarizedEngine[]): readonly DueEvent[] =>
  onStands(engines).flatMap(({ engineId, name, summary: { waits } }) =>
    waits.flatMap(({ key, about, by, waitsFor, to }): readonly DueEvent[] =>
      key === undefined || about === undefined || by === undefined
        ? []
        : [{ key, summary: `${name}: ${waitsFor}`, from: about, by, path: hrefOf(engineId, to) }],
    ),
  );

/** What the calendar was last told, with the version that a writer must name. */
export function keptCalendar(shop: Bench['shop']): { readonly calendar: Calendar; readonly version: number } {
  const setting = shop.settings.get(CALENDAR_KEY);
  return setting
    ? { calendar: CALENDAR_JSON.read(setting.value), version: setting.version }
    : { calendar: NO_CALENDAR, version: 0 };
}

/** What a calendar is told now. It is kept, so that the next one is told what changed since. */
export function toldCalendar(shop: Bench['shop'], engines: readonly SummarizedEngine[], now: number): Calendar {
  const { calendar, version } = keptCalendar(shop);
  const next = calendarAfter(calendar, dueEvents(engines), now, () => `${nanoid()}@unhurried-spanner`);
  const text = CALENDAR_JSON.write(next);
  // Two that ask at once are told the same; the one that comes second keeps nothing.
  if (text !== CALENDAR_JSON.write(calendar))
    try {
      shop.settings.set(CALENDAR_KEY, text, version);
    } catch (error) {
      // It is told whether or not it can be kept for the next one.
      console.warn('What the calendar was told could not be kept:', error);
    }
  return next;
}
