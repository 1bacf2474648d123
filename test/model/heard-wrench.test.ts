import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readLimits, standingOfRead, tighteningPlan, type PullStep } from '@/core/tightening';
import { torqueToSi } from '@/core/units';
import {
  UNHEARD,
  hear,
  judgePeak,
  takeInstrument,
  type HeardWrench,
  type WrenchLine,
} from '@/model/joint/heard-wrench';
import { assertReadOnce, assertReadingStands, hasReading, limitsAt } from '@/model/joint/pull-reading';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { codeOf } from '../core/code-of';

const { order, steps } = tighteningPlan({
  positions: [
    [0, 0],
    [1, 0],
  ],
  school: 'centre-out',
  unitOfWork: 'row',
  turnShaft: false,
  stages: [
    { setting: 30, torque_Nm: 38 },
    { setting: 30, torque_Nm: 38, turn: { min_deg: 85, max_deg: 95 } },
  ],
});
// The adaptor is in the setting: what the fastener gets, 38 N·m, is not what the wrench shows.
const plan = { unit: 'lbf·ft', order, steps, positions: [], act: 'pull' } as unknown as TighteningPlan;
const [torque, turn] = [steps[0], steps[2]] as [PullStep, PullStep];
const T0 = Date.parse('2026-05-16T14:20:00.000Z');

let n = 0;
const lineOf = (part: Partial<WrenchLine>, sent_ms = 0): WrenchLine => ({
  id: `line-${(n += 1)}`,
  instrument: 'Seven',
  value: 30,
  unit: 'lbf·ft',
  at: new Date(T0 + sent_ms).toISOString(),
  ...part,
});
const using = (name = 'Seven', before: HeardWrench = UNHEARD) => takeInstrument(before, name);

describe('limits of what is read', () => {
  test.each([
    [9, 8.46, 9.54],
    [10, 9.4, 10.6],
    [10.01, 9.6096, 10.4104],
    [100, 96, 104],
  ])('%d N·m: %d to %d', (asked, min, max) => {
    const limits = readLimits(asked);
    expect(limits.min_Nm).toBeCloseTo(min, 9);
    expect(limits.max_Nm).toBeCloseTo(max, 9);
  });
  test('are of the wrench and not of the fastener', () => {
    const { min, max } = limitsAt(plan, torque);
    expect([min.toFixed(2), max.toFixed(2)]).toEqual(['28.80', '31.20']);
  });
  test('no figure and one that is none has no limits', () => {
    expect(codeOf(() => readLimits(0))).toBe('bad-field');
    expect(codeOf(() => readLimits(NaN))).toBe('bad-field');
  });
  test('whatever is read is short of them, inside, or past, and never two of these', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 500, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        (asked_Nm, share) => {
          const { min_Nm, max_Nm } = readLimits(asked_Nm);
          const read_Nm = asked_Nm * share;
          expect(standingOfRead({ asked_Nm }, { read_Nm })).toBe(
            read_Nm < min_Nm ? 'short' : read_Nm > max_Nm ? 'past' : 'inside',
          );
        },
      ),
    );
  });
  test('a turn is judged by its angle, three degrees wide of the page', () => {
    const standing = (turned_deg?: number) =>
      standingOfRead({ asked_Nm: 30, turn: { min_deg: 85, max_deg: 95 } }, { read_Nm: 900, turned_deg });
    expect([81.9, 82, 98, 98.1, undefined].map(standing)).toEqual(['short', 'inside', 'inside', 'past', 'unread']);
  });
});

describe('a wrench that is heard', () => {
  test('records nothing before somebody said that it is in use here', () => {
    const { now, peak } = hear(UNHEARD, lineOf({}), T0);
    expect([now.asks, peak]).toEqual(['Seven', undefined]);
    expect(hear(using('Seven', now), lineOf({}), T0).peak?.reading).toMatchObject({ instrument: 'Seven' });
  });
  test('another one is not taken for it', () => {
    const { now, peak } = hear(using(), lineOf({ instrument: 'Eight' }), T0);
    expect([now.instrument, now.asks, peak]).toEqual(['Seven', 'Eight', undefined]);
  });
  test('goes by its number too, and says how full it is', () => {
    const numbered = lineOf({ serial: '42', battery_pct: 12 });
    expect(hear(using(), numbered, T0)).toMatchObject({ now: { asks: 'Seven, no. 42' } });
    const { now, peak } = hear(using('Seven, no. 42'), { ...numbered, id: 'another' }, T0);
    expect([now.battery_pct, peak?.reading.instrument]).toEqual([12, 'Seven, no. 42']);
    // What another one says of its battery is not of this one.
    expect(hear(using(), lineOf({ instrument: 'Eight', battery_pct: 3 }), T0).now.battery_pct).toBeUndefined();
  });
  test('shows what it comes to, and gives its peak', () => {
    const pulling = hear(using(), lineOf({ phase: 'pulling', value: 12, turned_deg: 20 }), T0);
    expect(pulling.now.live).toEqual({ value: 12, unit: 'lbf·ft', turned_deg: 20 });
    const { now, peak } = hear(pulling.now, lineOf({ id: 'the-peak', phase: 'peak', turned_deg: 40 }), T0);
    expect(now.live).toBeUndefined();
    expect(peak).toEqual({
      reading: { read_Nm: torqueToSi(30, 'lbf·ft'), turned_deg: 40, instrument: 'Seven', readingId: 'the-peak' },
    });
  });
  test('sends a peak again, and it is one', () => {
    const line = lineOf({});
    const first = hear(using(), line, T0);
    expect(first.peak).toBeDefined();
    expect(hear(first.now, line, T0 + 10).peak).toBeUndefined();
  });
  test('one past its scale has no figure', () => {
    expect(hear(using(), lineOf({ over: true }), T0).peak).toEqual({
      reading: { instrument: 'Seven', readingId: expect.any(String) },
      doubt: 'over-range',
    });
  });
  test('what is late is told by its own lines, however far its clock is off', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e9, max: 1e9 }), fc.integer({ min: 0, max: 60_000 }), (off_ms, delay_ms) => {
        const soon = hear(using(), lineOf({ phase: 'pulling' }), T0 + off_ms).now;
        const { peak } = hear(soon, lineOf({}, 1000), T0 + 1000 + off_ms + delay_ms);
        expect(peak?.doubt).toBe(delay_ms > 5000 ? 'late' : undefined);
      }),
    );
  });
  test('every peak of the wrench in use comes out once, in whatever order and however often lines come', () => {
    const lines = Array.from({ length: 6 }, (_, i) => lineOf({ id: `peak-${i}` }));
    fc.assert(
      fc.property(fc.array(fc.nat(5), { maxLength: 30 }), (sent) => {
        let heard = using();
        const out: string[] = [];
        for (const i of sent) {
          const { now, peak } = hear(heard, lines[i] as WrenchLine, T0);
          heard = now;
          if (peak) out.push(peak.reading.readingId ?? '');
        }
        expect(out).toEqual([...new Set(sent)].map((i) => `peak-${i}`));
      }),
    );
  });
});

describe('whether a peak is the pull', () => {
  const nm = (value: number) => torqueToSi(value, 'lbf·ft');
  test.each([
    ['inside', torque, { read_Nm: nm(30.5), turned_deg: 4 }, { is: 'taken', outcome: 'pulled' }],
    ['that did not turn', torque, { read_Nm: nm(30.5), turned_deg: 0 }, { is: 'taken', outcome: 'did-not-move' }],
    ['short', torque, { read_Nm: nm(25) }, { is: 'held', doubt: 'short' }],
    ['past', torque, { read_Nm: nm(33) }, { is: 'held', doubt: 'past' }],
    ['of a turn without its angle', turn, { read_Nm: nm(60) }, { is: 'held', doubt: 'unread' }],
    ['of a turn', turn, { read_Nm: nm(60), turned_deg: 91 }, { is: 'taken', outcome: 'pulled' }],
  ] as const)('one %s', (_, step, reading, judged) => expect(judgePeak(plan, step, { reading })).toEqual(judged));
  test('at its figure, of a nut that a pin goes through, waits for what is said of the slot', () => {
    const asked = (reading: object) => judgePeak(plan, torque, { reading }, true);
    expect(asked({ read_Nm: nm(30) })).toEqual({ is: 'held', doubt: 'slot', outcome: 'pulled' });
    expect(asked({ read_Nm: nm(30), turned_deg: 0 })).toMatchObject({ doubt: 'slot', outcome: 'did-not-move' });
    expect(asked({ read_Nm: nm(10) })).toEqual({ is: 'held', doubt: 'short' });
  });
  test('a doubt of how it came goes before what it says', () =>
    expect(judgePeak(plan, torque, { reading: { read_Nm: nm(30) }, doubt: 'late' })).toEqual({
      is: 'held',
      doubt: 'late',
    }));
});

describe('what a line with a reading is asked, by whatever door it comes', () => {
  const pull = (part: object) => ({
    id: 'a-line-of-it',
    kind: 'pull' as const,
    step: 0,
    outcome: 'pulled' as const,
    at: '',
    ...part,
  });
  test.each([
    ['past and plainly pulled', { read_Nm: 60 }, 'outside-limits'],
    ['short and plainly pulled', { read_Nm: 20 }, 'outside-limits'],
    ['past, and said to have gone over', { read_Nm: 60, outcome: 'went-over' }, undefined],
    ['past, with a reason', { read_Nm: 60, words: 'the page says so' }, undefined],
    ['inside', { read_Nm: 40.5 }, undefined],
    ['without a reading', {}, undefined],
    ['a turn too far', { step: 2, turned_deg: 120 }, 'outside-limits'],
    ['a second pull outside, whatever is said of it', { kind: 'again', read_Nm: 60, words: 'so' }, 'outside-limits'],
  ])('%s', (_, part, code) => {
    const run = () => assertReadingStands(plan, pull(part));
    if (code) expect(codeOf(run)).toBe(code);
    else expect(run).not.toThrow();
  });
  test('a line without a reading is asked nothing, of whatever kind it is', () => {
    const byFeel = { ...plan, care: 'hand' as const };
    for (const line of [pull({}), pull({ kind: 'again' }), { id: 's', kind: 'strike' as const, strikes: 'a', at: '' }])
      expect(() => assertReadingStands(byFeel, line)).not.toThrow();
    expect([hasReading({}), hasReading({ read_Nm: 0 }), hasReading({ turned_deg: 0 })]).toEqual([false, true, true]);
    expect(codeOf(() => assertReadingStands(byFeel, pull({ turned_deg: 3 })))).toBe('by-feel');
    expect(codeOf(() => assertReadingStands(byFeel, pull({ kind: 'again', read_Nm: 40.5 })))).toBe('by-feel');
  });
  test('what goes by feel has no figure', () =>
    expect(codeOf(() => assertReadingStands({ ...plan, care: 'hand' }, pull({ read_Nm: 40.5 })))).toBe('by-feel'));
  test('one reading is one pull, also where its pull was undone', () => {
    const before = [
      pull({ readingId: 'reading-1' }),
      { id: 's', kind: 'strike' as const, strikes: 'a-line-of-it', at: '' },
    ];
    expect(codeOf(() => assertReadOnce(before, pull({ readingId: 'reading-1' })))).toBe('read-already');
    expect(() => assertReadOnce(before, pull({ readingId: 'reading-2' }))).not.toThrow();
    expect(() => assertReadOnce(before, pull({}))).not.toThrow();
  });
});
