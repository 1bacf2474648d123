import { describe, expect, test } from '@jest/globals';
import { SHELF_FILMS } from '@/core/film';
import { PLAIN_SOURCE } from '@/model/book/source';
import type { BoltReading, BoltSet } from '@/model/bolt/bolt-set';
import type { TrialPullRow } from '@/model/trial/film-trial';
import { YARD_NOW, freshTightening, stateNamed, yardShop } from './temporary-shop';

const shop = yardShop();

describe('readings of bolts', () => {
  const set: BoltSet = {
    id: 'set-1',
    jointId: 'demo-m-joint-rods',
    kind: '',
    name: 'Second set',
    bolts: 2,
    segments: [{ length_mm: 40, diameter_mm: 8 }],
    E_GPa: 205,
    minStretch_mm: 0.1,
    maxStretch_mm: 0.12,
    ceiling_Nm: 30,
    maxSet_mm: 0.01,
    bothEnds: false,
    createdAt: YARD_NOW,
  };
  const reading: BoltReading = {
    id: 'r-1',
    setId: 'set-1',
    bolt: 1,
    kind: 'free',
    length_mm: 58.01,
    typed: '2.28386',
    torque_Nm: null,
    strikes: null,
    at: YARD_NOW,
  };
  test('come back as they went in, in the order in which they were made', () => {
    shop.bolts.add(set);
    expect(shop.bolts.find('set-1')).toEqual(set);
    expect(shop.bolts.ofJoint('demo-m-joint-rods').map((one) => one.id)).toContain('set-1');
    const second = { ...reading, id: 'r-2', kind: 'tight' as const, torque_Nm: 28 };
    for (const one of [reading, second]) shop.bolts.read(one);
    expect(shop.bolts.readings('set-1')).toEqual([reading, second]);
  });
  test('the same reading sent twice is one', () => {
    shop.bolts.read(reading);
    expect(shop.bolts.readings('set-1')).toHaveLength(2);
  });
  test.each(['bolt_reading', 'trial_pull', 'bench_event', 'heat_event'])('%s is only ever added to', (table) => {
    expect(() => shop.db.prepare(`UPDATE ${table} SET at = '2000-01-01'`).run()).toThrow(/never altered/);
    expect(() => shop.db.prepare(`DELETE FROM ${table}`).run()).toThrow(/never removed/);
  });
  test('a reading without its set is refused', () => {
    expect(() => shop.bolts.read({ ...reading, id: 'r-9', setId: 'none' })).toThrow(/FOREIGN KEY/);
  });
});

describe('pulls of a trial', () => {
  const trialId = 'demo-trial-three-films';
  const pull: TrialPullRow = {
    id: 'p-1',
    trialId,
    bolt: '9',
    film: 'wax-ptfe',
    torque_Nm: 50,
    stretch_mm: 0.16,
    typed: '6.3 thou',
    at: YARD_NOW,
  };
  test('a struck one and the line that strikes it stand no more; both stay in the file', () => {
    const before = shop.trials.pulls(trialId);
    const lines = () => (shop.db.prepare('SELECT COUNT(*) AS n FROM trial_pull').get() as { n: number }).n;
    const written = lines();
    shop.trials.pull(pull);
    expect(shop.trials.pulls(trialId).at(-1)).toEqual(pull);
    shop.trials.strike('p-2', pull, YARD_NOW);
    expect(shop.trials.pulls(trialId)).toEqual(before);
    expect(lines()).toBe(written + 2);
  });
});

describe('the shelves', () => {
  test('each kind keeps to itself; putting a row again changes it, taking it off leaves the others', () => {
    const [film] = SHELF_FILMS;
    if (!film) throw new Error('no films');
    const ours = { ...film, id: 'ours', provenance: 'own' as const };
    expect(shop.shelf.put('film', ours, 0, YARD_NOW)).toBe(true);
    expect(shop.shelf.put('film', ours, 0, YARD_NOW)).toBe(false);
    expect(shop.shelf.put('film', { ...ours, name: 'Ours, again' }, 1, YARD_NOW)).toBe(true);
    expect(shop.shelf.own('film').map(({ row, version }) => [row.name, version])).toEqual([['Ours, again', 2]]);
    expect(shop.shelf.own('grade')).toEqual([]);
    expect(shop.shelf.remove('grade', 'ours', 2)).toBe(false);
    expect(shop.shelf.own('film')).toHaveLength(1);
    expect(shop.shelf.remove('film', 'ours', 1)).toBe(false);
    expect(shop.shelf.remove('film', 'ours', 2)).toBe(true);
    expect(shop.shelf.own('film')).toEqual([]);
  });
  test('a wrench keeps its check', () => {
    const wrench = shop.wrenches.find('demo-wrench-ft');
    if (!wrench) throw new Error('no wrench');
    const checked = { ...wrench, calibration: [{ set: 30, true: 29 }], checkedAt: YARD_NOW };
    expect(shop.wrenches.alter(checked)).toBe(true);
    expect(shop.wrenches.find('demo-wrench-ft')).toEqual({ ...checked, version: 2 });
    expect(shop.wrenches.alter(wrench)).toBe(false);
    expect(shop.wrenches.find('demo-wrench-ft')).toEqual({ ...checked, version: 2 });
    expect(shop.wrenches.alter({ ...wrench, version: 2 })).toBe(true);
  });
});

describe('the book', () => {
  test('a source keeps the engines it speaks of, and what it puts out of force', () => {
    const source = {
      ...PLAIN_SOURCE,
      id: 's-1',
      title: 'Leaf 30',
      edition: '',
      year: 1939,
      kind: 'bulletin' as const,
      rank: 2,
      fromYear: 1937,
      toNumber: 'TW 14/9',
      supersedesId: 'demo-fourteen-service',
      version: 1,
      createdAt: YARD_NOW,
    };
    shop.book.addSource('demo-fourteen', source);
    expect(shop.book.findSource('s-1')).toEqual(source);
    shop.book.alterSource({ ...source, title: 'Leaf 31', supersedesId: null });
    expect(shop.book.findSource('s-1')).toEqual({ ...source, title: 'Leaf 31', supersedesId: null, version: 2 });
    expect(() => shop.book.alterSource({ ...source, version: 2, supersedesId: 'nothing' })).toThrow(/FOREIGN KEY/);
  });
  test('a photograph comes back byte for byte', () => {
    const whole = Buffer.from([0, 1, 2, 255]);
    shop.book.addPhoto({
      id: 'ph-1',
      leafId: 'demo-f-head-38',
      name: 'p.jpg',
      type: 'image/jpeg',
      whole,
      thumbnail: Buffer.from([9]),
      createdAt: YARD_NOW,
    });
    expect(shop.book.photoIds('demo-fourteen')).toEqual(new Map([['demo-f-head-38', ['ph-1']]]));
    expect(shop.book.photo('ph-1')?.whole.equals(whole)).toBe(true);
    expect(shop.book.photo('none')).toBeUndefined();
  });
  test('a leaf itself is never altered', () => {
    expect(() => shop.db.prepare("UPDATE leaf SET printed_text = '1 Nm'").run()).toThrow(/never altered/);
  });
});

test('going-rounds follow one another as they were begun, whatever the clock said', () => {
  const own = yardShop();
  const first = freshTightening(own, 'round-first');
  own.tightenings.start({ ...first, id: 'round-later', startedAt: '2020-01-01T00:00:00.000Z' });
  const ids = (rows: readonly { readonly id: string }[]) =>
    rows.map(({ id }) => id).filter((id) => id.startsWith('round-'));
  const wanted = ['round-first', 'round-later'];
  expect(ids(own.tightenings.ofJoint(first.jointId))).toEqual(wanted);
  expect(ids(own.tightenings.ofEngine('demo-norrhem'))).toEqual(wanted);
  expect(ids(own.tightenings.rounds('demo-norrhem'))).toEqual(wanted);
  const state = stateNamed(own, 'demo-norrhem').joints.find(({ joint }) => joint.id === first.jointId);
  expect(state?.final?.tightening.id).toBe('round-later');
});

describe('the lines of an engine, read all at once', () => {
  // As a shop of its own: no line may be altered, and these stand in no order that a bench would take.
  const own = yardShop();
  const insert = own.db.prepare(
    `INSERT INTO bench_event (id, tightening_id, kind, step, position, torque_nm, outcome, strikes_id, at, recorded_at,
       words, read_nm, turned_deg, broke_nm, instrument, reading_id, who)
     VALUES (@id, 'demo-m-joint-head-round-1', @kind, @step, NULL, NULL, @outcome, @strikes, @at, @at,
       @words, @read, @turned, @broke, @instrument, @reading, @who)`,
  );
  const nothing = { step: 0, outcome: null, strikes: null, words: null, read: null, turned: null, broke: null };
  const line = { ...nothing, instrument: null, reading: null, who: '', at: YARD_NOW };
  const awkward = 'a “quote", a \\ and\na line, é, 🔧, \u2028';
  test.each([
    ['a pull', 'step outcome kind', { kind: 'pull', outcome: 'pulled' }],
    [
      'one with all that is read',
      'who step outcome read_Nm turned_deg broke_Nm instrument readingId kind words',
      {
        kind: 'pull',
        outcome: 'went-over',
        read: 1 / 3,
        turned: 0.1 + 0.2,
        broke: 5,
        instrument: 'ʺ½',
        reading: 'r-1',
        who: 'IH',
        words: awkward,
      },
    ],
    [
      'one gone over again, whose words are not its own',
      'step outcome read_Nm kind',
      { kind: 'again', outcome: 'did-not-move', words: awkward, read: 41.2 },
    ],
    ['the shaft', 'kind step', { kind: 'shaft' }],
    ['the shaft with words', 'kind step words', { kind: 'shaft', words: awkward }],
    ['a skip', 'who kind step words', { kind: 'skip', words: awkward, who: 'é' }],
    ['one struck', 'kind strikes', { kind: 'strike', step: null, strikes: 'a pull' }],
  ])('%s comes as it was written, by its round and by its engine', (name, fields, of) => {
    const row = { ...line, id: name, ...of };
    insert.run(row);
    const byRound = own.tightenings.events('demo-m-joint-head-round-1');
    // To the last bit, and in the order in which files are compared letter by letter.
    const said: Readonly<Record<string, unknown>> = {
      ...{ id: name, at: row.at, recordedAt: row.at, who: row.who, kind: row.kind, step: row.step },
      ...{ outcome: row.outcome, read_Nm: row.read, turned_deg: row.turned, broke_Nm: row.broke },
      ...{ instrument: row.instrument, readingId: row.reading, words: row.words, strikes: row.strikes },
    };
    const entries = ['id', 'at', 'recordedAt', ...fields.split(' ')].map((field) => [field, said[field]]);
    expect(JSON.stringify(byRound.at(-1))).toBe(JSON.stringify(Object.fromEntries(entries)));
    const all = own.tightenings.eventsOfEngine('demo-maestrale').get('demo-m-joint-head-round-1');
    expect(JSON.stringify(all)).toBe(JSON.stringify(byRound));
    // In the order in which they were written, whatever their hours say.
    const written = own.db.prepare<[], string>(
      "SELECT id FROM bench_event WHERE tightening_id = 'demo-m-joint-head-round-1' ORDER BY seq",
    );
    expect(byRound.map(({ id }) => id)).toEqual(written.pluck().all());
  });
  test('of an engine without a line there are none', () =>
    expect(own.tightenings.eventsOfEngine('no-such-engine').size).toBe(0));
});

describe('the lines of fits, read all at once', () => {
  const own = yardShop();
  const fit = 'demo-n-fit-mains';
  const insert = own.db.prepare(
    `INSERT INTO fit_line (id, fit_id, kind, place, part, station, angle, value_mm, typed, body, strikes_id, at, recorded_at, who)
     VALUES (@id, @fit, @kind, @place, @part, @station, @angle, @value, @typed, @body, @strikes, @at, @at, @who)`,
  );
  const nothing = { part: null, station: null, angle: null, value: null, typed: null, strikes: null, who: '', fit };
  const awkward = 'a “quote", a \\ and\na line, é, 🔧, \u2028';
  const body = JSON.stringify({ unit: 'mm', instrument: awkward, answers: { 'sized here': 'yes' } });
  const cell = { kind: 'reading', place: 2, part: 'bore', station: 1, angle: 0 };
  test.each([
    ['a reading', { ...cell, value: 0.1 + 0.2, typed: '0.3' }],
    ['one of a size that has no end, by somebody', { ...cell, value: 1 / 3, typed: awkward, who: 'é' }],
    ['one of nothing', { ...cell, value: 0, typed: '' }],
    ['a remedy of no place', { kind: 'remedy', place: null }],
    ['one struck', { kind: 'strike', place: 2, strikes: 'a reading' }],
    [
      'one struck by somebody, long before',
      { kind: 'strike', place: 0, strikes: 'a reading', who: 'IH', at: '2001-01-01' },
    ],
  ])('%s comes as it was written, by its fit and by its engine', (id, of) => {
    const row = { ...nothing, at: YARD_NOW, body, id, ...of };
    insert.run(row);
    const byFit = own.fits.lines(fit);
    const { value, typed, part, station, angle, strikes, who } = row;
    const said = {
      ...{ id, kind: row.kind, place: row.place, at: row.at, recordedAt: row.at, ...(who && { who }) },
      body: JSON.parse(body) as unknown,
      ...(row.kind === 'strike' && { strikes }),
      ...(row.kind === 'reading' && { part, station, angle, value_mm: value, typed }),
    };
    // To the last bit, and in the order in which files are compared letter by letter.
    expect(JSON.stringify(byFit.at(-1))).toBe(JSON.stringify(said));
    const all = own.fits.linesOfEngine('demo-norrhem');
    expect(JSON.stringify(all.get(fit))).toBe(JSON.stringify(byFit));
    // In the order in which they were written, whatever their hours say, of every fit.
    for (const [fitId, lines] of all) {
      const written = own.db.prepare<[string], string>('SELECT id FROM fit_line WHERE fit_id = ? ORDER BY seq').pluck();
      expect(lines.map((line) => line.id)).toEqual(written.all(fitId));
    }
  });
  test('of an engine without a line there are none', () =>
    expect(own.fits.linesOfEngine('no-such-engine').size).toBe(0));
});
