import { describe, expect, test } from '@jest/globals';
import { contextOfFit } from '@/db/reads/fits-of-engine';
import { assertAsked, assertOfThisBore, fittedElsewhere } from '@/model/fit/fit-reading';
import { fitState } from '@/model/fit/fit-state';
import { readReadings, readingsCsv } from '@/features/fits/readings-csv';
import { recordLine } from '@/features/fits/record-line';
import { codeOf } from '../core/code-of';
import { yardShop } from './temporary-shop';

const AT = '2026-05-16T14:30:00.000Z';
const FIT = 'demo-f-fit-gaps';

/** The yard's ring gaps, and a way to read one. Places count from 0: three rings a bore. */
function rings() {
  const shop = yardShop();
  const fit = shop.fits.find(FIT);
  if (!fit) throw new Error('no ring gaps in the yard');
  let n = 0;
  const send = (line: object) => recordLine(shop, FIT, { id: `ring-line-${n++}`, at: AT, ...line });
  const read = (place: number, piece: string | undefined, typed = '11') =>
    send({
      kind: 'reading',
      place,
      part: 'length',
      station: 0,
      angle: 0,
      value_mm: 0,
      typed,
      body: { unit: 'thou', instrument: 'Feelers', answers: { squared: 'yes' }, ...(piece && { piece }) },
    });
  const code = (place: number, piece: string) => {
    const outcome = read(place, piece);
    return outcome.ok ? 'ok' : outcome.error.code;
  };
  return { shop, fit, send, read, code, standing: () => fitState(fit, shop.fits.lines(FIT), contextOfFit(shop, fit)) };
}

describe('a ring stays with its own bore', () => {
  test('marked and read in one bore, it is refused in another, with the sentence', () => {
    const { read, code, standing } = rings();
    expect(code(0, 'A')).toBe('ok');
    const refused = read(3, 'A');
    expect(refused.ok ? '' : refused.error.message).toBe(
      'Ring A was fitted to Bore 1, ring 1. It stays with its own bore; if that reading was a slip, undo it first.',
    );
    expect(code(4, ' a ')).toBe('of-another-bore');
    expect(fittedElsewhere(standing(), 3, 'A')?.name).toBe('Bore 1, ring 1');
  });
  test('in its own bore it may be read again, and in another groove', () => {
    const { code } = rings();
    expect([code(0, 'A'), code(0, 'A'), code(1, 'A'), code(2, 'B')]).toEqual(['ok', 'ok', 'ok', 'ok']);
  });
  test('filed or replaced there, it is still not a ring for another bore', () => {
    const { code, send } = rings();
    code(0, 'A');
    for (const remedy of ['file', 'replace']) send({ kind: 'remedy', place: 0, body: { remedy, words: '' } });
    expect(code(3, 'A')).toBe('of-another-bore');
  });
  test('a slip that was struck frees it', () => {
    const { code, send } = rings();
    code(0, 'A');
    send({ kind: 'strike', place: null, strikes: 'ring-line-0', body: {} });
    expect(code(3, 'A')).toBe('ok');
  });
  test('unmarked rings are told by their place alone', () => {
    const { code, read, standing } = rings();
    expect(read(0, undefined).ok).toBe(true);
    expect(code(3, 'A')).toBe('ok');
    expect(codeOf(() => assertOfThisBore(standing(), 5, undefined))).toBeUndefined();
  });
  test('the mark goes out in the table and comes in again', () => {
    const { shop, fit, read } = rings();
    read(0, 'No. 7');
    const rows = readReadings(readingsCsv([fit], new Map([[FIT, shop.fits.lines(FIT)]])), [fit]);
    expect(rows.at(-1)?.reading?.piece).toBe('No. 7');
    expect(rows[0]?.reading?.piece).toBeUndefined();
  });
});

describe('what a fit asks for', () => {
  const shop = yardShop();
  const mains = shop.fits.find('demo-n-fit-mains');
  const rods = shop.fits.find('demo-f-fit-rods');
  if (!mains || !rods) throw new Error('no fits in the yard');
  test.each([
    ['a cell of it', { part: 'journal', station: 1, angle: 1 }, undefined],
    ['a station beyond it', { part: 'journal', station: 2, angle: 0 }, 'bad-field'],
    ['an angle beyond it', { part: 'bore', station: 0, angle: 2 }, 'bad-field'],
    ['a part of another fit', { part: 'goes', station: 0, angle: 0 }, 'bad-field'],
  ] as const)('%s', (_, cell, code) => expect(codeOf(() => assertAsked(mains, cell, 45))).toBe(code));
  test('a strip to the ends of its packet and no further', () => {
    const { packet } = rods.detail;
    if (!packet) throw new Error('the rods have no packet');
    const strip = { part: 'strip', station: 0, angle: 0 } as const;
    expect(
      [packet.min_mm, packet.max_mm, packet.max_mm + 0.001, packet.min_mm - 0.001].map((value) =>
        codeOf(() => assertAsked(rods, strip, value)),
      ),
    ).toEqual([undefined, undefined, 'outside-packet', 'outside-packet']);
  });
  test('a table with a strip that is not on its packet keeps the row aside', () => {
    const [row] = readReadings(`Fit,Place,Part,Station,Angle,Typed,Unit\n"${rods.name}",1,strip,1,1,9,thou`, [rods]);
    expect(row?.reason).toMatch(/^The packet reads/);
  });
});

describe('the table of readings', () => {
  test('a struck line is kept aside, and comes out marked', () => {
    const { shop, fit, read, send } = rings();
    read(0, 'A');
    const [line] = shop.fits.lines(FIT).slice(-1);
    const rows = () => readReadings(readingsCsv([fit], new Map([[FIT, shop.fits.lines(FIT)]])), [fit], new Map());
    expect(rows().at(-1)).toMatchObject({ reading: { piece: 'A' } });
    send({ kind: 'strike', place: null, strikes: line?.id, body: {} });
    const last = rows().at(-1);
    expect(last?.reading).toBeUndefined();
    expect(last?.reason).toBe('It was cancelled where it comes from.');
  });
});
