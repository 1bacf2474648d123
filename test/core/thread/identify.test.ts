import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  THREAD_ROWS,
  identifyThread,
  ownDesignation,
  ownRow,
  threadNamed,
  threadsForSpanner,
  type ThreadMeasured,
} from '@/core/thread';
import { codeOf } from '../code-of';

const found = (measured: ThreadMeasured) => {
  const { candidates, notes } = identifyThread(measured);
  return { names: candidates.map((one) => one.designation), codes: notes.map((note) => note.code) };
};

describe('a caliper and a pitch gauge', () => {
  test.each([
    [{ major_mm: 9.45, tpi: 20 }, '3/8 BSF'],
    [{ major_mm: 9.9, pitch_mm: 1.5 }, 'M10'],
    [{ major_mm: 7.88, tpi: 22 }, '5/16 BSF'],
    [{ major_mm: 9.47, tpi: 24 }, '3/8 UNF'],
    [{ major_mm: 12.6, tpi: 12 }, '1/2 BSW'],
    [{ major_mm: 12.6, tpi: 13 }, '1/2 UNC'],
    [{ major_mm: 4.65, pitch_mm: 0.81 }, '2 BA'],
    [{ major_mm: 8.9, pitch_mm: 1 }, 'M9×1'],
  ] as const)('%j is %s', (measured, name) => expect(found(measured).names[0]).toBe(name));

  test.each([
    [{ major_mm: 5.95, pitch_mm: 1 }, ['M6', '0 BA']],
    [{ major_mm: 6.3, tpi: 26, tolerance_mm: 0.2 }, ['1/4 BSF', '1/4 CEI']],
    [{ major_mm: 7.9, tpi: 18 }, ['5/16 UNC', '5/16 BSW']],
  ] as const)('%j needs a profile gauge between %j', (measured, names) => {
    expect(new Set(found(measured).names)).toEqual(new Set(names));
    expect(found(measured).codes).toEqual(['look-alike', 'needs-profile-gauge']);
  });

  test('without a pitch every pitch of the size is offered, the usual one first', () => {
    const { names, codes } = found({ major_mm: 10, tolerance_mm: 0.1 });
    expect(names).toEqual(['M10', 'M10×1.25', 'M10×1', 'M10×0.75']);
    expect(codes).toEqual(['look-alike']);
  });

  test('nothing near is said, not guessed', () =>
    expect(found({ major_mm: 200 })).toEqual({ names: [], codes: ['no-candidate'] }));

  test('every thread measured at its own figures is among its candidates, and errors are measured less nominal', () => {
    fc.assert(
      fc.property(fc.constantFrom(...THREAD_ROWS), fc.double({ min: -0.25, max: 0.05, noNaN: true }), (row, worn) => {
        const { candidates } = identifyThread({ major_mm: row.major_mm + worn, pitch_mm: row.pitch_mm });
        const own = candidates.find((one) => one.designation === row.designation);
        expect(own?.majorError_mm).toBeCloseTo(worn, 9);
        expect(own?.pitchError_mm).toBeCloseTo(0, 9);
      }),
    );
  });

  test.each([
    { major_mm: 0 },
    { major_mm: Number.NaN },
    { major_mm: 10, pitch_mm: -1 },
    { major_mm: 10, pitch_mm: 1, tpi: 20 },
    { major_mm: 10, tolerance_mm: 0 },
  ])('%j is refused', (measured) => expect(codeOf(() => identifyThread(measured))).toBe('bad-field'));
});

describe('a thread that is in no table', () => {
  const own = {
    id: 'x',
    name: 'Crankcase stud',
    major_mm: 11.3,
    pitch_mm: 1.1,
    angle_deg: 55,
    standing: 'own' as const,
    source: 'measured',
  };
  test('is named by its figures, with the depth of its angle’s form', () => {
    for (const text of ['11.3×1.1 55°', '11.3 x 1.1 mm 55 deg', ownDesignation(own)]) {
      const thread = threadNamed(text);
      expect([thread.designation, thread.major_mm, thread.pitch_mm, thread.includedAngle_deg]).toEqual([
        '11.3×1.1 55°',
        11.3,
        1.1,
        55,
      ]);
      expect(thread.pitchDiameter_mm).toBeCloseTo(11.3 - 0.640_327 * 1.1, 9);
    }
  });
  test('is found by caliper beside the tables’', () => {
    const row = ownRow(11.3, 1.1, 55);
    if (!row) throw new Error('no row');
    expect(identifyThread({ major_mm: 11.25, pitch_mm: 1.1 }, [row]).candidates[0]?.designation).toBe('11.3×1.1 55°');
    expect(identifyThread({ major_mm: 11.25, pitch_mm: 1.1 }).candidates[0]?.designation).not.toBe('11.3×1.1 55°');
  });
  test.each([
    [11.3, 1.1, 50],
    [11.3, 7, 60],
    [0.5, 0.2, 60],
    [11.3, 0, 60],
    [Number.NaN, 1, 60],
  ])('%d × %d at %d° is none', (major, pitch, angle) => {
    expect(ownRow(major, pitch, angle)).toBeUndefined();
  });
  test('figures that make no thread are refused like any unknown name', () => {
    for (const text of ['11.3×9 60°', '11.3×1.1 50°', '-11.3×1.1 60°'])
      expect(codeOf(() => threadNamed(text))).toBe('unknown-thread');
  });
  test('any sensible figures make one whose name is read back', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 400 }),
        fc.integer({ min: 4, max: 14 }),
        fc.constantFrom(60, 55, 47.5),
        (tenths, pitch, angle_deg) => {
          const row = ownRow(tenths / 10, pitch / 10, angle_deg);
          if (row)
            expect(threadNamed(row.designation)).toMatchObject({
              designation: row.designation,
              major_mm: tenths / 10,
              pitch_mm: pitch / 10,
            });
        },
      ),
    );
  });
});

test('one spanner carries several names', () => {
  const names = threadsForSpanner(0.525 * 25.4).map(({ row }) => row.designation);
  expect(names).toEqual(expect.arrayContaining(['1/4 BSW', '5/16 BSF']));
  for (const name of names)
    expect(threadNamed(name).acrossFlats_mm?.some(({ mm }) => Math.abs(mm - 0.525 * 25.4) <= 0.2)).toBe(true);
});
