import { storedJson } from '@/model/stored-json';

/** Something that is due in a window of time. Times are milliseconds since 1970. */
export interface DueEvent {
  /** The same for as long as it is the same thing, whatever it is called and whenever it falls due. */
  readonly key: string;
  readonly summary: string;
  readonly from: number;
  readonly by: number;
  /** Where it is done. */
  readonly path: string;
}

/** An event as a calendar was last told of it. */
export interface ToldEvent extends DueEvent {
  readonly uid: string;
  /** Rises with each change, so that a calendar knows the later one. */
  readonly sequence: number;
  readonly changedAt: string;
  /** `called-off` before it came; `over` after it began. Left out while it is due. */
  readonly ended?: 'called-off' | 'over';
}

export interface Calendar {
  /** The address of the feed ends in it; null while there is none. */
  readonly secret: string | null;
  readonly events: readonly ToldEvent[];
}

export const NO_CALENDAR: Calendar = { secret: null, events: [] };
export const CALENDAR_KEY = 'calendar';
export const CALENDAR_JSON = storedJson<Calendar>('calendar', []);

const DAY_MS = 86_400_000;
/** So long is a calendar told of what has ended: one that asks once a month still hears of it. */
const TOLD_DAYS = 60;
/** Readings shift a window by seconds: nobody moves an appointment for that. */
const MOVED_MS = 60_000;

const isMoved = (told: ToldEvent, due: DueEvent): boolean =>
  told.summary !== due.summary ||
  told.path !== due.path ||
  Math.abs(told.from - due.from) >= MOVED_MS ||
  Math.abs(told.by - due.by) >= MOVED_MS;

/**
 * What a calendar is to be told now: what is due, under ids that stay; what moved, as a later state of the same event;
 * and what is due no longer, called off where it had not begun.
 * @param newUid an id that no other event has
 */
export function calendarAfter(kept: Calendar, dues: readonly DueEvent[], now: number, newUid: () => string): Calendar {
  const changedAt = new Date(now).toISOString();
  const byKey = new Map(dues.map((due) => [due.key, due]));
  const known = kept.events
    .filter(({ ended, changedAt: at }) => ended === undefined || now - Date.parse(at) < TOLD_DAYS * DAY_MS)
    .map((told): ToldEvent => {
      if (told.ended !== undefined) return told;
      const due = byKey.get(told.key);
      if (!due) {
        const ended = told.from > now ? 'called-off' : 'over';
        return { ...told, ended, changedAt, sequence: told.sequence + 1 };
      }
      return isMoved(told, due) ? { ...told, ...due, changedAt, sequence: told.sequence + 1 } : told;
    });
  const open = new Set(known.flatMap(({ key, ended }) => (ended === undefined ? [key] : [])));
  const come = dues
    .filter(({ key }) => !open.has(key))
    .map((due): ToldEvent => ({ ...due, uid: newUid(), sequence: 0, changedAt }));
  return { ...kept, events: [...known, ...come] };
}
