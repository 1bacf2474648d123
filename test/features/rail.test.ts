import { describe, expect, jest, test } from '@jest/globals';
import { beingWorkedOut, engineSummaries } from '@/db/reads/engine-summaries';
import { openShop, type Shop } from '@/db/shop';
import { recordEvent } from '@/features/bench/record-event';
import { dueLines } from '@/features/engine/due';
import { engineTags, onStands } from '@/features/engine/queries';
import { waitLine } from '@/features/engine/wait-line';
import { BEING_WORKED_OUT, UNREADABLE } from '@/model/engine/engine-summary';
import { waitsOf } from '@/model/engine/engine-wait';
import { recordLine } from '@/features/fits/record-line';
import { edition } from '@/server/edition';
import { keptRows } from '@/server/kept-rows';
import { workOutRest } from '@/server/work-out-rest';
import { freshTightening, rowsNamed, stateNamed, YARD_NOW, yardShop } from '../db/temporary-shop';

const AT = '2026-05-16T14:30:00.000Z';
const stamps = (shop: Shop) => new Map(shop.summaries.stamped().map(({ engineId, stamp }) => [engineId, stamp]));
const latest = (shop: Shop) => [...stamps(shop)].sort((a, b) => b[1] - a[1])[0]?.[0];
const told = (shop: Shop, edition: string) =>
  engineTags(onStands(engineSummaries(shop, edition, (id) => rowsNamed(shop, id))), Date.now()).map(
    ({ id, state, waitsFor }) => ({ id, state, waitsFor }),
  );

function kept(shop: Shop, engineId: string) {
  const found = shop.engines.atStamp(engineId);
  if (!found) throw new Error(`no engine ${engineId}`);
  return keptRows(shop, found);
}

/** What the tags must say: every engine worked out from its rows. */
const afresh = (shop: Shop) =>
  shop.engines.all().map((engine) => {
    const wait = waitsOf(stateNamed(shop, engine.id))[0];
    return { id: engine.id, state: wait.state, waitsFor: waitLine(wait, Date.now()) };
  });

const felt = (id: string) => ({ id, kind: 'felt', place: 0, at: AT, body: { words: 'none to be felt' } });

/** A row of every kind that an engine's tag may rest on, and the engine it belongs to. */
const WRITES: readonly (readonly [name: string, engine: string, write: (shop: Shop) => unknown])[] = [
  ['an engine altered', 'demo-fourteen', (shop) => shop.engines.alter(rowsNamed(shop, 'demo-fourteen').engine)],
  ['a line of a fit', 'demo-norrhem', (shop) => recordLine(shop, 'demo-n-fit-float', felt('felt-0001'))],
  [
    'a fit altered',
    'demo-maestrale',
    (shop) => {
      const fit = shop.fits.find('demo-m-fit-cam');
      if (fit) shop.fits.alter({ ...fit, name: 'Cam float' });
    },
  ],
  [
    'a fit added',
    'demo-maestrale',
    (shop) => {
      const fit = shop.fits.find('demo-m-fit-cam');
      if (fit) shop.fits.add({ ...fit, id: 'fit-new' });
    },
  ],
  ['a going-round', 'demo-norrhem', (shop) => freshTightening(shop)],
  [
    'a pull',
    'demo-norrhem',
    (shop) => recordEvent(shop, 'round', { id: 'pull-0001', kind: 'pull', step: 0, outcome: 'pulled', at: AT }),
  ],
  [
    'a run of the engine',
    'demo-maestrale',
    (shop) =>
      shop.heat.addCycle(
        {
          id: 'cycle-0001',
          engineId: 'demo-maestrale',
          ranFrom: '2026-05-16T13:00:00.000Z',
          ranTo: AT,
          highest_C: 80,
          ambient_C: 15,
        },
        AT,
      ),
  ],
  [
    'a joint added',
    'demo-fourteen',
    (shop) => {
      const joint = shop.joints.find('demo-f-joint-head');
      if (joint) shop.joints.add({ ...joint, id: 'joint-new', name: 'Manifold' });
    },
  ],
  [
    'an entry',
    'demo-norrhem',
    (shop) => {
      const leaf = shop.book.findLeaf('demo-n-mains-play');
      if (leaf) shop.book.addLeaf({ ...leaf, id: 'leaf-new' });
    },
  ],
  [
    'a new engine',
    'engine-new',
    (shop) => {
      const engine = shop.engines.find('demo-norrhem');
      if (engine) shop.engines.add({ ...engine, id: 'engine-new', name: 'Another' });
    },
  ],
];

describe('what the engines wait for, kept between pages', () => {
  const shop = yardShop();
  const keptBy = (own: Shop, edition: string) =>
    own.summaries.writtenAfter(0, edition).engines.filter(({ body }) => body !== undefined).length;
  test('is worked out once, and read after that', () => {
    expect(keptBy(shop, 'first')).toBe(0);
    const anew = afresh(shop);
    expect(told(shop, 'first')).toEqual(anew);
    expect(keptBy(shop, 'first')).toBe(3);
    const joints = jest.spyOn(shop.joints, 'ofEngine');
    expect(told(shop, 'first')).toHaveLength(3);
    const again = openShop(shop.file);
    const jointsAgain = jest.spyOn(again.joints, 'ofEngine');
    expect(told(again, 'first')).toEqual(anew);
    expect([joints.mock.calls.length, jointsAgain.mock.calls.length]).toEqual([0, 0]);
    joints.mockRestore();
    again.close();
  });
  test('another edition of the program trusts nothing of it', () => {
    told(shop, 'first');
    expect(keptBy(shop, 'second')).toBe(0);
    expect(told(shop, 'second')).toEqual(afresh(shop));
    expect(keptBy(shop, 'second')).toBe(3);
  });
  test.each(WRITES)('%s makes %s the latest, and leaves the others as they were', (_, engine, write) => {
    const before = stamps(shop);
    told(shop, 'first');
    write(shop);
    const after = stamps(shop);
    expect(latest(shop)).toBe(engine);
    for (const [id, stamp] of before) if (id !== engine) expect(after.get(id)).toBe(stamp);
    expect(told(shop, 'first')).toEqual(afresh(shop));
  });
  test.each(WRITES)('%s of %s is in the rows that are kept between pages', (_, engine, write) => {
    const own = yardShop();
    for (const { id } of own.engines.all()) kept(own, id);
    write(own);
    expect(kept(own, engine)).toEqual(rowsNamed(own, engine));
    expect(kept(own, engine)).toBe(kept(own, engine));
  });
  test('what a transaction took back is not in them', () => {
    const own = yardShop();
    const names = () => kept(own, 'demo-norrhem').joints.map((joint) => joint.name);
    const rename = (to: string) => {
      const joint = own.joints.ofEngine('demo-norrhem')[0];
      if (joint) own.joints.alter({ ...joint, name: to });
    };
    const undone = () =>
      own.transaction(() => {
        rename('Taken back');
        expect(names()).toContain('Taken back');
        throw new Error('undone');
      });
    expect(undone).toThrow('undone');
    rename('Kept');
    expect(names()).toContain('Kept');
  });
  test('more engines than are kept push out the one looked at longest ago', () => {
    const own = yardShop();
    const [first] = own.engines.all();
    if (!first) throw new Error('no engine');
    const rows = kept(own, first.id);
    expect(kept(own, first.id)).toBe(rows);
    const add = (n: number) => own.engines.add({ ...first, id: `more-${n}`, name: `More ${n}` });
    for (let n = 0; n < 12; n++) add(n);
    for (let n = 0; n < 12; n++) kept(own, `more-${n}`);
    expect(kept(own, first.id)).not.toBe(rows);
  });
  test('a file that cannot be written still shows its engines', () => {
    const locked = yardShop();
    const keep = jest.spyOn(locked.summaries, 'keep').mockImplementation(() => {
      throw new Error('disk full');
    });
    const warn = jest.spyOn(console, 'warn').mockImplementation(() => undefined);
    expect(told(locked, 'first')).toEqual(afresh(locked));
    expect([keep.mock.calls.length, warn.mock.calls.length]).toEqual([1, 1]);
    warn.mockRestore();
  });
});

describe('a shop of many engines after a new edition', () => {
  const filled = () => {
    const own = yardShop();
    const [first] = own.engines.all();
    if (!first) throw new Error('no engine');
    for (let n = 0; n < 20; n++) own.engines.add({ ...first, id: `more-${n}`, name: `More ${n}` });
    return own;
  };
  const summaries = (own: Shop) => engineSummaries(own, edition(), (id) => rowsNamed(own, id));
  test('shows those worked on last, and says of the others that nothing is known of them', () => {
    const own = filled();
    const first = summaries(own);
    expect([first.length, beingWorkedOut(first)]).toEqual([23, 11]);
    const known = first.filter(({ summary }) => summary !== BEING_WORKED_OUT).map(({ engineId }) => engineId);
    expect(new Set(known)).toEqual(new Set(Array.from({ length: 12 }, (_, n) => `more-${n + 8}`)));
    expect(dueLines(first, [], Date.parse(YARD_NOW))).toEqual([]);
    expect(beingWorkedOut(summaries(own))).toBe(11);
  });
  test('works the others out behind the page, so that all of it is what it would be afresh', async () => {
    const own = filled();
    summaries(own);
    const kept = jest.spyOn(own.summaries, 'writtenAfter');
    const work = workOutRest(own);
    expect(workOutRest(own)).toBe(work);
    await work;
    // At no step is read again what was worked out at the steps before.
    const newest = Math.max(...own.summaries.stamped().map(({ stamp }) => stamp));
    expect(kept.mock.calls.length).toBeGreaterThan(10);
    expect(new Set(kept.mock.calls.map(([stamp]) => stamp))).toEqual(new Set([newest]));
    kept.mockRestore();
    const joints = jest.spyOn(own.joints, 'ofEngine');
    expect(beingWorkedOut(summaries(own))).toBe(0);
    expect(joints).not.toHaveBeenCalled();
    joints.mockRestore();
    expect(told(own, edition())).toEqual(afresh(own));
  });
  test('ends where a file cannot be written, is closed, or an engine cannot be read', async () => {
    const locked = filled();
    jest.spyOn(locked.summaries, 'keep').mockImplementation(() => {
      throw new Error('disk full');
    });
    const warn = jest.spyOn(console, 'warn').mockImplementation(() => undefined);
    const told = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    await workOutRest(locked);
    expect(beingWorkedOut(summaries(locked))).toBe(0);
    const closed = filled();
    closed.close();
    await workOutRest(closed);
    const damaged = filled();
    damaged.db.prepare(`UPDATE joint SET detail = 'x' WHERE engine_id = 'demo-norrhem'`).run();
    await workOutRest(damaged);
    const all = summaries(damaged);
    expect(all.filter(({ summary }) => summary === UNREADABLE).map(({ engineId }) => engineId)).toEqual([
      'demo-norrhem',
    ]);
    expect(beingWorkedOut(all)).toBe(0);
    warn.mockRestore();
    told.mockRestore();
  });
});

describe('the mark of a file', () => {
  test('is the same until something is written, here or by another program', () => {
    const own = yardShop();
    const marks = [own.mark(), own.mark()];
    own.db.prepare('UPDATE engine SET name = name').run();
    marks.push(own.mark());
    const beside = openShop(own.file);
    marks.push(own.mark());
    beside.db.prepare('UPDATE engine SET name = name').run();
    marks.push(own.mark());
    beside.close();
    expect(marks[1]).toBe(marks[0]);
    expect(marks[2]).not.toBe(marks[1]);
    expect(marks[4]).not.toBe(marks[3]);
    own.transaction(() => expect(own.mark()).toBeUndefined());
  });
});

describe('the one line on a tag', () => {
  const shop = yardShop();
  const of = (id: string) => stateNamed(shop, id);
  const fourteen = of('demo-fourteen');
  const yard = of('demo-norrhem');
  // What its order waits for is said of it alone, below.
  const norrhem = { ...yard, order: { ...yard.order, steps: [], aids: [], loose: [], tray: [], trial: undefined } };
  const [mains] = norrhem.fits;
  if (!mains) throw new Error('no fits');
  const withPlace = (part: object, among = norrhem) =>
    waitsOf({ ...among, fits: [{ ...mains, places: [{ ...mains.places[1], state: 'inside', ...part } as never] }] })[0];
  test('the hour is told anew each time, from the same rows', () => {
    const wait = waitsOf(fourteen)[0];
    expect(wait.about).toBeDefined();
    const now = Date.parse(YARD_NOW);
    expect(waitLine(wait, now)).not.toBe(waitLine(wait, now - 4 * 86_400_000));
  });
  test('an empty stand asks for an entry, then for a joint', () => {
    expect(waitsOf({ ...norrhem, leaves: 0 })[0].waitsFor).toBe('a first entry from its book');
    expect(waitsOf({ ...norrhem, joints: [] })[0].waitsFor).toBe('a first joint');
  });
  test('nothing', () =>
    expect(
      waitsOf({
        ...norrhem,
        fits: [],
        joints: norrhem.joints.map(
          (joint) => ({ ...joint, final: { ...fourteen.joints[0]?.final }, retorque: { state: 'done' } }) as never,
        ),
      })[0],
    ).toEqual({ waitsFor: 'nothing', state: 'rest', to: { at: 'joints' } }));
  test.each([
    [
      'a strip before all else',
      { stripIn: true, state: 'loose' },
      'Main bearings, oil clearance: strip in, crank held',
      'ready',
    ],
    ['out of limits', { state: 'tight' }, 'Main bearings, oil clearance: out of limits', 'stop'],
    ['what is on order for it', { state: 'loose', order: 'next shell' }, 'next shell on order', 'waiting'],
    [
      'a reading that a remedy reopened',
      { state: 'open', remedy: 'Polish the journal' },
      'Main bearings, oil clearance: to read again',
      'waiting',
    ],
    ['a stale reading', { state: 'stale' }, 'Main bearings, oil clearance: stale', 'waiting'],
  ])('%s', (_, place, waitsFor, state) => expect(withPlace(place)).toMatchObject({ waitsFor, state }));
  test('what its order waits for: parts on order, aids in, what is loose by hand, work that lies still', () => {
    const quiet = { ...fourteen, joints: fourteen.joints.slice(0, 1) };
    const [aid] = of('demo-maestrale').order.aids;
    const ofOrder = (order: object) => waitsOf({ ...quiet, order: { ...quiet.order, ...order } })[0];
    expect(ofOrder({ aids: [aid] })).toEqual({ waitsFor: 'in: guide studs', state: 'waiting', to: { at: 'order' } });
    expect(ofOrder({ loose: [{ words: 'a tab', key: 'x' }] }).waitsFor).toBe('loose: a tab');
    expect(ofOrder({ tray: yard.order.tray })).toMatchObject({
      waitsFor: 'Main bearings on order',
      to: { at: 'tray' },
    });
    expect(ofOrder({ paused: { at: YARD_NOW, words: '', covered: '' } }).waitsFor).toBe(
      'the work to be taken up again',
    );
    const stale = quiet.order.steps.map((one, i) =>
      i < 2 ? { ...one, state: 'stale', ...(i === 1 && { through: 'x' }) } : one,
    );
    expect(
      waitsOf({ ...quiet, order: { ...quiet.order, steps: stale as never } }).map(({ waitsFor }) => waitsFor),
    ).toEqual([`${quiet.order.steps[0]?.step.name ?? ''}: to be looked at`]);
  });
  test('the joints, where the fits have nothing to say', () => expect(withPlace({}).waitsFor).toMatch(/: to tighten$/));
});
