import { setTimeout as pause } from 'node:timers/promises';
import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { Shop } from '@/db/shop';
import { recordEvent } from '@/features/bench/record-event';
import { recordLine } from '@/features/fits/record-line';
import { startTighteningAction } from '@/features/joint/actions';
import { addCycleAction, addReadingAction } from '@/features/run-in/actions';
import { onThisClock } from '@/features/run-in/device-time';
import { gateOf } from '@/model/fit/fit-gate';
import { SLACK_MS } from '@/model/line-age';
import { happenedAt } from '@/model/line-time';
import { nowMs } from '@/server/clock';
import { fitsOfEngine, stateNamed } from '../db/temporary-shop';
import { accepted, ownShop, refused, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const MINUTE_MS = 60_000;
const MAINS = 'demo-n-fit-mains';
const JOINT = 'demo-n-joint-mains';
const BODY = {
  unit: 'mm',
  instrument: 'Micrometer',
  resolution_mm: 0.001,
  answers: { 'cap-final': 'yes', 'final-bolts': 'yes' },
  sure: true,
};

/** Reads every bearing inside its limits, with whatever a device says of the hour. */
function readMains(extra: object): void {
  const fit = there(shop.fits.find(MAINS));
  for (const [place] of fit.places.entries())
    for (const part of ['journal', 'bore'])
      for (let station = 0; station < fit.stations; station++)
        for (let angle = 0; angle < fit.angles; angle++) {
          const id = `read-${place}-${part}-${station}-${angle}`;
          const typed = part === 'journal' ? '50.000' : '50.045';
          const line = { id, kind: 'reading', place, part, station, angle, value_mm: 0, typed, body: BODY, ...extra };
          expect(recordLine(shop, MAINS, line)).toMatchObject({ ok: true });
        }
}

const states = () => {
  const mains = fitsOfEngine(shop, 'demo-norrhem').find(({ fit }) => fit.id === MAINS);
  return new Set(there(mains).places.map(({ state }) => state));
};

const roundNow = () =>
  accepted(
    startTighteningAction({
      jointId: JOINT,
      version: shop.joints.find(JOINT)?.version ?? 1,
      purpose: 'trial',
      reason: 'to see',
    }),
  );

const inFuture = () => new Date(nowMs() + 5 * MINUTE_MS).toISOString();

describe('one clock orders what happened to a fit and what happened to its joint', () => {
  test.each([
    ['a tablet five minutes fast', () => ({ at: inFuture() })],
    ['a line two minutes old when it was sent', () => ({ age_ms: 2 * MINUTE_MS })],
    ['a line that says nothing of its age', () => ({})],
  ])('%s: a going-round after the reading makes it stale, and the gate asks', async (_, extra) => {
    readMains(extra());
    expect(states()).toEqual(new Set(['inside']));
    expect(gateOf(fitsOfEngine(shop, 'demo-norrhem'), JOINT).held).toEqual([]);
    await new Promise((resolve) => setTimeout(resolve, 5));
    await roundNow();
    expect(states()).toEqual(new Set(['stale']));
    expect(gateOf(fitsOfEngine(shop, 'demo-norrhem'), JOINT).asks.map(({ line }) => line)).toContainEqual(
      expect.stringMatching(/its readings are stale/),
    );
  });
  test('a line of before, whose hour a fast clock put into the future, happened no later than it was written down', () => {
    const recordedAt = '2026-05-16T14:00:00.000Z';
    expect(happenedAt({ at: '2026-05-16T14:05:00.000Z', recordedAt })).toBe(recordedAt);
    expect(happenedAt({ at: '2026-05-16T13:00:00.000Z', recordedAt })).toBe('2026-05-16T13:00:00.000Z');
    expect(happenedAt({ at: '2026-05-16T14:05:00.000Z' })).toBe('2026-05-16T14:05:00.000Z');
    readMains({});
    // As a file of before has them: every hour five minutes ahead of the server that wrote it.
    shop.db.exec('DROP TRIGGER fit_line_is_not_altered');
    shop.db.prepare('UPDATE fit_line SET at = ? WHERE fit_id = ?').run(inFuture(), MAINS);
    const started = new Date(nowMs() + MINUTE_MS).toISOString();
    const [round] = shop.tightenings.ofEngine('demo-fourteen');
    shop.tightenings.start({ ...there(round), id: 'later', jointId: JOINT, purpose: 'trial', startedAt: started });
    expect(states()).toEqual(new Set(['stale']));
  });
  test('a reading made before the round and sent after it, by a device that was away, is stale', async () => {
    await roundNow();
    readMains({ age_ms: 10 * MINUTE_MS });
    expect(states()).toEqual(new Set(['stale']));
  });
  test('an hour that a device sends is passed over, in lines of fits and of the bench', () => {
    const at = '1999-01-01T00:00:00.000Z';
    const line = { id: 'felt-0001', kind: 'felt', place: 0, body: { words: 'none to be felt' }, at };
    expect(recordLine(shop, 'demo-n-fit-float', line).ok).toBe(true);
    const pull = { id: 'pull-0001', kind: 'pull', step: 7, outcome: 'pulled', at };
    expect(recordEvent(shop, 'demo-m-joint-head-round-1', pull).ok).toBe(true);
    const events = shop.tightenings.events('demo-m-joint-head-round-1');
    for (const kept of [...shop.fits.lines('demo-n-fit-float').slice(-1), ...events.slice(-1)]) {
      expect(Math.abs(Date.parse(kept.at) - nowMs())).toBeLessThan(MINUTE_MS);
      expect(kept.at).toBe(kept.recordedAt);
    }
  });
  test.each([
    [-1, 'bad-field'],
    [1e15, 'bad-field'],
    [0.5, 'bad-field'],
    ['soon', 'bad-field'],
  ])('an age of %j is refused', (age_ms, code) => {
    const line = { id: 'felt-0001', kind: 'felt', place: 0, body: { words: 'none to be felt' }, age_ms };
    expect(recordLine(shop, 'demo-n-fit-float', line)).toMatchObject({ ok: false, error: { code } });
    const pull = { id: 'pull-0001', kind: 'pull', step: 7, outcome: 'pulled', age_ms };
    expect(recordEvent(shop, 'demo-m-joint-head-round-1', pull)).toMatchObject({ ok: false, error: { code } });
  });
});

describe('runs of the engine, told by a device', () => {
  const cycle = (skew_ms: number) => {
    const device = (minutesAgo: number) => new Date(nowMs() + skew_ms - minutesAgo * MINUTE_MS).toISOString();
    return {
      cycle: {
        engineId: 'demo-fourteen',
        highest_C: 80,
        ambient_C: 15,
        ranFrom: device(60),
        ranTo: device(30),
        sentAt: device(0),
      },
      device,
    };
  };
  test.each([-3_600_000, 0, 5 * MINUTE_MS, 86_400_000])(
    'a clock off by %d ms tells how long ago all the same',
    async (skew) => {
      const { cycle: fields, device } = cycle(skew);
      await accepted(addCycleAction({ ...fields, id: 'cycle-0001' }));
      const kept = there(shop.heat.log('demo-fourteen').cycles.find(({ id }) => id === 'cycle-0001'));
      expect((nowMs() - Date.parse(kept.ranTo)) / MINUTE_MS).toBeCloseTo(30, 1);
      await accepted(
        addReadingAction({
          id: 'read-00001',
          engineId: 'demo-fourteen',
          cycleId: 'cycle-0001',
          at: device(2),
          sentAt: device(0),
          head_C: 40,
          sure: true,
          ambient_C: 15,
        }),
      );
      const read = there(shop.heat.log('demo-fourteen').readings.find(({ id }) => id === 'read-00001'));
      expect((nowMs() - Date.parse(read.at)) / MINUTE_MS).toBeCloseTo(2, 1);
    },
  );
  test('a run in the future, or upside down, or of no heat, is refused at its field', async () => {
    const { cycle: fields, device } = cycle(0);
    const field = async (part: object) =>
      (await refused(addCycleAction({ ...fields, id: 'cycle-0001', ...part }))).field;
    expect(await field({ ranTo: device(-20) })).toBe('ranTo');
    expect(await field({ ranFrom: device(10) })).toBe('ranTo');
    expect(await field({ highest_C: 15 })).toBe('highest_C');
    expect(await field({ engineId: 'none' })).toBe('engineId');
  });
  test('a reading before the stop, of another run, or of nothing, is refused', async () => {
    const { cycle: fields, device } = cycle(0);
    await accepted(addCycleAction({ ...fields, id: 'cycle-0001' }));
    const read = {
      id: 'read-00001',
      engineId: 'demo-fourteen',
      cycleId: 'cycle-0001',
      at: device(40),
      sentAt: device(0),
      head_C: 40,
      sure: true,
      ambient_C: 15,
    };
    expect((await refused(addReadingAction(read))).field).toBe('at');
    expect((await refused(addReadingAction({ ...read, cycleId: 'none' }))).field).toBe('cycleId');
    // A reading of the very minute of the stop counts from the stop.
    await accepted(addReadingAction({ ...read, at: device(30.5) }));
    const log = shop.heat.log('demo-fourteen');
    expect(log.readings.find(({ id }) => id === 'read-00001')?.at).toBe(
      log.cycles.find(({ id }) => id === 'cycle-0001')?.ranTo,
    );
  });
  test('an hour keeps its distance from now', () => {
    expect(onThisClock('2026-01-01T00:00:00Z', '2026-01-01T00:10:00Z', 1_000_000_000)).toBe(1_000_000_000 - 600_000);
  });
  test('a tightening counts as done when the server wrote its last line', () => {
    const { joints } = stateNamed(shop, 'demo-fourteen');
    const head = there(joints.find(({ joint }) => joint.id === 'demo-f-joint-head'));
    expect(head.retorque.state).toBe('cooling');
    // A tablet a week fast wrote the last pull: the run of this morning still came after it.
    const last = there(head.final?.events.at(-1));
    shop.db.exec('DROP TRIGGER bench_event_is_not_altered');
    const later = new Date(Date.parse(last.at) + 7 * 86_400_000).toISOString();
    shop.db.prepare('UPDATE bench_event SET at = ? WHERE id = ?').run(later, last.id);
    const after = stateNamed(shop, 'demo-fourteen').joints.find(({ joint }) => joint.id === 'demo-f-joint-head');
    expect(after?.retorque.state).toBe('cooling');
  });
});

test('all parts of the program tell the same hour, whenever each is read in, also where it was set', async () => {
  const readIn = async () => {
    let clock: { readonly nowMs: () => number } = { nowMs };
    await jest.isolateModulesAsync(async () => {
      clock = await import('@/server/clock');
    });
    return clock;
  };
  process.env.SPANNER_CLOCK = '2031-01-02T03:04:05.000Z';
  try {
    const first = await readIn();
    await pause(400);
    const later = await readIn();
    expect(later.nowMs).not.toBe(first.nowMs);
    expect(Math.abs(later.nowMs() - first.nowMs())).toBeLessThan(200);
  } finally {
    delete process.env.SPANNER_CLOCK;
  }
});

test('where the machine’s clock is set back by a little, the program’s stands until it is caught up with; by more, it follows', () => {
  const machine = jest.spyOn(Date, 'now');
  const at = (ms: number) => (machine.mockReturnValue(ms), nowMs());
  const from = Date.parse('2033-05-06T07:08:09.000Z');
  try {
    expect([0, 5000, 3000, 4999, 5001].map((ms) => at(from + ms) - from)).toEqual([0, 5000, 5000, 5000, 5001]);
    expect(at(from + 5001 - SLACK_MS) - from).toBe(5001);
    // By more it is said on every page; and a clock that was wrong is not stood by.
    expect(at(from + 5000 - SLACK_MS) - from).toBe(5000 - SLACK_MS);
    expect(at(from - 365 * 86_400_000) - from).toBe(-365 * 86_400_000);
  } finally {
    machine.mockRestore();
  }
});
