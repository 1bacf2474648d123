import { beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import ICAL from 'ical.js';
import { calendarText } from '@/features/engine/calendar-text';
import { dueEvents, keptCalendar, toldCalendar } from '@/features/engine/calendar';
import { calendarAddressAction } from '@/features/engine/calendar-actions';
import { engineSummaries } from '@/db/reads/engine-summaries';
import type { Shop } from '@/db/shop';
import { calendarAfter, NO_CALENDAR, type Calendar, type DueEvent } from '@/model/calendar/calendar';
import { addCycleAction } from '@/features/run-in/actions';
import { accepted, ownShop, refused, there } from '../actions/own-shop';
import { rowsNamed, YARD_NOW } from '../db/temporary-shop';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const NOW = Date.parse('2026-10-24T20:00:00Z');
const HEAD: DueEvent = {
  key: 'head',
  summary: 'Six: head cold',
  from: NOW + HOUR_MS,
  by: NOW + 3 * HOUR_MS,
  path: '/engines/six/run-in',
};

/** Tells a calendar of what is due, hour after hour. */
function telling() {
  let [kept, ids] = [NO_CALENDAR, 0];
  return (dues: readonly DueEvent[], now = NOW): Calendar =>
    (kept = calendarAfter(kept, dues, now, () => `uid-${ids++}`));
}

/** As an independent reader has it. */
const readBack = (text: string) => {
  const calendar = new ICAL.Component(ICAL.parse(text) as never);
  return calendar.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    return {
      uid: event.uid,
      summary: event.summary,
      sequence: Number(component.getFirstPropertyValue('sequence')),
      status: String(component.getFirstPropertyValue('status')),
      url: String(component.getFirstPropertyValue('url')),
      from: event.startDate.toJSDate().getTime(),
      by: event.endDate.toJSDate().getTime(),
      zone: event.startDate.zone.tzid,
    };
  });
};
const told = (calendar: Calendar) => readBack(calendarText(calendar.events, 'http://shop.local:4620'));

describe('what a calendar is told', () => {
  test('is the window as the span of the event, in an hour that every device knows', () => {
    // The night in which the clocks go back.
    expect(told(telling()([HEAD]))).toEqual([
      {
        uid: 'uid-0',
        summary: 'Six: head cold',
        sequence: 0,
        status: 'CONFIRMED',
        url: 'http://shop.local:4620/engines/six/run-in',
        from: HEAD.from,
        by: HEAD.by,
        zone: 'UTC',
      },
    ]);
  });
  test('comes whole through a name with everything in it', () => {
    const summary = `Ünit 5½; the “long, one”\\ ${'and more '.repeat(20)}🔧: head cold`;
    const text = calendarText(telling()([{ ...HEAD, summary }]).events, 'http://shop.local');
    expect(readBack(text)[0]?.summary).toBe(summary);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  });
  test('that it moved is the same event, later', () => {
    const tell = telling();
    tell([HEAD]);
    const moved = { ...HEAD, from: HEAD.from + 20 * 60_000 };
    expect(told(tell([moved]))).toMatchObject([{ uid: 'uid-0', sequence: 1, from: moved.from, status: 'CONFIRMED' }]);
    // By some seconds, and nobody hears of it.
    expect(told(tell([{ ...moved, from: moved.from + 20_000 }]))).toMatchObject([{ sequence: 1, from: moved.from }]);
    expect(told(tell([{ ...moved, summary: 'Seven: head cold' }]))).toMatchObject([{ uid: 'uid-0', sequence: 2 }]);
  });
  test('called off before it began it is cancelled; begun, it stays where it was', () => {
    const early = telling();
    early([HEAD]);
    expect(told(early([]))).toMatchObject([{ uid: 'uid-0', sequence: 1, status: 'CANCELLED' }]);
    expect(told(early([], NOW + 61 * DAY_MS))).toEqual([]);
    const late = telling();
    late([HEAD]);
    expect(told(late([], HEAD.from + 1))).toMatchObject([{ uid: 'uid-0', status: 'CONFIRMED' }]);
  });
  test('the next run of the same head is another event', () => {
    const tell = telling();
    tell([HEAD]);
    tell([], HEAD.by);
    const next = { ...HEAD, from: HEAD.from + 7 * DAY_MS, by: HEAD.by + 7 * DAY_MS };
    expect(told(tell([next], HEAD.by + DAY_MS)).map(({ uid, from }) => [uid, from])).toEqual([
      ['uid-0', HEAD.from],
      ['uid-1', next.from],
    ]);
  });
  test('has each thing that is due once, under an id of its own, and a sequence that never falls', () => {
    const due = fc.record({ key: fc.constantFrom('a', 'b', 'c'), at: fc.integer({ min: -50, max: 50 }) });
    fc.assert(
      fc.property(
        fc.array(fc.uniqueArray(due, { selector: ({ key }) => key, maxLength: 3 }), { maxLength: 8 }),
        (days) => {
          const tell = telling();
          const seen = new Map<string, number>();
          for (const [day, given] of days.entries()) {
            const now = NOW + day * DAY_MS;
            const dues = given.map(({ key, at }) => ({
              ...HEAD,
              key,
              from: now + at * HOUR_MS,
              by: now + (at + 2) * HOUR_MS,
            }));
            const { events } = tell(dues, now);
            expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
            expect(
              events
                .filter(({ ended }) => ended === undefined)
                .map(({ key }) => key)
                .sort(),
            ).toEqual(given.map(({ key }) => key).sort());
            for (const { uid, sequence } of events) {
              expect(sequence).toBeGreaterThanOrEqual(seen.get(uid) ?? 0);
              seen.set(uid, sequence);
            }
          }
        },
      ),
    );
  });
});

describe('the calendar of a shop', () => {
  let shop: Shop;
  beforeEach(() => {
    shop = ownShop();
  });
  const summaries = () => engineSummaries(shop, 'test', (id) => rowsNamed(shop, id));
  test('has the head that cools, follows a later run, and is told the same twice', async () => {
    const [first] = toldCalendar(shop, summaries(), Date.parse(YARD_NOW)).events;
    expect(first).toMatchObject({
      summary: 'Thorncote-Wicks Fourteen: Cylinder head cold',
      path: '/engines/demo-fourteen/run-in',
    });
    const { version } = keptCalendar(shop);
    toldCalendar(shop, summaries(), Date.parse(YARD_NOW));
    expect(keptCalendar(shop).version).toBe(version);
    const now = Date.now();
    const iso = (at: number) => new Date(at).toISOString();
    const run = {
      id: 'another-run',
      engineId: 'demo-fourteen',
      sentAt: iso(now),
      ranFrom: iso(now - HOUR_MS),
      ranTo: iso(now - 60_000),
    };
    await accepted(addCycleAction({ ...run, highest_C: 84, ambient_C: 14 }));
    const later = toldCalendar(shop, summaries(), now).events;
    expect(later.map(({ uid }) => uid)).toContain(there(first).uid);
    expect(later.find(({ uid }) => uid === first?.uid)).toMatchObject({ sequence: 1 });
  });
  test('leaves out an engine that lies aside', () => {
    expect(dueEvents(summaries())).toHaveLength(1);
    expect(dueEvents(summaries().map((one) => ({ ...one, aside: { reason: 'sold', at: YARD_NOW } })))).toEqual([]);
  });
  test('has no address until it is given one, another one when it is asked for, and none again', async () => {
    const secret = () => keptCalendar(shop).calendar.secret;
    expect(secret()).toBeNull();
    await accepted(calendarAddressAction({ isOpen: true }));
    const first = secret();
    expect(first).toMatch(/^[\w-]{32}$/);
    await accepted(calendarAddressAction({ isOpen: true }));
    expect(secret()).not.toBe(first);
    await accepted(calendarAddressAction({ isOpen: false }));
    expect(secret()).toBeNull();
    expect((await refused(calendarAddressAction({}))).code).toBe('bad-field');
  });
});
