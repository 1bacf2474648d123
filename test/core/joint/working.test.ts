import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { evaluate } from 'mathjs';
import { usualBearingFace } from '@/core/fastener';
import { SHELF_FILMS } from '@/core/film';
import { RANGE_SCHOOLS, ladder, type LadderFastener, type LadderInput, type Rung } from '@/core/joint';
import { readTorque, type TorqueReading } from '@/core/print';
import { threadNamed } from '@/core/thread';
import { TORQUE_UNITS, torqueFromSi } from '@/core/units';

const reading = (text: string): TorqueReading => {
  const print = readTorque(text);
  if (print.kind !== 'torque' && print.kind !== 'lever-pull') throw new Error('no torque');
  return print.readings[0]!;
};
const PRINTED = [
  '30 lb ft',
  '30–40 lb ft',
  '5½ mkg',
  '2,8 mkg',
  '42 Nm',
  '84 to 110 lb in',
  '30 lb on a 10 in spanner',
];

const fasteners = fc
  .record({
    name: fc.constantFrom('3/8 BSF', 'M8', 'M10', '7/16 UNF', '5/16 BSW'),
    outer: fc.double({ min: 1, max: 1.6, noNaN: true }),
    cone_deg: fc.option(fc.constantFrom(60, 82, 90), { nil: undefined }),
    own: fc.option(fc.double({ min: 0.5, max: 60, noNaN: true }), { nil: undefined }),
  })
  .map(({ name, outer, cone_deg, own }): LadderFastener => {
    const thread = threadNamed(name);
    const { outer_mm, inner_mm } = usualBearingFace(thread);
    return {
      name,
      thread,
      bearing: { outer_mm: outer_mm * outer, inner_mm, ...(cone_deg !== undefined && { cone_deg }) },
      bearingSource: 'measured.',
      ...(own !== undefined && { prevailing: { low_Nm: own / 2, high_Nm: own } }),
    };
  });
const films = fc.constantFrom(...SHELF_FILMS);
const inputs: fc.Arbitrary<LadderInput> = fc
  .record({
    printedText: fc.constantFrom(...PRINTED),
    rangeSchool: fc.constantFrom(...RANGE_SCHOOLS),
    original: fasteners,
    substitute: fc.option(fasteners, { nil: undefined }),
    originalFilm: films,
    threadFilm: films,
    headFilm: films,
    maker: fc.option(fc.record({ text: fc.constantFrom(...PRINTED), film: films }), { nil: undefined }),
    adaptor: fc.option(
      fc.record({
        wrenchLength_mm: fc.double({ min: 200, max: 600, noNaN: true }),
        extension_mm: fc.double({ min: 20, max: 150, noNaN: true }),
        angle_deg: fc.double({ min: 0, max: 180, noNaN: true }),
      }),
      { nil: undefined },
    ),
    unit: fc.constantFrom(...TORQUE_UNITS),
    points: fc.option(fc.double({ min: 0.9, max: 1.1, noNaN: true }), { nil: undefined }),
  })
  .map(({ substitute, maker, unit, points, ...rest }) => ({
    ...rest,
    reading: reading(rest.printedText),
    page: 'p. 1',
    rangeReason: 'house practice',
    originalFilmReason: 'oiled',
    today: substitute ?? rest.original,
    ...(maker && {
      maker: { reading: reading(maker.text), printedText: maker.text, film: maker.film, source: 'packet' },
    }),
    wrench: {
      name: 'W',
      unit,
      min: 0,
      max: 1e6,
      graduation: 0.01,
      accuracy_pct: 4,
      ...(points !== undefined && { calibration: [{ set: 1000, true: 1000 * points }] }),
    },
    window: 'whole' as const,
    overrides: {},
  }));

/** What a line says, each of its figures as it is and not as it is shown; the parts between its signs of equality. */
const saidIn = (line: Rung['working'][number]): readonly string[] =>
  line.figures
    .map((piece) => (typeof piece === 'string' ? piece : `(${piece.value})`))
    .join('')
    .split(' = ');

/** A part of a line by somebody else's arithmetic; undefined of one that is words. */
function reckoned(part: string): number | undefined {
  const sum = part
    .replace(/N·m|mm|N/g, '')
    .replaceAll('×', '*')
    .replaceAll('−', '-')
    .replace(/cos \(([^()]*)\)°/g, 'cos(($1) deg)');
  const words = sum.replace(/cos|deg|(?<=\d)e(?=[-+]?\d)/g, '');
  return /^[\d\s.()*/+-]+$/.test(words) ? (evaluate(sum) as number) : undefined;
}

const isNear = (a: number, b: number) => Math.abs(a - b) <= 1e-9 * Math.max(Math.abs(a), Math.abs(b), 1e-9);

describe('the working in the margin', () => {
  const seen = new Map<Rung['id'], number>();
  test('comes out: each side of every sign of equality is what the other is', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        for (const { id, working } of ladder(input).rungs)
          for (const line of working) {
            const [left, ...others] = saidIn(line).map(reckoned);
            if (left === undefined) continue;
            for (const right of others) {
              if (right === undefined) continue;
              if (!isNear(left, right)) throw new Error(`${id}: ${line.formula}: ${saidIn(line).join(' = ')}`);
              seen.set(id, (seen.get(id) ?? 0) + 1);
            }
          }
      }),
      { numRuns: 1500 },
    );
    for (const id of ['range', 'film', 'fastener', 'locking', 'maker', 'adaptor'] as const)
      expect([id, (seen.get(id) ?? 0) > 100]).toEqual([id, true]);
  });

  test('says where its film is from: once where it is the same under the head, of each where it is not', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const { threadFilm, headFilm } = input;
        const source = ladder(input).rungs.find(({ id }) => id === 'film')?.source;
        if (source === undefined) return;
        const isOne = threadFilm.id === headFilm.id;
        expect([isOne, source.startsWith('Thread: ')]).toEqual([isOne, !isOne]);
        for (const film of [threadFilm, headFilm]) expect(source).toContain(film.source);
      }),
    );
  });

  test('ends at the figure of its rung, and each factor leads from the rung before', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const { rungs } = ladder(input);
        rungs.forEach(({ id, value_Nm, factor, working }, i) => {
          const before = rungs[i - 1]?.value_Nm;
          if (factor !== undefined && before !== undefined && id !== 'unit')
            expect([id, isNear(before * factor, value_Nm)]).toEqual([id, true]);
          const shown = working.flatMap(({ figures }) =>
            figures.flatMap((piece) => (typeof piece === 'string' ? [] : [piece.value])),
          );
          const told = id === 'wrench' || id === 'calibration' ? torqueFromSi(value_Nm, input.wrench.unit) : value_Nm;
          if (id !== 'printed' && id !== 'unit')
            expect([id, shown.some((value) => isNear(value, told))]).toEqual([id, true]);
        });
      }),
      { numRuns: 500 },
    );
  });
});
