import { describe, expect, test } from '@jest/globals';
import { CHANGES, CONDITIONS, PARTS, REMEDIES } from '@/core/fits';
import { LINE_SCHEMAS, validateLine } from '@/model/fit/fit-line-schema';
import type { FitLineKind } from '@/model/fit/fit';

const [part] = PARTS;
const [change = '', remedy = '', condition = ''] = [CHANGES, REMEDIES, CONDITIONS].map((of) => Object.keys(of)[0]);
const READING = { unit: 'mm', instrument: 'Micrometer' };
/** A line of each kind with no more than it must have. */
const LEAST: Readonly<Record<FitLineKind, object>> = {
  reading: { place: 0, part, station: 0, angle: 0, value_mm: 50, typed: '50', body: READING },
  felt: { place: 0, body: { words: 'rough' } },
  affirm: { place: null, body: { answers: {} } },
  change: { place: null, body: { change } },
  accept: { place: 0, body: { reason: 'as found' } },
  remedy: { place: 0, body: { remedy } },
  order: { place: 0, body: { words: 'shells' } },
  'strip-in': { place: 0, body: { width: '' } },
  'strip-out': { place: 0, body: {} },
  strike: { place: null, strikes: 'line-0001', body: {} },
};
const KINDS = Object.keys(LINE_SCHEMAS) as FitLineKind[];
const line = (kind: FitLineKind, part_: object = {}) => ({
  id: 'line-0002',
  kind,
  age_ms: 0,
  ...LEAST[kind],
  ...part_,
});
const refused = (input: object) => validateLine(input).error !== undefined;
const body = (kind: FitLineKind, more: object) =>
  line(kind, { body: { ...(LEAST[kind] as { body: object }).body, ...more } });

describe('a line of a fit on its way in', () => {
  test.each(KINDS.filter((kind) => kind !== 'strip-in'))('%s comes in with the least that it has', (kind) =>
    expect(validateLine(line(kind)).error).toBeUndefined(),
  );
  test.each(KINDS)('%s is refused without any of it, and with a place that is none', (kind) => {
    const whole = line(kind);
    for (const field of ['id', 'kind', ...Object.keys(LEAST[kind])])
      expect([field, refused(Object.fromEntries(Object.entries(whole).filter(([name]) => name !== field)))]).toEqual([
        field,
        true,
      ]);
    for (const place of [-1, 200, 0.5, 'x']) expect(refused({ ...whole, place })).toBe(true);
    for (const id of ['short', 'x'.repeat(61)]) expect(refused({ ...whole, id })).toBe(true);
  });
  test('everywhere at once is said of what may be, and of nothing else', () => {
    const may = KINDS.filter((kind) => kind !== 'strip-in' && !refused(line(kind, { place: null })));
    expect(may).toEqual(['affirm', 'change', 'strike']);
  });
  test.each<[string, FitLineKind, object]>([
    ['a station beyond', 'reading', { station: 100 }],
    ['an angle beyond', 'reading', { angle: 36 }],
    ['half a station', 'reading', { station: 0.5 }],
    ['a part of nothing', 'reading', { part: 'lid' }],
    ['nothing typed', 'reading', { typed: ' ' }],
    ['more typed than is read', 'reading', { typed: '5'.repeat(61) }],
  ])('%s is refused', (_, kind, more) => expect(refused(line(kind, more))).toBe(true));
  test.each<[string, FitLineKind, object]>([
    ['a unit that is none', 'reading', { unit: 'ell' }],
    ['a standard of nothing', 'reading', { standard_mm: 0 }],
    ['a standard of ten metres', 'reading', { standard_mm: 10_000 }],
    ['no resolution', 'reading', { resolution_mm: 0 }],
    ['a resolution of more than a millimetre', 'reading', { resolution_mm: 1.1 }],
    ['a part colder than any shop', 'reading', { part_C: -41 }],
    ['a gauge hotter than any', 'reading', { gauge_C: 151 }],
    ['an answer that is none', 'reading', { answers: { [condition]: 'perhaps' } }],
    ['a name of 61 letters', 'reading', { by: 'x'.repeat(61) }],
    ['two letters felt', 'felt', { words: 'no' }],
    ['401 letters felt', 'felt', { words: 'x'.repeat(401) }],
    ['a change that is none', 'change', { change: 'moved' }],
    ['a remedy that is none', 'remedy', { remedy: 'prayer' }],
    ['an empty reason', 'accept', { reason: '  ' }],
    ['nothing on order', 'order', { words: '' }],
    ['a strip too wide to be told', 'strip-in', { width: 'x'.repeat(41) }],
    ['an answer that is none, said of all', 'affirm', { answers: { [condition]: 'perhaps' } }],
  ])('%s is refused', (_, kind, more) => expect(refused(body(kind, more))).toBe(true));
  test('what lies at each end of what may be is taken', () => {
    for (const more of [
      { standard_mm: 9999, resolution_mm: 1 },
      { part_C: -40, gauge_C: 150 },
      { by: 'x'.repeat(60), answers: { [condition]: 'yes' } },
    ])
      expect(validateLine(body('reading', more)).error).toBeUndefined();
    expect(validateLine(line('reading', { place: 199, station: 99, angle: 35 })).error).toBeUndefined();
    expect(validateLine(body('felt', { words: 'dry' })).error).toBeUndefined();
    expect(validateLine(body('strip-in', { width: '0.5' })).error).toBeUndefined();
  });
  test('a reason says by itself what is wanted, and a kind that is none is refused as such', () => {
    expect(validateLine(body('accept', { reason: 'x' })).error?.message).toContain('Write down why it is accepted.');
    expect(validateLine(body('order', { words: '' })).error?.message).toContain('Say what is on order.');
    expect(validateLine({ ...line('felt'), kind: 'guess' }).error?.message).toContain('kind');
  });
  test('what nobody knows is left out, and words that were not said are none', () => {
    expect(validateLine({ ...body('change', {}), colour: 'red' }).value).toMatchObject({ body: { words: '' } });
    expect(validateLine({ ...body('change', {}), colour: 'red' }).value).not.toHaveProperty('colour');
  });
});
