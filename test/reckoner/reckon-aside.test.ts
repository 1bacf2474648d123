import { afterEach, expect, jest, test } from '@jest/globals';
import { MOST_MS, reckonAside } from '@/reckoner/reckon-aside';

const INCH = { op: 'convert', value: 1, from: 'in', to: 'mm' };
const ring = Array.from({ length: 500 }, (_, i) => [
  Number((100 * Math.cos((i / 250) * Math.PI)).toFixed(1)),
  Number((100 * Math.sin((i / 250) * Math.PI)).toFixed(1)),
]);
const HEAVY = Array.from({ length: 40 }, () => ({ op: 'order', school: 'star', positions: ring }));

const later = (ms: number) => jest.advanceTimersByTime(ms);
const withItsClock = () => jest.useFakeTimers({ doNotFake: ['nextTick', 'queueMicrotask', 'setImmediate'] });

afterEach(() => {
  jest.useRealTimers();
});

test('until the thread is read in no request’s time runs, however slow the machine; then it does', async () => {
  withItsClock();
  const first = reckonAside([INCH]);
  later(MOST_MS + 1);
  expect(await first).toMatchObject({ ok: true, answers: [{ ok: true, result: { value: 25.4 } }] });
  const slow = reckonAside(HEAVY);
  later(MOST_MS - 1);
  const behind = reckonAside([INCH]);
  later(1);
  expect(await slow).toEqual({ ok: false, why: 'slow' });
  // The one that waited behind it has a thread of its own again.
  expect(await behind).toMatchObject({ ok: true });
});

test('a thread that is not read in within a minute is given up', async () => {
  expect(await reckonAside([INCH])).toMatchObject({ ok: true });
  withItsClock();
  const heavy = reckonAside(HEAVY);
  later(MOST_MS);
  expect(await heavy).toEqual({ ok: false, why: 'slow' });
  const next = reckonAside([INCH]);
  later(60_000);
  expect(await next).toEqual({ ok: false, why: 'failed' });
  expect(await reckonAside([INCH])).toMatchObject({ ok: true });
});

test('more than forty that wait are told so', async () => {
  const asked = Array.from({ length: 42 }, () => reckonAside([INCH]));
  expect((await Promise.all(asked)).map((one) => (one.ok ? 'ok' : one.why)).slice(40)).toEqual(['ok', 'busy']);
});
