import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { SHELF_FILMS } from '@/core/film';
import { usualBearingFace } from '@/core/fastener';
import { clamp, clampBand, correct, torqueFor, type TurnedFastener } from '@/core/joint';
import { THREAD_ROWS, threadNamed } from '@/core/thread';
import { VDI_2230_ASSEMBLY, VDI_FRICTION } from '../../reference/vdi-2230-assembly';
import { codeOf, fieldOf } from '../code-of';

const cells = VDI_2230_ASSEMBLY.flatMap((row) =>
  VDI_FRICTION.map((mu, i) => ({
    ...row,
    mu,
    preload: (row.preload_kN[i] ?? 0) * 1000,
    torque: row.torque_Nm[i] ?? 0,
  })),
);

describe('assembly tables of VDI 2230', () => {
  test.each(cells)('$thread $grade at $mu', ({ thread, bearing, yield_MPa, mu, preload, torque, torqueHalf }) => {
    const fastener: TurnedFastener = { thread: threadNamed(thread), muThread: mu, muHead: mu, bearing };
    const at90 = clamp(fastener, torque);
    expect(Math.abs(torqueFor(fastener, preload).torque_Nm - torque)).toBeLessThanOrEqual(
      torque * 0.01 + torqueHalf + 50 * (torque / preload),
    );
    expect(Math.abs(at90.preload_N - preload)).toBeLessThanOrEqual(
      preload * 0.01 + 50 + torqueHalf * (preload / torque),
    );
    expect(
      Math.abs(clamp(fastener, torqueFor(fastener, preload).torque_Nm).equivalent_MPa / (0.9 * yield_MPa) - 1),
    ).toBeLessThanOrEqual(0.01 + 50 / preload);
  });
});

const anyThread = fc.constantFrom(...THREAD_ROWS.map((row) => threadNamed(row.designation)));
const mu = fc.double({ min: 0.03, max: 0.4, noNaN: true });
const fastener = fc
  .record({ thread: anyThread, muThread: mu, muHead: mu, prevailing_Nm: fc.constantFrom(undefined, 0.5, 4) })
  .map((part): TurnedFastener => ({ ...part, bearing: usualBearingFace(part.thread) }));

describe('properties', () => {
  test('torque-for inverts clamp on any thread', () => {
    fc.assert(
      fc.property(fastener, fc.double({ min: 5, max: 400, noNaN: true }), (one, torque) => {
        const { preload_N, K } = clamp(one, torque);
        const back = torqueFor(one, preload_N);
        expect(back.torque_Nm).toBeCloseTo(torque, 8);
        expect(back.K).toBeCloseTo(K, 8);
      }),
    );
  });

  test('correcting from A to B and back returns the start, at one clamp load', () => {
    fc.assert(
      fc.property(fastener, fastener, fc.double({ min: 5, max: 300, noNaN: true }), (a, b, torque) => {
        const there = correct(torque, a, b);
        expect(correct(there.torque_Nm, b, a).torque_Nm).toBeCloseTo(torque, 7);
        expect(clamp(b, there.torque_Nm).preload_N).toBeCloseTo(clamp(a, torque).preload_N, 4);
      }),
    );
  });

  test('a slipperier lubricant never raises the figure', () => {
    fc.assert(
      fc.property(fastener, mu, fc.double({ min: 5, max: 300, noNaN: true }), (one, other, torque) => {
        const slipperier = { ...one, muThread: Math.min(one.muThread, other), muHead: Math.min(one.muHead, other) };
        expect(correct(torque, one, slipperier).torque_Nm).toBeLessThanOrEqual(torque * (1 + 1e-12));
      }),
    );
  });

  test('the band holds its middle, and grows with the wrench', () => {
    for (const film of SHELF_FILMS) {
      const input = {
        thread: threadNamed('3/8 BSF'),
        bearing: { outer_mm: 14.5, inner_mm: 10 },
        torque_Nm: 40,
        muThread: film.thread,
        muHead: film.head,
      };
      const [fine, coarse, apart] = [
        clampBand({ ...input, wrenchAccuracy_pct: 0 }),
        clampBand({ ...input, wrenchAccuracy_pct: 15 }),
        clampBand({ ...input, wrenchAccuracy_pct: 0, sharedFilm: false }),
      ];
      const at = (end: 'low' | 'high') =>
        clamp({ ...input, muThread: film.thread[end], muHead: film.head[end] }, 40).preload_N;
      expect(fine.p5_N).toBeCloseTo(at('high'), 6);
      expect(fine.p95_N).toBeCloseTo(at('low'), 6);
      expect(coarse.p5_N).toBeLessThan(fine.p5_N);
      expect(coarse.p95_N).toBeGreaterThan(fine.p95_N);
      expect(apart.p95_N - apart.p5_N).toBeLessThan(fine.p95_N - fine.p5_N);
    }
  });
});

describe('what is refused or noted', () => {
  const base: TurnedFastener = {
    thread: threadNamed('M10'),
    muThread: 0.12,
    muHead: 0.12,
    bearing: { outer_mm: 14.63, inner_mm: 11 },
  };
  test.each([
    ['no friction', { ...base, muThread: 0 }, 40],
    ['a face inside out', { ...base, bearing: { outer_mm: 9, inner_mm: 11 } }, 40],
    ['no torque', base, 0],
    ['less than the locking nut takes', { ...base, prevailing_Nm: 50 }, 40],
    ['not a number', base, Number.NaN],
    ['a negative locking nut', { ...base, prevailing_Nm: -1 }, 40],
  ])('%s', (_, one, torque) => expect(codeOf(() => clamp(one, torque))).toBe('bad-field'));

  test('the slippery end of the lubricant decides the note', () => {
    const dry = { ...base, muThread: 0.24, muHead: 0.24 };
    const codes = (yield_MPa: number) =>
      correct(60, dry, { ...base, yield_MPa, slippery: { muThread: 0.08, muHead: 0.08 } }).notes.map(
        (note) => note.code,
      );
    const { to } = correct(60, dry, { ...base, yield_MPa: 640, slippery: { muThread: 0.08, muHead: 0.08 } });
    expect(to.slippery?.utilisation).toBeGreaterThan(to.utilisation ?? 0);
    const stress = to.slippery?.equivalent_MPa ?? 0;
    expect([codes(stress / 0.89), codes(stress / 0.95), codes(stress / 1.05)]).toEqual([
      [],
      ['over-limit'],
      ['over-yield'],
    ]);
  });

  test('a locking nut twists the shank and is in K', () => {
    const locked = { ...base, prevailing_Nm: 6 };
    expect(clamp(locked, 46).preload_N).toBeCloseTo(clamp(base, 40).preload_N, 8);
    expect(clamp(locked, 46).equivalent_MPa).toBeGreaterThan(clamp(base, 40).equivalent_MPa);
    expect(clamp(locked, 46).K).toBeGreaterThan(clamp(base, 40).K);
  });
});

describe('what cannot be turned is refused at its field', () => {
  const thread = threadNamed('M10');
  const plain = { thread, muThread: 0.13, muHead: 0.13, bearing: usualBearingFace(thread) };
  const { bearing } = plain;
  test.each([
    [{ muThread: 0 }, 'muThread'],
    [{ muThread: 2.01 }, 'muThread'],
    [{ muHead: -0.1 }, 'muHead'],
    [{ muHead: Number.NaN }, 'muHead'],
    [{ bearing: { outer_mm: bearing.inner_mm, inner_mm: bearing.outer_mm } }, 'bearing'],
    [{ prevailing_Nm: -1 }, 'prevailing_Nm'],
  ])('%j at %s', (change, field) => {
    const one = { ...plain, ...change };
    for (const act of [() => clamp(one, 40), () => torqueFor(one, 20_000)])
      expect(fieldOf(act)).toMatch(new RegExp(`^${field}`));
    expect(fieldOf(() => correct(40, one, plain))).toMatch(new RegExp(`^from\\.${field}`));
    expect(fieldOf(() => correct(40, plain, one))).toMatch(new RegExp(`^to\\.${field}`));
  });
  test('two and none are the ends of what is', () => {
    expect(() => clamp({ ...plain, muThread: 2, muHead: 2, prevailing_Nm: 0 }, 40)).not.toThrow();
  });
});
