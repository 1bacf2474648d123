import { beforeEach, describe, expect, test } from '@jest/globals';
import { openShop, type Shop } from '@/db/shop';
import { recordEvent } from '@/features/bench/record-event';
import { recordLine } from '@/features/fits/record-line';
import { addCycleAction } from '@/features/run-in/actions';
import { nowMs } from '@/server/clock';
import { freshTightening } from '../db/temporary-shop';
import { accepted, everything, ownShop, refused, rowsIn, there } from './own-shop';
import { sendTable } from './send-table';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const codeOf = (answer: { readonly ok: boolean; readonly error?: { readonly code: string } }) =>
  answer.ok ? 'ok' : answer.error?.code;

describe('a line whose id is known', () => {
  const pull = { id: 'pull-000001', kind: 'pull', step: 0, outcome: 'pulled', age_ms: 0 };
  test('is one line where it is the same, and refused where it is another’s or says another thing', () => {
    const [one, other] = [freshTightening(shop, 'round-one'), freshTightening(shop, 'round-two')];
    const send = (round: string, body: object) => codeOf(recordEvent(shop, round, body));
    expect(send(one.id, pull)).toBe('ok');
    expect(recordEvent(shop, one.id, { ...pull, age_ms: 500 })).toMatchObject({ ok: true, result: { isNew: false } });
    const before = everything(shop);
    expect(send(other.id, pull)).toBe('id-taken');
    expect(send(one.id, { ...pull, outcome: 'went-over' })).toBe('id-taken');
    expect(send(one.id, { id: pull.id, kind: 'shaft', step: 1, age_ms: 0 })).toBe('id-taken');
    expect(everything(shop)).toBe(before);
  });
  test('of a fit', () => {
    const felt = { id: 'felt-000001', kind: 'felt', place: 0, age_ms: 0, body: { words: 'none to be felt' } };
    const send = (fit: string, body: object) => codeOf(recordLine(shop, fit, body));
    expect(send('demo-n-fit-float', felt)).toBe('ok');
    expect(recordLine(shop, 'demo-n-fit-float', { ...felt, age_ms: 900 })).toMatchObject({ result: { isNew: false } });
    const before = everything(shop);
    expect(send('demo-m-fit-cam', felt)).toBe('id-taken');
    expect(send('demo-n-fit-float', { ...felt, body: { words: 'a little to be felt' } })).toBe('id-taken');
    expect(everything(shop)).toBe(before);
  });
  test('of a run of the engine', async () => {
    const at = (ago: number) => new Date(nowMs() - ago).toISOString();
    const run = {
      id: 'cycle-00001',
      engineId: 'demo-norrhem',
      sentAt: at(0),
      ranFrom: at(3_600_000),
      ranTo: at(600_000),
      highest_C: 82,
      ambient_C: 14,
      startReason: 'on the trailer',
    };
    await accepted(addCycleAction(run));
    await accepted(addCycleAction({ ...run, sentAt: at(0) }));
    const before = everything(shop);
    expect((await refused(addCycleAction({ ...run, engineId: 'demo-maestrale' }))).code).toBe('id-taken');
    expect((await refused(addCycleAction({ ...run, highest_C: 99 }))).code).toBe('id-taken');
    expect(everything(shop)).toBe(before);
  });
});

describe('a table of many readings', () => {
  let before = 0;
  beforeEach(() => {
    before = rowsIn(shop, 'fit_line');
  });
  const table = (rows: number) =>
    [
      'Fit,Place,Part,Station,Angle,Typed,Unit,Instrument',
      ...Array.from({ length: rows }, (_, i) => {
        const fit = there(shop.fits.find('demo-n-fit-mains'));
        return [
          `"${fit.name}"`,
          `"${fit.places[i % fit.places.length] ?? ''}"`,
          'journal',
          1,
          1,
          (59.9 + i / 100_000).toFixed(5),
          'mm',
          'Micrometer',
        ].join(',');
      }),
    ].join('\n');
  const timed = async (rows: number) => {
    const text = table(rows);
    const from = performance.now();
    expect(await sendTable('demo-norrhem', { text, sure: true })).toMatchObject({ result: { entered: rows } });
    return performance.now() - from;
  };
  test('is read in in a time that grows as it does', async () => {
    await timed(100);
    let best = Infinity;
    for (let tries = 0; tries < 3 && best >= 24; tries++) {
      shop = ownShop();
      const few = await timed(500);
      shop = ownShop();
      best = Math.min(best, (await timed(4000)) / few);
    }
    // Eight times as many; quadratic would be sixty-four times as long, each time.
    expect(best).toBeLessThan(24);
  }, 60_000);
  test('lets a pull through between its batches, and says how far it has come', async () => {
    const [text, steps] = [table(450), [] as number[]];
    let pulls = 0;
    await sendTable('demo-norrhem', { text, sure: true }, ({ entered, total }) => {
      expect(total).toBe(450);
      expect(rowsIn(shop, 'fit_line') - before).toBe(entered);
      steps.push(entered);
      // Written from outside while the table is under way: it waits for no lock.
      const other = openShop(shop.file);
      pulls += Number(other.settings.set(`beside-${entered}`, 'x', 0));
      other.close();
      return true;
    });
    expect(steps).toEqual([0, 100, 200, 300, 400]);
    expect(pulls).toBe(5);
  });
  test('is stopped by who hangs up; read in again, it goes on from there and enters nothing twice', async () => {
    const text = table(450);
    await sendTable('demo-norrhem', { text, sure: true }, ({ entered }) => entered < 200);
    const entered = rowsIn(shop, 'fit_line') - before;
    // The batch after the step at which it was stopped may have been on its way.
    expect([200, 300]).toContain(entered);
    expect(await sendTable('demo-norrhem', { text, sure: true })).toMatchObject({ result: { entered: 450 - entered } });
    expect(rowsIn(shop, 'fit_line') - before).toBe(450);
    const rows = shop.fits
      .lines('demo-n-fit-mains')
      .filter(({ id }) => id.includes('-'))
      .map((line) => line.id);
    expect(new Set(rows).size).toBe(rows.length);
  });
  test('a marked part of two bores is kept aside, and the rest goes in', async () => {
    const fit = there(shop.fits.find('demo-n-fit-mains'));
    const row = (place: number, piece: string) =>
      `"${fit.name}","${fit.places[place] ?? ''}",journal,1,1,59.95,mm,Micrometer,${piece}`;
    const text = [
      'Fit,Place,Part,Station,Angle,Typed,Unit,Instrument,Piece',
      row(0, 'A'),
      row(1, 'A'),
      row(1, 'B'),
    ].join('\n');
    expect(await sendTable('demo-norrhem', { text, sure: true })).toMatchObject({ result: { entered: 1 } });
    expect(shop.fits.lines(fit.id).at(-1)).toMatchObject({ body: { piece: 'B' } });
  });
});

describe('what the screens never offer', () => {
  const send = (fit: string, body: object) => codeOf(recordLine(shop, fit, { age_ms: 0, place: 0, ...body }));
  test('a strip in a fit that has none is refused, and holds no crank', () => {
    const strip = { id: 'strip-00001', kind: 'strip-in', body: {} };
    expect(send('demo-m-fit-cam', strip)).toBe('bad-field');
    expect(send('demo-n-fit-mains', strip)).toBe('ok');
  });
  test('a line is struck once', () => {
    const felt = { id: 'felt-000001', kind: 'felt', body: { words: 'none to be felt' } };
    const strike = (id: string) => send('demo-n-fit-float', { id, kind: 'strike', strikes: felt.id, body: {} });
    expect(send('demo-n-fit-float', felt)).toBe('ok');
    expect([strike('strike-0001'), strike('strike-0002')]).toEqual(['ok', 'nothing-to-strike']);
  });
});
