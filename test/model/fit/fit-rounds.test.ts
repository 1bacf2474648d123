import { describe, expect, test } from '@jest/globals';
import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import type { ReadingLine } from '@/model/fit/fit';
import { contextOf } from '@/model/fit/fit-context';
import type { Fit } from '@/model/fit/fit';
import { clampChange, isOpenedSince, isOpenedUp, workedOnSince, type FitRound } from '@/model/fit/fit-rounds';
import type { Joint } from '@/model/joint/joint';
import { assertGate, assertReasoned } from '@/model/joint/gate-of-start';
import { codeOf } from '../../core/code-of';

const day = (n: number) => `2026-05-${String(n).padStart(2, '0')}T10:00:00.000Z`;
const read = (n: number, recorded: number | null = n) =>
  ({ at: day(n), ...(recorded !== null && { recordedAt: day(recorded) }) }) as ReadingLine;
const round = (n: number, purpose: FitRound['purpose'] = 'final', clamp_N?: number): FitRound => ({
  purpose,
  startedAt: day(n),
  ...(clamp_N !== undefined && { clamp_N }),
});

describe('a reading and the rounds of the joint that closes it', () => {
  test('the first final round after it closes it; a second one, or any other, opened it', () => {
    expect(isOpenedSince(read(5), [])).toBe(false);
    expect(isOpenedSince(read(5), [round(4)])).toBe(false);
    expect(isOpenedSince(read(5), [round(6)])).toBe(false);
    expect(isOpenedSince(read(5), [round(6), round(7)])).toBe(true);
    expect(isOpenedSince(read(5), [round(6, 'trial')])).toBe(true);
    expect(isOpenedSince(read(5), [round(4, 'trial'), round(6)])).toBe(false);
  });
  test('a retorque opens nothing, and one on its way was taken just now', () => {
    expect(isOpenedSince(read(5), [round(6), round(7, 'retorque')])).toBe(false);
    expect(isOpenedSince(read(5, null), [round(6), round(7)])).toBe(false);
  });
  test('one whose device ran ahead was taken when it was written down', () =>
    expect(isOpenedSince(read(9, 5), [round(6), round(7)])).toBe(true));
  test('was opened up by a line of the order after it, and by none before', () => {
    expect(isOpenedUp(read(5), [day(6)])).toBe(true);
    expect(isOpenedUp(read(5), [day(4), day(5)])).toBe(false);
    expect(isOpenedUp(read(5))).toBe(false);
    expect(isOpenedUp(read(5, null), [day(6)])).toBe(false);
  });
  test('a clearance rests on its head: whatever was done to it since asks for it anew, a retorque as well', () => {
    const joints = [
      { id: 'head', name: 'Cylinder head', retorqueSchool: 'slacken', detail: PLAIN_DETAIL },
      { id: 'case', name: 'Crankcase halves', retorqueSchool: 'slacken', detail: PLAIN_DETAIL },
      { id: 'mains', name: 'Main bearings', retorqueSchool: 'none', detail: PLAIN_DETAIL },
    ] as unknown as readonly Joint[];
    const rounds = [
      { jointId: 'head', purpose: 'retorque', startedAt: day(6) },
      { jointId: 'mains', purpose: 'final', startedAt: day(7) },
    ] as const;
    const work = (jointId: string | null, openings: Parameters<typeof contextOf>[4] = []) =>
      contextOf({ jointId } as Fit, undefined, joints, rounds, openings).headWork;
    expect(workedOnSince(read(5), work('head'))).toBe('Cylinder head');
    expect(workedOnSince(read(6), work('head'))).toBeUndefined();
    expect(workedOnSince(read(5), work('case'))).toBeUndefined();
    // Where nobody said which joint it rests on, any that is gone over again may be it; one that is not may not.
    expect(workedOnSince(read(5), work(null))).toBe('Cylinder head');
    expect(workedOnSince(read(6), work(null))).toBeUndefined();
    expect(workedOnSince(read(7), work('case', [{ jointId: 'case', at: day(8) }] as never))).toBe('Crankcase halves');
    expect(workedOnSince(read(5, null), work('head'))).toBeUndefined();
  });
  test('read at one clamp load and closed with another, more than a twentieth off, is another bore', () => {
    const rounds = (now: number, purpose: FitRound['purpose'] = 'final') => [
      round(4, 'measuring', 20_000),
      round(6, purpose, now),
    ];
    expect(clampChange(read(5), rounds(24_000))).toContain('20.0 kN a fastener then, 24.0 kN now');
    expect(clampChange(read(5), rounds(16_000))).toContain('16.0 kN now');
    expect(clampChange(read(5), rounds(20_900))).toBeUndefined();
    expect(clampChange(read(5), rounds(24_000, 'retorque'))).toBeUndefined();
    expect(clampChange(read(5, null), rounds(24_000))).toBeUndefined();
    expect(clampChange(read(5), [round(6, 'final', 24_000)])).toBeUndefined();
    expect(clampChange(read(5), [round(4, 'measuring', 20_000)])).toBeUndefined();
    expect(clampChange(read(5), [round(4, 'measuring'), round(6, 'final', 24_000)])).toBeUndefined();
    expect(clampChange(read(5), [round(4, 'measuring', 0), round(6, 'final', 24_000)])).toBeUndefined();
    // The last before it and the last after it are the ones that count.
    const more = [
      round(3, 'trial', 9000),
      round(4, 'measuring', 20_000),
      round(6, 'trial', 9000),
      round(7, 'final', 20_000),
    ];
    expect(clampChange(read(5), more)).toBeUndefined();
  });
});

describe('before a round is begun', () => {
  const gate = (part: object) => ({ held: [], asks: [], strips: [], ...part });
  test('what is out, and a strip in a bearing, bar the final one and no other', () => {
    const out = gate({ held: [{ fitId: 'f', line: 'Big end 2 is out' }] });
    const strip = gate({ strips: ['main 1'] });
    expect([codeOf(() => assertGate(out, 'final')), codeOf(() => assertGate(strip, 'final'))]).toEqual([
      'fit-out',
      'strip-in',
    ]);
    for (const one of [out, strip]) expect(() => assertGate(one, 'trial')).not.toThrow();
    expect(() => assertGate(gate({ asks: [{ fitId: 'f', line: 'not read' }] }), 'final')).not.toThrow();
  });
  const stop = (code: string, part: object = {}) => ({ code, severity: 'stop' as const, message: `${code}.`, ...part });
  test('a stop asks for a reason; what is absolute, or off every scale, is lifted by none', () => {
    expect(() => assertReasoned([], '')).not.toThrow();
    expect(() => assertReasoned([{ code: 'x', severity: 'ask', message: 'x.' }], '')).not.toThrow();
    expect(codeOf(() => assertReasoned([stop('high')], ''))).toBe('needs-reason');
    expect(() => assertReasoned([stop('high')], 'seen')).not.toThrow();
    expect(codeOf(() => assertReasoned([stop('high'), stop('off-scale')], 'seen'))).toBe('off-scale');
    expect(codeOf(() => assertReasoned([stop('cracked', { absolute: true })], 'seen'))).toBe('cracked');
    expect(codeOf(() => assertReasoned([{ ...stop('x', { absolute: true }), severity: 'ask' }], ''))).not.toBe('x');
  });
});
