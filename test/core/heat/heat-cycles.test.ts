import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { heatCycles, type CycleFact, type HeadReadingFact } from '@/core/heat';

const MIN = 60_000;
const LEAST = { highest_C: 60, minutes: 10, cooledTo_C: 40 };
/** A run of half an hour that begins at a minute. */
const run = (id: string, from: number, part: Partial<CycleFact> = {}): CycleFact => ({
  id,
  ranFrom: from * MIN,
  ranTo: (from + 30) * MIN,
  highest_C: 88,
  ambient_C: 12,
  ...part,
});
const read = (cycleId: string, at: number, head_C: number): HeadReadingFact => ({
  cycleId,
  at: at * MIN,
  head_C,
  ambient_C: 12,
});
const of = (runs: readonly CycleFact[], readings: readonly HeadReadingFact[] = [], more: object = {}) =>
  heatCycles({ runs, readings, least: LEAST, kind: 'car', ...more });
const ids = (...args: Parameters<typeof of>) => of(...args).counting.map(({ id }) => id);
const whys = (...args: Parameters<typeof of>) =>
  Object.fromEntries([...of(...args).not].map(([id, { why }]) => [id, why]));

describe('which runs are heat cycles', () => {
  test('too cool, too brief, and hot enough', () => {
    const runs = [run('a', 0, { highest_C: 48 }), run('b', 5000, { ranTo: 5006 * MIN }), run('c', 9000)];
    expect(ids(runs)).toEqual(['c']);
    expect(whys(runs)).toEqual({ a: 'too-cool', b: 'too-brief' });
    expect(of(runs).not.get('b')).toEqual({ why: 'too-brief', minutes: 6 });
  });

  // A car's head comes from 88 to 40 over 12 °C in 180 ln(76/28) = 180 min.
  test.each([
    [29, ['a']],
    [170, ['a']],
    [190, ['a', 'b']],
  ])('started again %d min after it was stopped', (apart, counted) => {
    expect(ids([run('a', 0), run('b', 30 + apart)])).toEqual(counted);
  });

  test('a head that was read is believed: cold after an hour, or warm after ten', () => {
    const soon = [run('a', 0), run('b', 90)];
    expect(ids(soon, [read('a', 85, 30)])).toEqual(['a', 'b']);
    const late = [run('a', 0), run('b', 630)];
    expect(ids(late)).toEqual(['a', 'b']);
    expect(ids(late, [read('a', 628, 55)])).toEqual(['a']);
    // Of several it is the last that counts: reckoned on from the first, it would not have been cold.
    expect(ids(soon, [read('a', 60, 50), read('a', 85, 30)])).toEqual(['a', 'b']);
    expect(ids(soon, [read('a', 60, 50)])).toEqual(['a']);
    expect(ids(soon, [read('a', 85, 30), read('a', 95, 60)])).toEqual(['a', 'b']);
    // What was read after it was started again says nothing of how far it had cooled.
    expect(ids(soon, [read('a', 95, 20)])).toEqual(['a']);
    // Read as it was started: down to what is asked for is down.
    expect(ids(soon, [read('a', 90, 40)])).toEqual(['a', 'b']);
    expect(ids(soon, [read('a', 90, 40.5)])).toEqual(['a']);
  });

  test('one after which a joint was gone over was cold, whatever is reckoned', () =>
    expect(ids([run('a', 0), run('b', 60)], [], { answered: new Set(['a']) })).toEqual(['a', 'b']));

  test('a hot run that follows a short one warm is the cycle; a short one after it is part of it', () => {
    const runs = [run('a', 0, { highest_C: 58 }), run('b', 40), run('c', 80, { ranTo: 82 * MIN })];
    expect(ids(runs)).toEqual(['b']);
    expect(whys(runs)).toEqual({ a: 'too-cool', c: 'too-brief' });
  });

  test('on a hot day it need not come below what is near the air', () => {
    const hot = [run('a', 0, { ambient_C: 38 }), run('b', 400, { ambient_C: 38 })];
    expect(ids(hot)).toEqual(['a', 'b']);
    expect(ids(hot, [{ ...read('a', 395, 47), ambient_C: 38 }])).toEqual(['a', 'b']);
    expect(ids(hot, [{ ...read('a', 395, 52), ambient_C: 38 }])).toEqual(['a']);
  });

  test('each run counts or has its reason, the order they come in changes nothing, and a week between them parts all', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ gap: fc.integer({ min: 1, max: 900 }), C: fc.integer({ min: 30, max: 110 }) }), {
          minLength: 1,
          maxLength: 12,
        }),
        (made) => {
          let at = 0;
          const runs = made.map(({ gap, C }, i) => {
            at += 30 + gap;
            return run(`r${i}`, at, { highest_C: C });
          });
          const { counting, not } = of(runs);
          expect(counting.length + not.size).toBe(runs.length);
          expect(of([...runs].reverse()).counting).toEqual(counting);
          const apart = runs.map((one, i) => ({ ...one, ranFrom: i * 10_080 * MIN, ranTo: (i * 10_080 + 30) * MIN }));
          expect(of(apart).counting.map(({ id }) => id)).toEqual(
            apart.filter(({ highest_C }) => highest_C >= 60).map(({ id }) => id),
          );
        },
      ),
    ));
});
