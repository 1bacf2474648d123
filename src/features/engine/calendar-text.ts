import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import type { ToldEvent } from '@/model/calendar/calendar';

const NAME = 'Unhurried Spanner';
const HOURLY_S = 3600;
const PROPOSES = 'The clock only proposes: a reading at the head opens it.';

/** The events as an iCalendar file; hours in UTC, so that each device tells them in its own. @param origin where this program answers */
export function calendarText(events: readonly ToldEvent[], origin: string): string {
  const calendar = ical({
    name: NAME,
    prodId: { company: NAME, product: 'Due', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: HOURLY_S,
  });
  for (const { uid, sequence, changedAt, summary, from, by, path, ended } of events)
    calendar.createEvent({
      id: uid,
      sequence,
      stamp: new Date(changedAt),
      lastModified: new Date(changedAt),
      start: new Date(from),
      end: new Date(by),
      summary,
      description: PROPOSES,
      url: `${origin}${path}`,
      status: ended === 'called-off' ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    });
  return calendar.toString();
}
