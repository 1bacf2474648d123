import { describe, expect, test } from '@jest/globals';
import { identifyThread, readThread, THREAD_ROWS, threadNamed } from '@/core/thread';
import { convert, imperialNotes } from '@/core/units';
import { codeOf } from '../code-of';

describe('threads that are found by name alone', () => {
  // ISO 228-1, table 1: pitch and minor diameter.
  test.each([
    ['1/8 BSP', 28, 9.147, 8.566],
    ['G 1/4', 19, 12.301, 11.445],
    ['3/8 gas', 19, 15.806, 14.95],
    ['1/2 in. pipe', 14, 19.793, 18.631],
    ['5/8 BSP', 14, 21.749, 20.587],
    ['3/4 BSP', 14, 25.279, 24.117],
    ['1 BSP', 11, 31.77, 30.291],
  ])('%s', (name, tpi, pitchDiameter, minorDiameter) => {
    const thread = threadNamed(name);
    expect(thread.tpi).toBeCloseTo(tpi, 9);
    expect(thread.pitchDiameter_mm).toBeCloseTo(pitchDiameter, 2);
    expect(thread.minorDiameter_mm).toBeCloseTo(minorDiameter, 2);
  });
  test('what is called gas is said to have had two meanings; a name with one is not', () => {
    expect(readThread('1/8 gas').notes.map(({ code }) => code)).toEqual(['gas-or-brass']);
    expect(readThread('1/8 BSP').notes).toEqual([]);
  });
  test('brass: 26 to the inch whatever the size, in the Whitworth form', () => {
    for (const size of ['1/8', '1/4', '3/8', '1/2', '1'])
      expect(threadNamed(`${size} brass`)).toMatchObject({ tpi: expect.closeTo(26, 9), includedAngle_deg: 55 });
    expect(threadNamed('3/8 x 26 brass').designation).toBe('3/8 Brass');
    expect(codeOf(() => threadNamed('3/8 x 20 brass'))).toBe('unknown-thread');
  });
  test('the metric thread before ISO has a deeper root, and less to bear with', () => {
    const [old, iso] = [threadNamed('M10 pre-ISO'), threadNamed('M10')];
    expect(old.pitchDiameter_mm).toBe(iso.pitchDiameter_mm);
    // d3 = d − 1.3894 P
    expect(old.minorDiameter_mm).toBeCloseTo(10 - 1.3894 * 1.5, 9);
    expect(old.stressArea_mm2 / iso.stressArea_mm2).toBeCloseTo(0.9718, 3);
    expect(threadNamed('M10x1.25 (pre-ISO)').designation).toBe('M10×1.25 pre-ISO');
    expect(threadNamed('M10').designation).toBe('M10');
  });
  test('a caliper proposes none of them', () => {
    expect(THREAD_ROWS.some(({ series }) => ['Brass', 'BSP', 'M pre-ISO'].includes(series))).toBe(false);
    const { candidates } = identifyThread({ major_mm: 9.5, tpi: 26 });
    expect(candidates.map(({ designation }) => designation)).toEqual(['3/8 CEI']);
  });
});

describe('other names of threads that are known', () => {
  test.each([
    ['3/8 SAE', '3/8 UNF'],
    ['1/2 USS', '1/2 UNC'],
    ['.375-24', '3/8 UNF'],
    ['.250-28', '1/4 UNF'],
    ['.312-24', '5/16 UNF'],
    ['0.4375-20', '7/16 UNF'],
    ['.500 BSF', '1/2 BSF'],
  ])('%s is %s', (name, designation) => expect(threadNamed(name).designation).toBe(designation));
  test.each([['.370-24'], ['.375-23'], ['.375'], ['1/8 NPT'], ['3/8-20 SAE']])('%s is none', (name) =>
    expect(codeOf(() => threadNamed(name))).toBe('unknown-thread'),
  );
});

describe('measures that two countries have under one name', () => {
  test.each([
    ['gal', 'l', 4.54609],
    ['pints', 'l', 0.56826125],
    ['ton', 'kg', 1016.0469088],
  ])('a %s is the imperial one, and is said to be', (from, to, value) => {
    expect(convert(1, from, to)).toBeCloseTo(value, 6);
    expect(imperialNotes(from, to).map(({ code }) => code)).toEqual(['imperial-measure']);
  });
  test('nothing is said of the others', () => {
    expect(imperialNotes('US gal', 'l')).toEqual([]);
    expect(imperialNotes('imp gal', 'l')).toEqual([]);
    expect(imperialNotes('tonne', 'kg')).toEqual([]);
  });
});
