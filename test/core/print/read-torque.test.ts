import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readTorque } from '@/core/print';
import { DomainError, TORQUE_UNITS_NM, type TorqueUnit } from '@/core/units';
import { codeOf } from '../code-of';
import vectors from '../../reference/torque-notations.json';

interface Expected {
  readonly error?: string;
  readonly kind?: string;
  readonly notes?: readonly string[];
  readonly readings?: readonly Record<string, unknown>[];
  readonly [key: string]: unknown;
}

const close = (value: number) => expect.closeTo(value, 9) as unknown;
const near = (value: unknown): unknown => {
  if (typeof value === 'number') return close(value);
  if (Array.isArray(value)) return value.map(near);
  if (typeof value === 'object' && value !== null)
    return expect.objectContaining(Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, near(inner)])));
  return value;
};

describe('the printed notations of the contract', () => {
  test.each(vectors.rows.map((row): [string, Expected] => [row.text, row.expect]))(
    '%j',
    (text, { error, notes, ...expected }) => {
      if (error) return expect(codeOf(() => readTorque(text))).toBe(error);
      const print = readTorque(text);
      expect(print).toEqual(near(expected));
      if (notes) expect(print.notes.map((note) => note.code)).toEqual(notes);
      return undefined;
    },
  );
});

const one = (text: string) => {
  const print = readTorque(text);
  if (print.kind === 'turn' || print.kind === 'stages') throw new Error(`${text} was read as ${print.kind}`);
  return { ...print, reading: print.readings[0], codes: print.notes.map((note) => note.code) };
};

describe('other spellings of the same families', () => {
  const FAMILIES: Readonly<Record<TorqueUnit, string>> = {
    'lbf·ft': 'lbft|Lb.Ft.|lb.-ft.|lbf-ft|ft lb|ft.lbs|FT. LB.|foot pound|pounds foot|pound-feet|lbs. ft|lbf·ft',
    'lbf·in': 'in-lbs|in.lb|lbf.in|inch-lbs.|LB IN|pound-inches|ins. lbs.',
    'kgf·m':
      'm kg|mkgf|m·kg|kg.m|kgf m|kilogrammetres|metre-kilograms|kilogrammeter|Meterkilogramm|kp·m|kgf-m|kilopondmeter|m kp|chilogrammetri',
    'kgf·cm': 'cm kg|cm.kg|kp cm|kpcm|kgcm|kgf-cm',
    'N·m': 'Nm|N m|N-m|newton-meters|Newtonmeter|N.m.|m·N',
    'daN·m': 'daNm|da N m|daN.m|m·daN',
    'cN·m': 'cNm|cN·m|Ncm|N cm',
    'ozf·in': 'oz-in|in oz|ounce-inches|OZ. IN.',
    'gf·cm': 'gcm|g.cm|gf·cm|gram-centimetres',
    'N·mm': 'Nmm|N·mm|N mm|newton-millimetres',
    'kN·m': 'kNm|kN·m|kN m',
  };
  const spellings = Object.entries(FAMILIES).flatMap(([unit, words]) =>
    words.split('|').map((word): [string, TorqueUnit] => [word, unit as TorqueUnit]),
  );
  test.each(spellings)('38 %s is %s', (word, unit) => {
    expect(one(`38 ${word}`).reading).toEqual({
      unit,
      min_Nm: 38 * TORQUE_UNITS_NM[unit],
      max_Nm: 38 * TORQUE_UNITS_NM[unit],
      printedMin: 38,
      printedMax: 38,
    });
    expect(one(`38${word}`).reading?.unit).toBe(unit);
  });

  test.each([
    ['36..40 lb ft'],
    ['36…40 lb ft'],
    ['36 à 40 lb ft'],
    ['36 al 40 lb ft'],
    ['von 36 bis 40 lb ft'],
    ['de 36 à 40 lb ft'],
    ['38±2 lb ft'],
    ['38 plus or minus 2 lb ft'],
    ['38 lb ft ± 2'],
    ['38 +2/-2 lb ft'],
    ['min 36 max 40 lb ft'],
    ['36 lb ft/40 lb ft'],
    ['lb ft 36-40'],
    ['36 – 40 lb ft'],
  ])('%j is a range from 36 to 40', (text) => {
    const { reading, ambiguous } = one(text);
    expect([reading?.printedMin, reading?.printedMax, reading?.unit, ambiguous]).toEqual([36, 40, 'lbf·ft', false]);
  });

  test.each([
    ['5¼ mkg', 5.25],
    ['5-3/4 mkg', 5.75],
    ['6-1/2 mkg', 6.5],
    ['½ mkg', 0.5],
    ['3/4 mkg', 0.75],
    ['.5 mkg', 0.5],
    [',5 mkg', 0.5],
    ['0,500 mkg', 0.5],
    ['thirty-eight lb ft', 38],
    ['1 050 in lb', 1050],
    ['1.050,5 cmkg', 1050.5],
  ])('%j is %d', (text, figure) => expect(one(text).reading?.printedMin).toBe(figure));

  test.each([
    ['30 lb x 10 in', 33.895],
    ['30 lb × 10″', 33.895],
    ['30 lb, 10 in spanner', 33.895],
    ['12 kg à 300 mm', 35.304],
    ['12 kg × 30 cm', 35.304],
    ['pull of 30 lb on a 10-inch spanner', 33.895],
    ['25 lb on a 1½ ft. bar', 50.843],
    ['30 lb. at 1 ft. 6 in.', 61.012],
  ])('%j is a pull on a lever of %d N·m', (text, torque) => {
    const { kind, reading, codes } = one(text);
    expect([kind, reading?.unit]).toEqual(['lever-pull', undefined]);
    expect(reading?.min_Nm).toBeCloseTo(torque, 3);
    expect(codes).toContain('lever-pull');
  });

  test.each([
    ['quarter turn', 90],
    ['¼ of a turn', 90],
    ['1½ turns', 540],
    ['one and a half turns', 540],
    ['3 flats', 180],
    ['one flat of a square nut', 90],
    ['1/6 turn', 60],
    ['90 Grad', 90],
  ])('%j is a turn of %d degrees', (text, degrees) =>
    expect(readTorque(text)).toMatchObject({ kind: 'turn', min_deg: degrees, max_deg: degrees }),
  );

  test.each([
    ['38 lb ft, threads lightly oiled', 'lightly oiled'],
    ['4,2 mkg (geölt)', 'geölt'],
    ['38 lb ft with oiled threads', 'oiled'],
    ['38 lb ft threads clean and dry', 'dry'],
    ['oiled: 38 lb ft', 'oiled'],
    ['38 lb ft in oil', 'oil'],
  ])('%j keeps the condition', (text, condition) => expect(readTorque(text).condition).toBe(condition));
});

describe('nothing is guessed in silence', () => {
  test('seven eighths or seven to eight is asked', () => {
    const { ambiguous, readings, codes } = one('7/8 mkg');
    expect([ambiguous, readings.length, codes]).toEqual([true, 2, ['fraction', 'fraction-or-range']]);
  });
  test('a large bare force is likelier on the short arm', () => expect(one('480 lb').reading?.unit).toBe('lbf·in'));
  test('a bare force that a second unit settles is put first, and still asked', () => {
    const { ambiguous, reading, crossCheck } = one('30 lb (4.1 mkg)');
    expect([ambiguous, reading?.unit, crossCheck?.agrees]).toEqual([true, 'lbf·ft', true]);
  });
  test('of three printed units the one that disagrees is shown', () => {
    expect(one('41 Nm (4.2 kgm, 34.4 lb ft)').crossCheck).toMatchObject({ unit: 'lbf·ft', agrees: false });
  });
  test.each([
    ['38 40 lb ft', 'unreadable'],
    ['15 kg/cm2', 'unknown-unit'],
    ['15 lb/in²', 'unknown-unit'],
    ['38 mm', 'unknown-unit'],
    ['1e5 lb ft', 'unreadable'],
    ['2 ± 3 lb ft', 'negative'],
    ['1,050 lb ± 38', 'negative'],
    ['0-5 lb ft', 'zero'],
    ['minus 38 lb ft', 'negative'],
    ['38 constructor', 'unknown-unit'],
    [`${'9'.repeat(390)} Nm`, 'unreadable'],
    ['x'.repeat(500), 'unreadable'],
  ])('%j is refused as %s', (text, code) => expect(codeOf(() => readTorque(text))).toBe(code));
});

describe('properties', () => {
  const unit = fc.constantFrom(...(Object.keys(TORQUE_UNITS_NM) as TorqueUnit[]));
  const tenths = fc.integer({ min: 1, max: 9999 });

  test('a range in any unit comes back in order and in proportion', () => {
    fc.assert(
      fc.property(tenths, tenths, unit, (tenthsA, tenthsB, name) => {
        const [a, b] = [tenthsA / 10, tenthsB / 10];
        const { reading, codes } = one(`${a} to ${b} ${name}`);
        expect(reading?.min_Nm).toBeCloseTo(Math.min(a, b) * TORQUE_UNITS_NM[name], 8);
        expect(reading?.max_Nm).toBeCloseTo(Math.max(a, b) * TORQUE_UNITS_NM[name], 8);
        expect(codes.includes('range-reversed')).toBe(a > b);
        expect(codes.includes('suspect-magnitude')).toBe(Math.max(tenthsA, tenthsB) > 3 * Math.min(tenthsA, tenthsB));
      }),
    );
  });

  test('any text at all is read or refused, never anything else', () => {
    const word = fc.constantFrom(
      '38',
      '5½',
      '1,050',
      '-',
      '/',
      '(',
      ')',
      'lb',
      'ft',
      'mkg',
      'to',
      'turn',
      '±',
      '%',
      'oiled',
      'max',
      'constructor',
      '10',
      'in',
      'kg',
      '°',
      'toString',
      '.',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(word, { maxLength: 9 }).map((words) => words.join(' ')),
        ),
        (text) => {
          try {
            const print = readTorque(text);
            if (print.kind === 'turn') return print.min_deg > 0 && print.max_deg >= print.min_deg;
            if (print.kind === 'stages') return print.stages.length > 1;
            return (
              print.readings.length > 0 &&
              print.readings.every(({ min_Nm, max_Nm }) => min_Nm > 0 && max_Nm >= min_Nm && Number.isFinite(max_Nm))
            );
          } catch (error) {
            return error instanceof DomainError;
          }
        },
      ),
      { numRuns: 3000 },
    );
  });
});
