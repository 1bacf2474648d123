import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cancelledOf } from '@/model/cancelled-lines';
import { isBehind, lineAge, madeAt, MAX_AGE_MS } from '@/model/line-age';
import { happenedAt } from '@/model/line-time';
import { assertSameLine } from '@/model/same-line';
import { codeOf } from '../core/code-of';

describe('lines that cancel lines', () => {
  const strikes = (id: string, of: string | null) => ({ id, strikes: of });
  test('one is cancelled; its canceller cancelled, it stands again; and so on', () => {
    expect([...cancelledOf([{ id: 'a' }, strikes('b', 'a')])]).toEqual(['a']);
    expect([...cancelledOf([{ id: 'a' }, strikes('b', 'a'), strikes('c', 'b')])]).toEqual(['b']);
    expect([...cancelledOf([{ id: 'a' }, strikes('b', 'a'), strikes('c', 'b'), strikes('d', 'c')])].sort()).toEqual([
      'a',
      'c',
    ]);
    expect(cancelledOf([{ id: 'a' }, strikes('b', null)]).size).toBe(0);
  });
  test('a chain of any length: every other one stands, counted from its end', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), (length) => {
        const lines = Array.from({ length }, (_, i) => strikes(String(i), i === 0 ? null : String(i - 1)));
        const cancelled = cancelledOf(lines);
        lines.forEach(({ id }, i) => expect(cancelled.has(id)).toBe((length - 1 - i) % 2 === 1));
      }),
    ));
});

describe('the age of a line', () => {
  const NOW = Date.parse('2026-05-16T14:20:00.000Z');
  test('tells when it was made by the clock of whoever receives it', () => {
    expect(madeAt(0, NOW)).toBe('2026-05-16T14:20:00.000Z');
    expect(madeAt(90_000, NOW)).toBe('2026-05-16T14:18:30.000Z');
  });
  test('is a whole number from now to ten years back; left out it is now', () => {
    expect(lineAge.validate(undefined).value).toBe(0);
    expect(MAX_AGE_MS).toBeCloseTo(3.15576e11, -3);
    for (const good of [0, 1, MAX_AGE_MS]) expect(lineAge.validate(good).error).toBeUndefined();
    for (const bad of [-1, 0.5, MAX_AGE_MS + 1, 'soon', null]) expect(lineAge.validate(bad).error).toBeDefined();
  });
  test('a clock is behind where it stands more than five minutes before what was written', () => {
    const written = (min: number) => new Date(NOW + min * 60_000).toISOString();
    expect([-1, 0, 4.99, 5].map((min) => isBehind(NOW, written(min)))).toEqual([false, false, false, false]);
    expect(isBehind(NOW, written(5.01))).toBe(true);
  });
  test('a line happened no later than it was written down', () => {
    const [early, late] = ['2026-05-16T14:00:00.000Z', '2026-05-16T15:00:00.000Z'];
    expect(happenedAt({ at: late, recordedAt: early })).toBe(early);
    expect(happenedAt({ at: early, recordedAt: late })).toBe(early);
    expect(happenedAt({ at: late })).toBe(late);
  });
});

describe('a line that is sent twice', () => {
  const line = { id: 'a', kind: 'pull', step: 3, at: '2026-05-16T14:00:00.000Z', who: 'IH' };
  test('is the same where only its way differs, in whatever order its fields come', () => {
    const again = {
      who: 'TW',
      at: '2026-05-16T15:00:00.000Z',
      recordedAt: 'x',
      age_ms: 9,
      seq: 4,
      step: 3,
      kind: 'pull',
      id: 'a',
    };
    expect(() => assertSameLine(line, again)).not.toThrow();
    expect(() => assertSameLine(line, { ...line, words: undefined })).not.toThrow();
  });
  test.each([[{ step: 4 }], [{ kind: 'shaft' }], [{ id: 'b' }], [{ words: 'more' }], [{ step: '3' }]])(
    'is another with %j, and is refused',
    (change) => expect(codeOf(() => assertSameLine(line, { ...line, ...change }))).toBe('id-taken'),
  );
});
