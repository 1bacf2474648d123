import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { THREAD_ROWS, readThread, threadNamed } from '@/core/thread';
import { DomainError } from '@/core/units';
import { ASME_B1_1, BS_84, BS_93, ISO_898_1_COARSE, ISO_898_1_FINE } from '../../reference/thread-tables';
import { codeOf } from '../code-of';

const digitsOf = (printed: number) =>
  String(printed)
    .replace(/^0\.0*/, '')
    .replace('.', '').length;

describe('printed tables', () => {
  test.each([...ISO_898_1_COARSE, ...ISO_898_1_FINE])('%s has a stress area of %d mm² (ISO 898-1)', (name, printed) => {
    expect(Number(threadNamed(name).stressArea_mm2.toPrecision(3))).toBe(printed);
  });
  test.each(ASME_B1_1)('%s has a stress area of %d in² (ASME B1.1)', (name, printed) => {
    const area = threadNamed(name).stressArea_mm2 / 25.4 ** 2;
    expect(Math.abs(area - printed)).toBeLessThanOrEqual(
      printed * 0.001 + 0.5 * 10 ** -(digitsOf(printed) + (printed < 0.1 ? 1 : 0)),
    );
  });
  test.each(BS_84)('%s has effective diameter %d and minor diameter %d in (BS 84)', (name, effective, minor) => {
    const thread = threadNamed(name);
    expect(Math.abs(thread.pitchDiameter_mm / 25.4 - effective)).toBeLessThanOrEqual(0.000105);
    expect(Math.abs(thread.minorDiameter_mm / 25.4 - minor)).toBeLessThanOrEqual(0.000105);
  });
  test.each(BS_93)('%s has effective diameter %d and minor diameter %d mm (BS 93)', (name, effective, minor) => {
    const thread = threadNamed(name);
    expect(Math.abs(thread.pitchDiameter_mm - effective)).toBeLessThanOrEqual(0.0051);
    expect(Math.abs(thread.minorDiameter_mm - minor)).toBeLessThanOrEqual(0.0051);
  });
});

describe('designations', () => {
  test.each([
    ['m10', 'M10'],
    ['M 10', 'M10'],
    ['M10x1.25', 'M10×1.25'],
    ['M10×1,25', 'M10×1.25'],
    ['M8 x 1.25', 'M8'],
    ['3/8-24 UNF', '3/8 UNF'],
    ['3/8-16', '3/8 UNC'],
    ['7/16-20', '7/16 UNF'],
    ['⅜ BSF', '3/8 BSF'],
    ['3/8" BSF', '3/8 BSF'],
    ['3/8in BSF', '3/8 BSF'],
    ['B.S.F. 3/8', '3/8 BSF'],
    ['1/2 W', '1/2 BSW'],
    ['½" Whitworth', '1/2 BSW'],
    ['1/2 Whit.', '1/2 BSW'],
    ['5/16 BSC', '5/16 CEI'],
    ['1/4 x 26 CEI', '1/4 CEI'],
    ['1/2-20 CEI', '1/2-20 CEI'],
    ['2BA', '2 BA'],
    ['No. 4 BA', '4 BA'],
    ['BA 2', '2 BA'],
    ['10-32 UNF', 'No. 10 UNF'],
    ['1/4 26 tpi BSF', '1/4 BSF'],
  ])('%j is %s', (text, designation) => expect(threadNamed(text).designation).toBe(designation));

  test.each([
    ['M-8'],
    ['-3/8 BSF'],
    ['M8x1.3'],
    ['3/8'],
    ['1/4-26'],
    ['hello'],
    [''],
    ['M999'],
    ['1/2 constructor'],
    ['M10x'],
    ['1/0 BSF'],
  ])('%j is refused', (text) => {
    expect(codeOf(() => threadNamed(text))).toBe('unknown-thread');
  });

  test('a refusal names the nearest that is known', () => {
    expect(() => threadNamed('1/4-26')).toThrow(/1\/4 BSF or 1\/4 CEI/);
    expect(() => threadNamed('M10x1.3')).toThrow(/M10×1\.25/);
  });

  test('a cycle thread that was cut with two pitches says so', () => {
    expect(readThread('1/2 CEI').notes.map((note) => note.code)).toEqual(['second-pitch']);
    expect(readThread('5/16 CEI').notes).toEqual([]);
  });

  test('every thread of the tables is found again by its own name, with diameters in order', () => {
    for (const row of THREAD_ROWS) {
      const thread = threadNamed(row.designation);
      expect(thread.designation).toBe(row.designation);
      expect(thread.minorDiameter_mm).toBeLessThan(thread.pitchDiameter_mm);
      expect(thread.pitchDiameter_mm).toBeLessThan(thread.major_mm);
      expect(thread.minorDiameter_mm).toBeGreaterThan(0);
    }
  });

  test('any text is a thread or refused', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 14 }), (text) => {
        try {
          return threadNamed(text).stressArea_mm2 > 0;
        } catch (error) {
          return error instanceof DomainError;
        }
      }),
    );
  });
});
