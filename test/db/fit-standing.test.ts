import { describe, expect, test } from '@jest/globals';
import type { Fit, FitLine, ReadingBody, ReadingLine } from '@/model/fit/fit';
import type { FitContext } from '@/model/fit/fit-context';
import { fitState, worstFirst } from '@/model/fit/fit-state';
import { value20_mm } from '@/model/fit/value-at-20c';
import { fastenerFingerprint } from '@/model/fit/fit-context';
import { gateOf, guardsOfGate, provenFits, stripsIn } from '@/model/fit/fit-gate';
import { fitsOfEngine, yardShop } from './temporary-shop';

const fit: Fit = {
  id: 'fit',
  engineId: 'engine',
  kind: 'main-clearance',
  name: 'Mains',
  places: ['1', '2'],
  methods: ['micrometer'],
  stations: 1,
  angles: 1,
  jointId: 'caps',
  leafId: null,
  holds: ['caps'],
  wanted: { limits: { min_mm: 0.03, max_mm: 0.06 } },
  detail: {},
  version: 1,
  createdAt: '2026-05-01T08:00:00.000Z',
};
const CAPS = { 'cap-final': 'yes', 'final-bolts': 'yes' } as const;
const BODY: ReadingBody = { unit: 'mm', instrument: 'Micrometer', resolution_mm: 0.001, answers: CAPS };
const at = (minute: number) => `2026-05-01T09:${String(minute).padStart(2, '0')}:00.000Z`;

let n = 0;
const reading = (
  place: number,
  part: 'journal' | 'bore',
  value_mm: number,
  minute: number,
  body: Partial<ReadingBody> = {},
): ReadingLine => ({
  id: `line-${n++}`,
  kind: 'reading',
  place,
  part,
  station: 0,
  angle: 0,
  value_mm,
  typed: String(value_mm),
  at: at(minute),
  recordedAt: at(minute),
  body: { ...BODY, ...body },
});
const line = (part: Partial<FitLine> & Pick<FitLine, 'kind' | 'body'>, minute: number): FitLine =>
  ({ id: `line-${n++}`, place: 0, at: at(minute), recordedAt: at(minute), ...part }) as FitLine;
const both = (place: number, journal: number, bore: number, minute: number) => [
  reading(place, 'journal', journal, minute),
  reading(place, 'bore', bore, minute + 1),
];
const INSIDE = [...both(0, 45, 45.045, 0), ...both(1, 45, 45.045, 2)];
const states = (lines: readonly FitLine[], context: FitContext = { rounds: [] }, of = fit) =>
  fitState(of, lines, context).places.map(({ state }) => state);

describe('where a fit stands', () => {
  test('nothing, half, all; the worst place speaks for the fit', () => {
    expect(states([])).toEqual(['unread', 'unread']);
    expect(states(INSIDE.slice(0, 1))).toEqual(['open', 'unread']);
    expect(states(INSIDE)).toEqual(['inside', 'inside']);
    expect(fitState(fit, [...INSIDE, reading(1, 'bore', 45.08, 5)], { rounds: [] }).state).toBe('loose');
    expect(states([...both(0, 45.03, 45.02, 0)])[0]).toBe('fault');
  });
  test('a later reading lies over an earlier one of its cell, which stays beneath', () => {
    const { places } = fitState(fit, [...INSIDE, reading(0, 'bore', 45.05, 6)], { rounds: [] });
    expect(places[0]?.result.figures[0]?.least_mm).toBeCloseTo(0.05, 9);
    expect(places[0]?.beneath.map(({ value_mm }) => value_mm)).toEqual([45.045]);
  });
  test('a struck reading gives way to the one before it', () => {
    const wrong = reading(0, 'bore', 46, 6);
    expect(states([...INSIDE, wrong])[0]).toBe('loose');
    expect(states([...INSIDE, wrong, line({ kind: 'strike', strikes: wrong.id, body: {} } as never, 7)])[0]).toBe(
      'inside',
    );
  });
  test('conditions unsaid or not met leave it unproven; what was left unsaid may be said since', () => {
    const unsaid = [reading(0, 'journal', 45, 0), reading(0, 'bore', 45.045, 1, { answers: { 'cap-final': 'yes' } })];
    const { places } = fitState(fit, unsaid, { rounds: [] });
    expect([places[0]?.state, places[0]?.why]).toEqual(['unmet', 'Not said whether the bolts are of the final kind.']);
    const said = line({ kind: 'affirm', place: null, body: { answers: CAPS } }, 3);
    expect(states([...unsaid, said])[0]).toBe('inside');
    const broken = [
      reading(0, 'journal', 45, 0),
      reading(0, 'bore', 45.045, 1, { answers: { 'cap-final': 'no', 'final-bolts': 'yes' } }),
    ];
    expect(states([...broken, said])[0]).toBe('unmet');
  });
  test('nothing wanted: read, and not judged', () =>
    expect(states(INSIDE, { rounds: [] }, { ...fit, wanted: {} })).toEqual(['unjudged', 'unjudged']));
  test('felt play is not measured, until it is', () => {
    const float: Fit = { ...fit, kind: 'crank-float', places: ['1'], methods: ['dial'], wanted: {} };
    const felt = line({ kind: 'felt', body: { words: 'none to be felt' } }, 0);
    expect(fitState(float, [felt], { rounds: [] }).places[0]).toMatchObject({
      state: 'not-measured',
      felt: 'none to be felt',
    });
  });
  test('a kind that is not known here is read as two diameters', () =>
    expect(fitState({ ...fit, kind: 'of tomorrow' }, [], { rounds: [] }).kind.id).toBe('own-pair'));
});

describe('stale', () => {
  const changed = (change: string, place: number | null = null) =>
    line({ kind: 'change', place, body: { change, words: 'for the seal' } } as never, 10);
  test('a loosened cap takes the bores with it and says why', () => {
    const { places } = fitState(fit, [...INSIDE, changed('cap-loosened', 1)], { rounds: [] });
    expect(places.map(({ state }) => state)).toEqual(['inside', 'stale']);
    expect(places[1]?.why).toBe('Since it was read a cap was loosened: for the seal.');
  });
  test('read again, it counts again; the journal need not be', () => {
    expect(states([...INSIDE, changed('cap-loosened'), reading(0, 'bore', 45.044, 11)])).toEqual(['inside', 'stale']);
  });
  test('grinding the journal leaves the bore alone', () => {
    expect(
      states([...INSIDE, changed('journal-cut'), reading(0, 'journal', 44.999, 11), reading(1, 'journal', 44.999, 12)]),
    ).toEqual(['inside', 'inside']);
  });
  const round = (purpose: 'final' | 'trial' | 'retorque', minute: number) => ({ purpose, startedAt: at(minute) });
  test.each([
    [[round('trial', 0)], 'inside'],
    [[round('final', 20)], 'inside'],
    [[round('trial', 20)], 'stale'],
    [[round('final', 20), round('final', 30)], 'stale'],
    [[round('final', 20), round('trial', 30)], 'stale'],
    [[round('retorque', 20)], 'inside'],
    [[], 'inside'],
  ])('going-rounds %j leave it %s', (rounds, state) =>
    expect(states(INSIDE, { rounds, jointName: 'Main caps' })[0]).toBe(state),
  );
  const clamped = (purpose: 'final' | 'trial' | 'retorque', minute: number, clamp_N: number) => ({
    ...round(purpose, minute),
    clamp_N,
  });
  test.each([
    // Read with the caps at 30 kN, closed up at another load: within a twentieth it is the same bore.
    [[clamped('trial', 0, 30_000), clamped('final', 20, 31_499)], 'inside'],
    [[clamped('trial', 0, 30_000), clamped('final', 20, 31_501)], 'stale'],
    [[clamped('trial', 0, 30_000), clamped('final', 20, 28_499)], 'stale'],
    [[clamped('trial', 0, 30_000), round('final', 20)], 'inside'],
    [[round('trial', 0), clamped('final', 20, 10_000)], 'inside'],
    [[clamped('final', 0, 30_000), clamped('retorque', 20, 10_000)], 'inside'],
  ])('caps pulled to another clamp load: %j leave it %s', (rounds, state) => {
    const { places } = fitState(fit, INSIDE, { rounds, jointName: 'Main caps' });
    expect(places[0]?.state).toBe(state);
    if (state === 'stale')
      expect(places[0]?.why).toMatch(/another clamp load: 30\.0 kN a fastener then, \d+\.\d kN now/);
  });
  test('the journal does not mind how its caps are pulled', () => {
    const rounds = [clamped('trial', 0, 30_000), clamped('final', 20, 10_000)];
    const { places } = fitState(fit, [reading(0, 'journal', 45, 1)], { rounds });
    expect(places[0]?.why ?? '').not.toMatch(/clamp load/);
  });
  test('bolts of another kind since', () => {
    const read = [reading(0, 'journal', 45, 0), reading(0, 'bore', 45.045, 1, { bolts: 'bolt M10' })];
    expect(states(read, { rounds: [], bolts: 'bolt M10' })[0]).toBe('inside');
    const { places } = fitState(fit, read, { rounds: [], bolts: 'stud M10, iso-12.9' });
    expect(places[0]?.why).toBe('Since it was read the bolts were changed: bolt M10 then, stud M10, iso-12.9 now.');
  });
});

describe('what is decided', () => {
  const OUT = [...both(0, 45, 45.07, 0), ...both(1, 45, 45.045, 2)];
  test('a remedy reopens the right reading and keeps the old one beneath; inside again, it is proven', () => {
    const shell = line({ kind: 'remedy', body: { remedy: 'next-shell', words: '0.25 under' } }, 5);
    const after = fitState(fit, [...OUT, shell], { rounds: [] }).places[0];
    expect([
      after?.state,
      after?.remedy,
      [...(after?.current.keys() ?? [])],
      after?.beneath.map(({ part }) => part),
    ]).toEqual(['open', 'The next shell: 0.25 under', ['journal.0.0'], ['bore']]);
    const read = fitState(fit, [...OUT, shell, reading(0, 'bore', 45.05, 6)], { rounds: [] }).places[0];
    expect([read?.state, read?.remedy]).toEqual(['inside', undefined]);
  });
  test('accepted with its reason, until it is read again', () => {
    const soft: Fit = { ...fit, wanted: { ...fit.wanted, soft: { min_mm: 0.03, max_mm: 0.04 } } };
    const accept = line({ kind: 'accept', body: { reason: 'for the run to the show' } }, 5);
    expect(states(INSIDE, { rounds: [] }, soft)[0]).toBe('improve');
    expect(fitState(soft, [...INSIDE, accept], { rounds: [] }).places[0]).toMatchObject({
      state: 'accepted',
      accepted: 'for the run to the show',
    });
    expect(states([...INSIDE, accept, reading(0, 'bore', 45.046, 6)], { rounds: [] }, soft)[0]).toBe('improve');
    expect(states([...OUT, accept])[0]).toBe('loose');
  });
  test('too close for the instrument, and what is on order leaves a soft item', () => {
    expect(states(both(0, 45, 45.0595, 0))[0]).toBe('too-close');
    expect(
      fitState(fit, [...INSIDE, line({ kind: 'order', body: { words: 'a shell' } }, 5)], { rounds: [] }).places[0],
    ).toMatchObject({
      state: 'improve',
      order: 'a shell',
    });
  });
});

describe('the gate', () => {
  const standing = (lines: readonly FitLine[]) => [fitState(fit, lines, { rounds: [] })];
  test('out of limits holds; the rest is asked again, alike places in one line', () => {
    const gate = gateOf(standing([...both(0, 45, 45.07, 0)]), 'caps');
    expect([gate.held.map(({ line: said }) => said), gate.asks.map(({ line: said }) => said)]).toEqual([
      ['Mains, 1: out of limits'],
      ['Mains, 2: not measured yet'],
    ]);
    expect(gateOf(standing([]), 'caps').asks.map(({ line: said }) => said)).toEqual([
      'Mains, every place: not measured yet',
    ]);
    expect(gateOf(standing(INSIDE), 'caps')).toEqual({ held: [], asks: [], strips: [] });
    expect(gateOf(standing([]), 'another').asks).toEqual([]);
    expect(guardsOfGate(gate).map(({ code, severity }) => [code, severity])).toEqual([
      ['fit-out', 'stop'],
      ['fit-not-proven', 'stop'],
    ]);
  });
  test('a strip lies in until it is taken out', () => {
    const laid = line({ kind: 'strip-in', body: {} }, 1);
    expect(stripsIn(standing([laid]))).toEqual(['Mains, 1']);
    expect(stripsIn(standing([laid, line({ kind: 'strip-out', body: {} }, 2)]))).toEqual([]);
  });
});

describe('readings away from 20 °C', () => {
  test('part and gauge each have their own; nothing taken, nothing corrected', () => {
    const aluminium: Fit = { ...fit, detail: { expansion: { journal: 23, bore: 10.5 } } };
    expect(value20_mm(reading(0, 'journal', 60, 0, { part_C: 30, gauge_C: 20 }), aluminium)).toBeCloseTo(
      60 * (1 - 23e-6 * 10),
      4,
    );
    expect(value20_mm(reading(0, 'journal', 60, 0), aluminium)).toBe(60);
  });
});

describe('in the shop', () => {
  const shop = yardShop();
  test('an engine’s fits are read at once, and the worst goes first', () => {
    const fits = fitsOfEngine(shop, 'demo-norrhem');
    expect(worstFirst(fits).map(({ state }) => state)).toEqual(['loose', 'open', 'unread']);
    expect(provenFits(fits)).toBe(0);
    expect(provenFits(fitsOfEngine(shop, 'demo-fourteen'))).toBe(7);
    expect(fitsOfEngine(shop, 'nothing')).toEqual([]);
    expect(stripsIn(fits)).toEqual([]);
  });
  test('lines are only ever added to', () => {
    expect(() => shop.db.exec("UPDATE fit_line SET typed = '1'")).toThrow('never altered');
    expect(() => shop.db.exec('DELETE FROM fit_line')).toThrow('never removed');
    expect(() => shop.db.exec("UPDATE engine_sheet SET body = '{}'")).toThrow('never altered');
  });
  test('the same line sent twice is one', () => {
    const again = reading(0, 'journal', 60, 0);
    expect([
      shop.fits.record('demo-n-fit-pistons', again, at(0)),
      shop.fits.record('demo-n-fit-pistons', again, at(1)),
    ]).toEqual([true, false]);
    expect(shop.fits.lines('demo-n-fit-pistons')).toHaveLength(1);
  });
  test('the bolts of a joint, told so that a change is seen', () => {
    const joint = shop.joints.find('demo-m-joint-head');
    expect(joint && fastenerFingerprint(joint)).toBe('stud M9, iso-8.8-to-16-mm');
    const newAfter = (id: string | null) =>
      joint && fastenerFingerprint({ ...joint, detail: { ...joint.detail, newAfter: id } });
    expect(newAfter('2026-05-16T14:20:05.000Z')).toBe('stud M9, iso-8.8-to-16-mm, new after 2026-05-16 14:20');
    expect(
      new Set([newAfter(null), newAfter('2026-05-16T14:20:05.000Z'), newAfter('2026-05-17T14:20:05.000Z')]).size,
    ).toBe(3);
  });
  test('a reading under the final bolts does not outlast new ones of the same kind', () => {
    const read = (bolts: string) =>
      fitState(fit, [{ ...reading(0, 'bore', 60.05, 1, { bolts }) }], {
        rounds: [],
        bolts: 'bolt M8, new after 2026-05-16 14:20',
      }).places[0];
    expect(read('bolt M8')?.why).toMatch(
      /the bolts were changed: bolt M8 then, bolt M8, new after 2026-05-16 14:20 now/,
    );
    expect(read('bolt M8, new after 2026-05-16 14:20')?.why).toBeUndefined();
  });
  test('a drawer keeps its count, a fit what it is altered to', () => {
    const [shim] = shop.shims.inFamily('Camshaft shims');
    if (!shim) throw new Error('no shim in the yard');
    shop.shims.alter({ ...shim, count: 7 });
    expect(shop.shims.inFamily('Camshaft shims')[0]?.count).toBe(7);
    const mains = shop.fits.find('demo-n-fit-mains');
    if (!mains) throw new Error('no mains in the yard');
    shop.fits.alter({ ...mains, holds: [], name: 'Lager' });
    expect(shop.fits.find('demo-n-fit-mains')).toMatchObject({ holds: [], name: 'Lager' });
  });
});
