import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { FIT_KINDS, fitKind } from '@/core/fits';
import { USUAL_PRACTICE } from '@/model/practice/house-practice';
import { MEASURE_SCHEMAS } from '@/model/engine/engine-measure-schemas';
import { LINE_SCHEMAS } from '@/model/fit/fit-line-schema';
import { recordEvent } from '@/features/bench/record-event';
import { bandShape } from '@/features/fits/fit-band-geometry';
import { alteredFit, lengthWithUnit, limitsOf, listedFits, methodsBy, ownFit } from '@/features/fits/fit-of-fields';
import { readReadings, readingsCsv } from '@/features/fits/readings-csv';
import { linesOf, recordLine } from '@/features/fits/record-line';
import type { FitFields } from '@/features/fits/schema';
import { bodyOf, startSession, valueOf } from '@/features/fits/session';
import { fourteenSheets } from '@demo/fourteen-sheets';
import { codeOf } from '../core/code-of';
import { fitsOfEngine, freshTightening, yardShop } from '../db/temporary-shop';

const AT = '2026-05-16T14:30:00.000Z';
const reading = (part: object = {}) => ({
  id: 'reading-1',
  kind: 'reading',
  place: 0,
  part: 'journal',
  station: 0,
  angle: 0,
  value_mm: 1,
  typed: '59.95',
  at: AT,
  body: { unit: 'mm', instrument: 'Micrometer', answers: {} },
  ...part,
});
const codeIn = (outcome: { ok: boolean; error?: { code: string } }) => (outcome.ok ? 'ok' : outcome.error?.code);

describe('a line of a fit on its way to disk', () => {
  const shop = yardShop();
  const post = (line: object, fit = 'demo-n-fit-pistons') => recordLine(shop, fit, line);
  test('a reading is reckoned anew from what was typed, and sent twice it is one', () => {
    const first = post(reading());
    expect(first).toMatchObject({ ok: true, result: { id: 'reading-1', isNew: true } });
    expect(post(reading())).toEqual(first.ok && { ok: true, result: { ...first.result, isNew: false } });
    const kept = linesOf(shop, 'demo-n-fit-pistons');
    expect(kept.ok && kept.result.map((line) => line.kind === 'reading' && line.value_mm)).toEqual([59.95]);
  });
  test.each([
    ['a cell that is not asked for', reading({ id: 'bad-00001', station: 9 }), 'bad-field'],
    ['a part that is not asked for', reading({ id: 'bad-00002', part: 'strip' }), 'bad-field'],
    ['a place that is not there', reading({ id: 'bad-00003', place: 9 }), 'bad-field'],
    ['what is no figure', reading({ id: 'bad-00004', typed: 'wide' }), 'no-number'],
    [
      'a unit that is not read',
      reading({ id: 'bad-00005', body: { unit: 'yd', instrument: '', answers: {} } }),
      'bad-field',
    ],
    ['a kind that is not known', reading({ id: 'bad-00006', kind: 'guess' }), 'bad-field'],
    ['an identity too short', reading({ id: 'x' }), 'bad-field'],
    [
      'accepting what is not read',
      { id: 'bad-00007', kind: 'accept', place: 0, at: AT, body: { reason: 'it will do' } },
      'nothing-to-accept',
    ],
    [
      'accepting without a reason',
      { id: 'bad-00008', kind: 'accept', place: 0, at: AT, body: { reason: ' ' } },
      'bad-field',
    ],
    [
      'a remedy of another fit',
      { id: 'bad-00009', kind: 'remedy', place: 0, at: AT, body: { remedy: 'file', words: '' } },
      'bad-field',
    ],
    [
      'striking what is not there',
      { id: 'bad-00010', kind: 'strike', place: 0, strikes: 'nothing', at: AT, body: {} },
      'nothing-to-strike',
    ],
  ])('%s is refused', (_, line, code) => expect(codeIn(post(line))).toBe(code));
  test('a fit that is not there', () => expect(codeIn(post(reading(), 'none'))).toBe('not-found'));
  test('a strip is read on its own packet only', () => {
    const strip = (typed: string, id: string) =>
      reading({ id, part: 'strip', typed, body: { unit: 'thou', instrument: 'Crushed strip', answers: {} } });
    expect(codeIn(post(strip('4', 'strip-0001'), 'demo-f-fit-rods'))).toBe('outside-packet');
    expect(codeIn(post(strip('2', 'strip-0002'), 'demo-f-fit-rods'))).toBe('ok');
  });
  test('what is out is not accepted', () =>
    expect(
      codeIn(
        post({ id: 'accept-01', kind: 'accept', place: 1, at: AT, body: { reason: 'it will do' } }, 'demo-n-fit-mains'),
      ),
    ).toBe('nothing-to-accept'));
});

describe('whatever is sent to a fit', () => {
  const shop = yardShop();
  const before = JSON.stringify(shop.fits.lines('demo-n-fit-mains'));
  const kinds = fc.constantFrom(...Object.keys(LINE_SCHEMAS), 'guess');
  const some = fc.oneof(
    fc.jsonValue(),
    fc.string(),
    fc.double(),
    fc.constantFrom('yes', 'mm', '45.01', 'next-shell', 'cap-loosened', AT),
  );
  const body = fc.dictionary(
    fc.constantFrom(
      'unit',
      'instrument',
      'answers',
      'remedy',
      'change',
      'words',
      'reason',
      'standard_mm',
      'piece',
      '__proto__',
    ),
    some,
  );
  const line = fc.record(
    {
      id: some,
      kind: kinds,
      place: some,
      part: some,
      station: some,
      angle: some,
      value_mm: some,
      typed: some,
      at: some,
      strikes: some,
      body: fc.oneof(body, some),
    },
    { requiredKeys: ['kind'] },
  );
  test('is refused with a code and a sentence, or stands; it never fails', () =>
    fc.assert(
      fc.property(fc.oneof(line, some), (sent) => {
        const outcome = recordLine(shop, 'demo-n-fit-mains', sent);
        if (outcome.ok) return;
        expect(outcome.error.code).not.toBe('failed');
        expect(outcome.error.message).toMatch(/^\S.*[.!?]$/s);
      }),
      { numRuns: 400 },
    ));
  test('and no line that was there before is other than it was', () =>
    expect(JSON.stringify(shop.fits.lines('demo-n-fit-mains')).startsWith(before.slice(0, -1))).toBe(true));
});

test('while a strip lies in, the bench refuses to record a turned shaft', () => {
  const shop = yardShop();
  const tightening = freshTightening(shop);
  const steps = tightening.plan.steps.findIndex(({ kind }) => kind === 'shaft');
  for (let step = 0; step < steps; step++)
    expect(
      codeIn(
        recordEvent(shop, tightening.id, { id: `pull-00${step}-x`, kind: 'pull', step, outcome: 'pulled', at: AT }),
      ),
    ).toBe('ok');
  recordLine(shop, 'demo-n-fit-mains', { id: 'strip-in-1', kind: 'strip-in', place: 0, at: AT, body: {} });
  expect(codeIn(recordEvent(shop, tightening.id, { id: 'shaft-0001', kind: 'shaft', step: steps, at: AT }))).toBe(
    'crank-held',
  );
  recordLine(shop, 'demo-n-fit-mains', { id: 'strip-out1', kind: 'strip-out', place: 0, at: AT, body: {} });
  expect(codeIn(recordEvent(shop, tightening.id, { id: 'shaft-0001', kind: 'shaft', step: steps, at: AT }))).toBe('ok');
});

describe('what is wanted, as typed', () => {
  const shop = yardShop();
  const fit = shop.fits.find('demo-n-fit-mains');
  if (!fit) throw new Error('no mains in the yard');
  const fields: FitFields = {
    id: fit.id,
    version: fit.version,
    name: fit.name,
    methods: fit.methods,
    stations: 2,
    angles: 2,
    jointId: null,
    holds: [],
    by: 'own',
    leafId: null,
    low: '1 thou',
    high: '0.05 mm',
    ruleLow: '',
    ruleHigh: '',
    floor: '',
    softLow: '',
    softHigh: '',
    target: '',
    as: 'reading',
    nominal: '',
    packetName: '',
    packetLow: '',
    packetHigh: '',
    innerMetal: 'steel',
    outerMetal: 'aluminium',
  };
  const fieldOf = (part: Partial<FitFields>, leaf = shop.book.findLeaf('demo-n-mains-play')) => {
    try {
      alteredFit(fit, { ...fields, ...part }, leaf);
      return 'taken';
    } catch (error) {
      return (error as { field?: string }).field;
    }
  };
  test('a figure without a unit is refused: 2 may be thou or mm', () => {
    expect(codeOf(() => lengthWithUnit('2', 'low'))).toBe('no-unit');
    expect(lengthWithUnit('2 thou', 'low')).toBeCloseTo(0.0508, 9);
    expect(lengthWithUnit('0', 'low')).toBe(0);
    expect(codeOf(() => limitsOf('3 thou', '1 thou', ['low', 'high']))).toBe('bad-field');
    expect(limitsOf('', '', ['low', 'high'])).toBeUndefined();
  });
  test.each([
    [{}, 'taken'],
    [{ low: '' }, 'low'],
    [{ high: '' }, 'high'],
    [{ low: '1' }, 'low'],
    [{ low: '0.06 mm' }, 'high'],
    [{ target: '0.1 mm' }, 'target_mm'],
    [{ softLow: '0.02 mm', softHigh: '0.04 mm' }, 'soft'],
    [{ by: 'rule', ruleLow: '', ruleHigh: '' }, 'ruleLow'],
    [{ by: 'rule', ruleLow: '0.00075', ruleHigh: '0.001', floor: '0.025 mm' }, 'taken'],
    [{ by: 'page' }, 'taken'],
    [{ by: 'nothing' }, 'taken'],
    [{ packetLow: '1 thou' }, 'packetHigh'],
  ] as const)('%j: %s', (part, field) => expect(fieldOf(part as Partial<FitFields>)).toBe(field));
  test('a page with one figure gives a target, not limits', () => {
    const leaf = shop.book.findLeaf('demo-n-mains-play');
    expect(leaf && fieldOf({ by: 'page' }, { ...leaf, max_mm: leaf.min_mm })).toBe('leafId');
    expect(fieldOf({ by: 'page' }, shop.book.findLeaf('demo-n-heads'))).toBe('leafId');
  });
  test('the list fitted to an engine takes house practice and finds the caps', () => {
    const joints = shop.joints.ofEngine('demo-norrhem');
    const make = { engineId: 'demo-norrhem', cylinders: 4, mains: 3, rings: 3, valves: 8 };
    const [mains, rings] = listedFits(
      { ...make, kinds: ['main-clearance', 'ring-gap'] },
      { ...USUAL_PRACTICE, oilClearance: 'both' },
      joints,
    );
    expect([mains?.methods, mains?.places, mains?.jointId, mains?.holds]).toEqual([
      ['micrometer', 'strip'],
      ['1', '2', '3'],
      'demo-n-joint-mains',
      ['demo-n-joint-mains'],
    ]);
    expect([rings?.methods, rings?.places.length, rings?.jointId]).toEqual([['length'], 12, null]);
    for (const kind of FIT_KINDS) expect(methodsBy(kind, USUAL_PRACTICE).length).toBeGreaterThan(0);
  });
  test('a fit of one’s own: its places by name, none twice', () => {
    const own = { engineId: 'e', kind: 'own-pair', name: 'Pump', places: 'front, rear', stations: 1, angles: 2 };
    expect(ownFit(own, USUAL_PRACTICE, []).places).toEqual(['front', 'rear']);
    expect(codeOf(() => ownFit({ ...own, places: 'a, a' }, USUAL_PRACTICE, []))).toBe('bad-field');
  });
});

const kindNamed = (id: string) => {
  const kind = fitKind(id);
  if (!kind) throw new Error(`no kind ${id}`);
  return kind;
};

describe('how a reading is taken', () => {
  test.each([
    ['spring-height', true, 'in', 'Caliper'],
    ['stud-height', false, 'mm', 'Depth gauge'],
    ['ring-gap', true, 'thou', 'Feelers'],
    ['stud-hole', true, 'in', 'Caliper'],
    ['runout', false, 'mm', 'Dial'],
  ] as const)('%s, where nothing has been read yet', (id, inch, unit, instrument) =>
    expect(startSession(kindNamed(id), [], inch)).toMatchObject({ unit, instrument }),
  );
  test('as the last one was; a strip says nothing of the micrometer', () => {
    const shop = yardShop();
    const session = startSession(kindNamed('own-pair'), shop.fits.lines('demo-f-fit-rods'), true);
    expect([session.unit, session.instrument, session.outerInstrument, session.by]).toEqual([
      'in',
      'Micrometer 1 to 2',
      'Bore gauge',
      'Ruth',
    ]);
    expect(startSession(kindNamed('own-pair'), [], true).unit).toBe('in');
    expect(startSession(kindNamed('crank-float'), [], false)).toMatchObject({
      unit: 'mm',
      resolution_mm: 0.01,
      instrument: 'Dial',
    });
  });
  test('more or less than a standard; a strip in its packet’s unit; a dial never from a standard', () => {
    const session = {
      ...startSession(kindNamed('own-pair'), [], false),
      standard: '50 mm',
      part_C: '18,5',
      by: ' Ruth ',
    };
    expect(valueOf('+0.012', 'journal', session)).toBeCloseTo(50.012, 9);
    expect(valueOf('2', 'strip', session, 'thou')).toBeCloseTo(0.0508, 9);
    expect(valueOf('-0.5', 'push', session)).toBe(-0.5);
    expect(bodyOf(session, 'journal', 'bolt M8')).toMatchObject({
      standard_mm: 50,
      part_C: 18.5,
      by: 'Ruth',
      bolts: 'bolt M8',
      instrument: 'Micrometer',
    });
    expect(bodyOf(session, 'strip', undefined, 'thou')).toMatchObject({ unit: 'thou', instrument: 'Crushed strip' });
    expect(bodyOf(session, 'bore', undefined)).toMatchObject({ instrument: 'Bore gauge' });
  });
});

describe('readings as a table', () => {
  const shop = yardShop();
  const out = (id: string) => readingsCsv(shop.fits.ofEngine(id), shop.fits.linesOfEngine(id));
  test('what goes out comes in again, figure for figure', () => {
    for (const id of ['demo-fourteen', 'demo-maestrale', 'demo-norrhem']) {
      const rows = readReadings(out(id), shop.fits.ofEngine(id));
      expect(rows.filter(({ reason }) => reason !== undefined)).toEqual([]);
      const kept = [...shop.fits.linesOfEngine(id).values()]
        .flat()
        .flatMap((line) => (line.kind === 'reading' ? [line.value_mm] : []));
      expect(rows.map(({ value_mm }) => Number(value_mm?.toFixed(9))).sort()).toEqual(
        kept.map((value) => Number(value.toFixed(9))).sort(),
      );
    }
  });
  test.each([
    ['2026-03-01T10:15:00.000Z', '2026-03-01T10:15:00.000Z'],
    ['2026-03-01', '2026-03-01T00:00:00.000Z'],
    ['10:15', undefined],
    ['yesterday', undefined],
    ['2026-99-01', undefined],
    ['', undefined],
  ])('read at %j: %j', (said, at) => {
    const [row] = readReadings(
      `Fit,Place,Part,Station,Angle,Typed,Unit,At\nPiston to bore,1,journal,1,1,60,mm,${said}`,
      shop.fits.ofEngine('demo-norrhem'),
    );
    expect(row?.reading?.at).toBe(at);
  });
  test('what went out from here is in the record already, and is not entered twice', () => {
    const id = 'demo-maestrale';
    const lines = shop.fits.linesOfEngine(id);
    const rows = readReadings(out(id), shop.fits.ofEngine(id), lines);
    expect(rows.length).toBeGreaterThan(10);
    expect(
      rows.every(({ reason, reading: entered }) => reason === 'It is in the record already.' && entered === undefined),
    ).toBe(true);
    const altered = out(id).replace(/0\.210(?=,mm)/, '0.220');
    expect(readReadings(altered, shop.fits.ofEngine(id), lines).filter(({ reading: entered }) => entered)).toHaveLength(
      1,
    );
  });
  const HEAD = 'Fit,Place,Part,Station,Angle,Typed,Unit';
  test.each([
    ['Nothing,1,journal,1,1,60,mm', /No fit here/],
    ['Piston to bore,9,journal,1,1,60,mm', /no place/],
    ['Piston to bore,1,pin,1,1,60,mm', /no part of a reading/],
    ['Piston to bore,1,journal,1,1,60,', /has no unit/],
    ['Piston to bore,1,journal,1,1,60,yd', /not a unit/],
    ['Piston to bore,1,journal,7,1,60,mm', /no such reading/],
    ['Piston to bore,1,journal,1,1,wide,mm', /No figure/],
  ])('%s is kept aside', (row, reason) =>
    expect(readReadings(`${HEAD}\n${row}`, shop.fits.ofEngine('demo-norrhem'))[0]?.reason).toMatch(reason),
  );
  test('a table of headings alone is refused', () => expect(codeOf(() => readReadings(HEAD, []))).toBe('bad-csv'));
});

describe('sheets of the whole engine', () => {
  const refusal = (kind: keyof typeof MEASURE_SCHEMAS, body: object) =>
    MEASURE_SCHEMAS[kind].validate(body).error?.message;
  test('the yard’s are taken', () => {
    for (const [kind, body] of Object.entries(fourteenSheets))
      expect(refusal(kind as keyof typeof MEASURE_SCHEMAS, body as object)).toBeUndefined();
  });
  test('mismatched shells and marks are refused with a sentence', () => {
    const bearings = fourteenSheets.bearings ?? { shells: [] };
    expect(refusal('bearings', { ...bearings, shells: [{ upper: '010', lower: '020' }] })).toMatch(
      /Bearing 1 has shells that do not match/,
    );
    expect(refusal('marks', { pairs: [{ place: 'Rod 3', one: '3', other: '2' }] })).toMatch(
      /Rod 3 does not belong together/,
    );
    expect(refusal('volumes', { bore_mm: 0 })).toBeDefined();
  });
  test('rods and pistons are weighed apart: of each name the last holds, the earlier stay beneath', () => {
    const shop = yardShop();
    const keep = (kind: 'weights' | 'bearings', name: string, at: string) => {
      const body = { ...fourteenSheets[kind], name } as never;
      shop.measures.add({ id: `${kind} ${name} ${at}`, engineId: 'demo-norrhem', kind, body, at });
    };
    keep('weights', 'Connecting rods', '2026-05-01T08:00:00.000Z');
    keep('weights', 'Pistons', '2026-05-02T08:00:00.000Z');
    keep('bearings', 'Big ends', '2026-05-02T08:00:00.000Z');
    keep('weights', 'connecting rods', '2026-05-03T08:00:00.000Z');
    expect(shop.measures.holding('demo-norrhem', 'weights').map(({ at }) => at.slice(0, 10))).toEqual([
      '2026-05-03',
      '2026-05-02',
    ]);
    expect(shop.measures.holding('demo-norrhem', 'bearings')).toHaveLength(1);
    expect(shop.measures.all('demo-norrhem')).toHaveLength(4);
  });
  test('bearings without a name are the mains', () =>
    expect(MEASURE_SCHEMAS.bearings.validate({ ...fourteenSheets.bearings, name: undefined }).value).toMatchObject({
      name: 'Main bearings',
    }));
  test('every kind of line has a schema of its own', () => expect(Object.keys(LINE_SCHEMAS)).toHaveLength(10));
});

describe('the band of a fit', () => {
  const hard = { min_mm: 0.03, max_mm: 0.06 };
  test('limits stand at the same place whatever they are', () => {
    for (const limits of [hard, { min_mm: 1, max_mm: 9 }, { min_mm: 0.02, max_mm: 0.02 }]) {
      const shape = bandShape({ least_mm: limits.min_mm, greatest_mm: limits.max_mm, doubt_mm: 0, hard: limits });
      expect([shape.low, shape.high, shape.least]).toEqual([0.28, 0.72, 0.28]);
    }
  });
  test('what runs off an end is drawn at it, with an arrow', () => {
    const shape = bandShape({ least_mm: 0.3, greatest_mm: 0.4, doubt_mm: 0.01, hard, target_mm: 0.04, soft: hard });
    expect([shape.least, shape.greatest, shape.offRight, shape.offLeft, shape.soft]).toEqual([
      1,
      1,
      true,
      false,
      [0.28, 0.72],
    ]);
  });
});

test('every fit of the yard is of a kind that is known', () => {
  const shop = yardShop();
  for (const engine of shop.engines.all())
    for (const { fit } of fitsOfEngine(shop, engine.id)) expect(fitKind(fit.kind)?.id).toBe(fit.kind);
});
