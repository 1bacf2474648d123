import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sequence, type SequenceStep } from '@/core/sequence';
import { isDomainError } from '@/core/units';
import { codeOf } from '../code-of';

/** `head<gasket,studs`: after these; `oilway!cover`: not until the cover. */
const ids = (text: string): SequenceStep[] =>
  text.split(' ').map((one) => {
    const [, id = '', after, notUntil] = /^(\w+)(?:<([\w,]+))?(?:!([\w,]+))?$/.exec(one) ?? [];
    return { id, ...(after && { after: after.split(',') }), ...(notUntil && { notUntil: notUntil.split(',') }) };
  });

describe('the order of a build', () => {
  test('is that of the request where nothing waits', () =>
    expect(sequence({ steps: ids('c a b') })).toEqual({ order: ['c', 'a', 'b'], open: ['c', 'a', 'b'], waiting: [] }));
  test('puts a step after all that it waits for, and takes the first of the request where several may come', () =>
    expect(sequence({ steps: ids('head<gasket,studs gasket<block studs<block block sump') }).order).toEqual([
      'block',
      'gasket',
      'studs',
      'head',
      'sump',
    ]));
  test('a cover comes after what it hides, and waits for it; once it is on, the other waits for it to come off', () => {
    const steps = ids('cover oilway!cover');
    expect(sequence({ steps })).toEqual({
      order: ['oilway', 'cover'],
      open: ['oilway'],
      waiting: [{ id: 'cover', for: ['oilway'] }],
    });
    expect(sequence({ steps, done: ['cover'] })).toMatchObject({
      open: [],
      waiting: [{ id: 'oilway', for: ['cover'] }],
    });
    expect(sequence({ steps, done: ['oilway'] })).toMatchObject({ open: ['cover'], waiting: [] });
  });
  test('only what is directly missing is told, in the order of the request', () =>
    expect(sequence({ steps: ids('a b<a c<b,a'), done: [] }).waiting).toEqual([
      { id: 'b', for: ['a'] },
      { id: 'c', for: ['a', 'b'] },
    ]));
  test.each([
    [ids('a<b b<a'), 'loop'],
    [ids('a<a'), 'loop'],
    [ids('a!b b!a'), 'loop'],
    [ids('a<b b!a c'), undefined],
    [ids('a<none'), 'unknown-step'],
    [ids('a!none'), 'unknown-step'],
    [[{ id: 'a' }, { id: 'a' }], 'bad-field'],
  ])('%j: %s', (steps, code) => expect(codeOf(() => sequence({ steps })) ?? undefined).toBe(code));
  test('what is said to be done must be a step', () =>
    expect(codeOf(() => sequence({ steps: ids('a'), done: ['b'] }))).toBe('unknown-step'));
});

/** Steps with what each waits for and hides, by chance; with or without loops. */
const graph = fc
  .array(fc.tuple(fc.array(fc.nat(11), { maxLength: 3 }), fc.array(fc.nat(11), { maxLength: 2 })), {
    minLength: 1,
    maxLength: 12,
  })
  .map((rows) =>
    rows.map(([after, notUntil], i): SequenceStep => {
      const named = (places: readonly number[]) =>
        [...new Set(places)].filter((n) => n < rows.length).map((n) => `s${n}`);
      return { id: `s${i}`, after: named(after), notUntil: named(notUntil) };
    }),
  );

const comesBefore = (steps: readonly SequenceStep[]) => [
  ...steps.flatMap(({ id, after = [] }) => after.map((one) => [one, id] as const)),
  ...steps.flatMap(({ id, notUntil = [] }) => notUntil.map((one) => [id, one] as const)),
];

test('of any graph the order is valid and the earliest, or a real loop of it is named', () => {
  let loops = 0;
  fc.assert(
    fc.property(graph, (steps) => {
      const pairs = comesBefore(steps);
      try {
        const { order } = sequence({ steps });
        expect([...order].sort()).toEqual(steps.map(({ id }) => id).sort());
        for (const [first, then] of pairs) expect(order.indexOf(first)).toBeLessThan(order.indexOf(then));
        // At every place the first of the request that may come there.
        for (const [i, id] of order.entries()) {
          const before = new Set(order.slice(0, i));
          const may = steps.find(
            (one) => !before.has(one.id) && pairs.every(([a, b]) => b !== one.id || before.has(a)),
          );
          expect(may?.id).toBe(id);
        }
      } catch (error) {
        if (!isDomainError(error)) throw error;
        loops += 1;
        expect(error.code).toBe('loop');
        const ring = error.message.match(/s\d+/g) ?? [];
        expect(ring.length).toBeGreaterThan(1);
        expect(ring[0]).toBe(ring.at(-1));
        for (let i = 0; i + 1 < ring.length; i += 1)
          expect(pairs.some(([a, b]) => a === ring[i + 1] && b === ring[i])).toBe(true);
      }
    }),
    { numRuns: 3000 },
  );
  expect(loops).toBeGreaterThan(100);
});

test('doing what is open, whatever it is, ends with all of it done', () => {
  fc.assert(
    fc.property(graph, fc.array(fc.nat(), { minLength: 12, maxLength: 12 }), (steps, picks) => {
      if (codeOf(() => sequence({ steps })) === 'loop') return;
      const done: string[] = [];
      for (const pick of picks) {
        const { open, waiting } = sequence({ steps, done });
        expect(open.length + waiting.length + done.length).toBe(steps.length);
        if (open.length === 0) break;
        done.push(open[pick % open.length]!);
      }
      expect(done.length).toBe(steps.length);
    }),
    { numRuns: 500 },
  );
});

test('a thousand steps in a chain are put in order at once', () => {
  const steps = Array.from({ length: 1000 }, (_, i) => ({ id: `s${i}`, after: i < 999 ? [`s${i + 1}`] : [] }));
  const took_ms = Array.from({ length: 5 }, () => {
    const since = performance.now();
    expect(sequence({ steps }).order[0]).toBe('s999');
    return performance.now() - since;
  });
  // The best of five: the others are what the machine had to do beside it.
  expect(Math.min(...took_ms)).toBeLessThan(500);
});
