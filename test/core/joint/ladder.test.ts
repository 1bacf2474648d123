import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { SHELF_GRADES, SHELF_METALS, usualBearingFace } from '@/core/fastener';
import { SHELF_FILMS } from '@/core/film';
import {
  clamp,
  clampBand,
  guards,
  ladder,
  spreadOf,
  standardFigure,
  torqueFor,
  type GuardInput,
  type LadderFastener,
  type LadderInput,
  type RungId,
} from '@/core/joint';
import { readTorque, type TorqueReading } from '@/core/print';
import { threadNamed } from '@/core/thread';

const film = (id: string) => SHELF_FILMS.find((one) => one.id === id)!;
const reading = (text: string): TorqueReading => {
  const print = readTorque(text);
  if (print.kind === 'turn') throw new Error('a turn');
  return print.readings[0]!;
};
const fastener = (name: string, part: Partial<LadderFastener> = {}): LadderFastener => ({
  name,
  thread: threadNamed(name),
  bearing: usualBearingFace(threadNamed(name)),
  bearingSource: 'usual.',
  ...part,
});

const original = fastener('3/8 BSF');
const input = (part: Partial<LadderInput> = {}): LadderInput => ({
  reading: reading('30 lb ft'),
  printedText: '30 lb ft',
  page: 'p. 1',
  rangeSchool: 'middle',
  rangeReason: 'house practice',
  original,
  today: original,
  originalFilm: film('engine-oil'),
  originalFilmReason: 'oiled',
  threadFilm: film('engine-oil'),
  headFilm: film('engine-oil'),
  wrench: { name: 'W', unit: 'lbf·ft', min: 5, max: 150, graduation: 0.5, accuracy_pct: 4 },
  window: 'whole',
  overrides: {},
  ...part,
});
const ids = (one: LadderInput): readonly RungId[] => ladder(one).rungs.map((rung) => rung.id);
const target = (part: Partial<LadderInput>) => ladder(input(part)).target_Nm;

describe('the rungs', () => {
  test('nothing changed, nothing corrected', () => {
    expect(ids(input())).toEqual(['printed', 'unit', 'range', 'film', 'wrench']);
    expect(ladder(input()).setting.rounded).toBe(30);
  });
  test('each change brings its rung, in order', () => {
    const today = fastener('M10', { grade: '8.8', prevailing: { low_Nm: 2, high_Nm: 6 } });
    const whole = input({
      today,
      extremes: [film('dry-bare'), film('engine-oil')],
      threadFilm: film('moly-paste'),
      adaptor: { wrenchLength_mm: 400, extension_mm: 50, angle_deg: 0 },
      maker: { reading: reading('42 Nm'), printedText: '42 Nm', film: film('moly-paste'), source: 'packet' },
      wrench: { ...input().wrench, calibration: [{ set: 20, true: 21 }] },
    });
    expect(ids(whole)).toEqual([
      'printed',
      'unit',
      'range',
      'condition',
      'film',
      'fastener',
      'locking',
      'maker',
      'adaptor',
      'calibration',
      'wrench',
    ]);
  });
  test('lubricants, fastener and locking nut keep the clamp load of the original', () => {
    let beyond = 0;
    const any = fc.constantFrom(...SHELF_FILMS);
    const name = fc.constantFrom('M10', '3/8 UNF', '3/8 BSW', 'M9×1', '7/16 BSF');
    fc.assert(
      fc.property(
        any,
        any,
        any,
        name,
        fc.double({ min: 0, max: 8, noNaN: true }),
        (book, inThread, underHead, substitute, tp) => {
          const today = fastener(substitute, {
            grade: 'x',
            ...(tp > 0 && { prevailing: { low_Nm: tp, high_Nm: tp } }),
          });
          const worked = ladder(input({ originalFilm: book, threadFilm: inThread, headFilm: underHead, today }));
          const now = {
            thread: today.thread,
            bearing: today.bearing,
            muThread: inThread.thread.middle,
            muHead: underHead.head.middle,
            prevailing_Nm: tp,
          };
          const then = {
            thread: original.thread,
            bearing: original.bearing,
            muThread: book.thread.middle,
            muHead: book.head.middle,
          };
          const designed_N = clamp(then, worked.printed_Nm).preload_N;
          expect(clamp(now, worked.target_Nm).preload_N / designed_N).toBeCloseTo(1, 9);
          // A figure that no steel bears is climbed to and refused, and designs nothing; that is so of few of these.
          if (worked.clamp === 'beyond-steel') beyond += 1;
          expect(worked.designed_N / designed_N).toBeCloseTo(worked.clamp === 'beyond-steel' ? 0 : 1, 9);
          expect(worked.clamp).not.toBe('nothing');
        },
      ),
      { numRuns: 500 },
    );
    expect(beyond).toBeLessThan(25);
  });
  test('the maker’s figure replaces, and its lubricant is then in force', () => {
    const maker = { reading: reading('42 Nm'), printedText: '42 Nm', film: film('moly-paste'), source: 'packet' };
    const worked = ladder(input({ maker }));
    expect(worked.target_Nm).toBeCloseTo(42, 9);
    expect(worked.friction.thread).toEqual(film('moly-paste').thread);
    expect(
      ladder(input({ maker, overrides: { maker: { value_Nm: null, reason: 'not ours' } } })).target_Nm,
    ).toBeCloseTo(target({}), 9);
  });
  test('a rung taken out changes nothing, one overruled is its figure, and both carry their reason', () => {
    const moly = { threadFilm: film('moly-paste'), headFilm: film('moly-paste') };
    const out = ladder(
      input({ ...moly, overrides: { film: { value_Nm: null, reason: 'the figure was made for paste' } } }),
    );
    expect(out.target_Nm).toBeCloseTo(target({}), 9);
    expect(out.rungs.find((rung) => rung.id === 'film')?.override?.reason).toBe('the figure was made for paste');
    expect(target({ ...moly, overrides: { film: { value_Nm: 31, reason: 'tried' } } })).toBe(31);
    const adaptor = { wrenchLength_mm: 400, extension_mm: 100, angle_deg: 0 };
    expect(ladder(input({ adaptor })).setting.rounded).toBe(24);
    expect(
      ladder(input({ adaptor, overrides: { adaptor: { value_Nm: null, reason: 'held at the square' } } })).setting
        .rounded,
    ).toBe(30);
  });
  test('an unsaid condition shows the two extremes and does not move the figure', () => {
    const worked = ladder(input({ extremes: [film('dry-bare'), film('engine-oil')] }));
    const rung = worked.rungs.find((one) => one.id === 'condition');
    const figures = rung?.working.map((line) => line.figures[0] as { value: number }) ?? [];
    expect(figures[0]!.value).toBeLessThan(figures[1]!.value);
    expect(figures[1]!.value).toBeCloseTo(worked.target_Nm, 9);
    expect(rung?.factor).toBe(1);
  });
  test('the range by school', () => {
    const ranged = { reading: reading('30–40 lb ft') };
    const at = (rangeSchool: LadderInput['rangeSchool']) => ladder(input({ ...ranged, rangeSchool })).setting.rounded;
    expect([at('low'), at('middle'), at('top'), at('bottom-then-middle')]).toEqual([30, 35, 40, 35]);
  });
});

const grade = (name: string) => SHELF_GRADES.find((one) => one.name === name)!;
const metal = (id: string) => SHELF_METALS.find((one) => one.id === id)!;
const guardInput = (part: Partial<GuardInput> = {}, ladderPart: Partial<LadderInput> = {}): GuardInput => {
  const strong = { ...original, yield_MPa: grade('12.9').yield_MPa };
  return {
    ladder: ladder(input({ original: strong, today: strong, ...ladderPart })),
    original: strong,
    today: strong,
    substituted: false,
    form: 'bolt',
    faceMeasured: true,
    reach: {},
    locking: 'none',
    hearsay: false,
    agreed: [],
    nearHeat: false,
    boreMoves: false,
    todayFilmId: 'engine-oil',
    headFilmId: 'engine-oil',
    bookSays: null,
    bookFilmId: 'engine-oil',
    wrench: { name: 'W', unit: 'lbf·ft', min: 5, max: 150, graduation: 0.5, overdue: false, windowFloor: 5 },
    ...part,
  };
};
const codes = (part: Partial<GuardInput> = {}, ladderPart: Partial<LadderInput> = {}) =>
  guards(guardInput(part, ladderPart)).map((guard) => guard.code);
const bolt = (yield_MPa: number, name = '3/8 BSF') => ({ ...fastener(name), yield_MPa });

describe('what stands against a figure', () => {
  test('nothing, where all is well', () => expect(codes()).toEqual([]));
  test('yield is judged at the 95th percentile, with the middle beside it', () => {
    const worked = ladder(input());
    const stress = worked.load.most.equivalent_MPa;
    const said = (share: number) => {
      const today = bolt(stress / share);
      return guards(guardInput({ today, original: today }, { today, original: today }));
    };
    expect(said(0.89).map((one) => one.code)).toEqual([]);
    expect(said(0.95)[0]).toMatchObject({ code: 'over-limit', severity: 'stop' });
    expect(said(1.05)[0]?.message).toMatch(/past its yield: 105 %.*95th percentile.*\d+ % at the middle/);
  });
  test.each([
    [
      'a stripped thread',
      { parent: { thread: threadNamed('3/8 BSW'), metal: metal('aluminium-cast'), engagement_mm: 6 } },
      ['engagement-short', 'strips'],
    ],
    [
      'a thread that strips first',
      { parent: { thread: threadNamed('3/8 BSW'), metal: metal('aluminium-cast'), engagement_mm: 21 } },
      ['strips-first'],
    ],
    [
      'short engagement',
      { parent: { thread: threadNamed('3/8 BSW'), metal: metal('grey-iron'), engagement_mm: 14 } },
      ['engagement-short', 'strips-first'],
    ],
    ['pressure', { underHead: metal('aluminium-cast') }, ['pressure']],
    [
      'bottoming',
      { reach: { length_mm: 60, grip_mm: 40, holeDepth_mm: 15, threadLength_mm: 30 } },
      ['bottoms-in-hole'],
    ],
    ['the shoulder', { reach: { length_mm: 60, grip_mm: 40, threadLength_mm: 15 } }, ['shoulder-first']],
    [
      'a weaker substitute',
      { substituted: true, socket: 'takes' as const, today: bolt(300) },
      ['over-yield', 'weaker'],
    ],
    ['a socket not tried', { substituted: true }, ['socket-not-tried']],
    ['a head that fouls', { substituted: true, socket: 'fouls' as const }, ['socket-fouls']],
    ['a bore that moves', { substituted: true, socket: 'takes' as const, boreMoves: true }, ['bore-moves']],
    [
      'locker where the book says dry',
      { bookSays: 'dry', bookFilmId: 'dry-bare', todayFilmId: 'thread-locker' },
      ['film-not-allowed'],
    ],
    ['hearsay', { hearsay: true }, ['hearsay']],
    ['a limit taken for a target', { agreed: [{ code: 'upper-limit', message: 'A limit.' }] }, ['upper-limit']],
    ['another lubricant than the maker’s', { makerFilm: { id: 'moly-paste', name: 'Moly' } }, ['maker-film']],
    [
      'a nut that turns its stud',
      { today: { ...bolt(1100), prevailing: { low_Nm: 3, high_Nm: 9 } }, seating_Nm: 5 },
      ['prevailing-above-seating'],
    ],
    ['polymer near heat', { locking: 'polymer-nut' as const, nearHeat: true }, ['polymer-near-heat']],
    ['an overdue wrench', { wrench: { ...guardInput().wrench, overdue: true } }, ['check-overdue']],
  ])('%s', (_, part, expected) => expect(codes(part)).toEqual(expected));
  test('a wrench off its scale stops, one low on it asks', () => {
    const on = (wrench: Partial<LadderInput['wrench']>, window: LadderInput['window']) =>
      codes(
        { wrench: { ...guardInput().wrench, ...wrench, windowFloor: 50 } },
        { wrench: { ...input().wrench, ...wrench }, window },
      );
    expect(on({ max: 20 }, 'whole')).toEqual(['off-scale']);
    expect(on({ max: 250 }, 'iso-20-100')).toEqual(['off-window']);
  });
});

describe('the spread', () => {
  const worked = input({ today: bolt(640), original: bolt(640) });
  const spread = spreadOf(worked, ladder(worked), [film('dry-bare'), film('moly-paste')]);
  test('every way aims at one clamp load, and stretch is the narrowest', () => {
    const width = ({ band }: (typeof spread.rows)[number]) => (band.p95_N - band.p5_N) / band.p50_N;
    for (const row of spread.rows) expect(row.band.p50_N / ladder(worked).band.p50_N).toBeCloseTo(1, 9);
    expect(spread.rows.map((row) => row.id)).toEqual(['today', 'dry-bare', 'moly-paste', 'stretch']);
    expect(Math.min(...spread.rows.map(width))).toBe(width(spread.rows.at(-1)!));
  });
  test('at the yield line the bolt is at its yield', () => {
    const { thread, bearing } = original;
    const at = { thread, bearing, muThread: 0.13, muHead: 0.13 };
    const torque = (spread.yield_N! / clamp(at, 40).preload_N) * 40;
    expect(clamp(at, torque).equivalent_MPa).toBeCloseTo(640, 3);
    expect(spread.least_N).toBeLessThan(ladder(worked).band.p50_N);
  });
});

test('the standard figure is held under what the parent stands', () => {
  const turned = {
    thread: threadNamed('M10'),
    bearing: usualBearingFace(threadNamed('M10')),
    muThread: 0.13,
    muHead: 0.13,
  };
  const free = standardFigure(turned, 580);
  expect([free.limitedBy, free.preload_N]).toEqual(['proof', 0.75 * 580 * turned.thread.stressArea_mm2]);
  const held = standardFigure(turned, 580, { engagement_mm: 10, shear_MPa: 80 });
  expect(held.limitedBy).toBe('parent');
  expect(held.torque_Nm).toBeLessThan(free.torque_Nm);
  expect(standardFigure(turned, 580, { engagement_mm: 30, shear_MPa: 180 })).toEqual(free);
  // In a film that may slip the figure is held back until the bolt stays under nine tenths of its yield.
  const moly = film('moly-paste');
  const slips = { ...turned, muThread: moly.thread.middle, muHead: moly.head.middle };
  const end = { yield_MPa: 640, muThread: moly.thread, muHead: moly.head };
  const back = standardFigure(slips, 580, undefined, 0.75, end);
  expect(back.limitedBy).toBe('slippery');
  const band = clampBand({ ...slips, ...end, torque_Nm: back.torque_Nm, wrenchAccuracy_pct: 4 });
  const low = { ...slips, muThread: moly.thread.low, muHead: moly.head.low };
  expect(clamp(low, torqueFor(low, band.p95_N).torque_Nm).equivalent_MPa / 640).toBeCloseTo(0.9, 6);
  expect(standardFigure(slips, 580, undefined, 0.4, end).limitedBy).toBe('proof');
});
