import { beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Shop } from '@/db/shop';
import { addSourceAction } from '@/features/book/actions';
import { alterEngineAction } from '@/features/engine/actions';
import { alterFitAction, fitShimAction, keepDrawerAction, putShimAction } from '@/features/fits/actions';
import { alterJointAction, chooseLeafAction } from '@/features/joint/actions';
import { keepMeasureAction } from '@/features/measures/actions';
import {
  keepPracticeAction,
  keepShelfRowAction,
  keepWrenchAction,
  removeShelfRowAction,
} from '@/features/shelves/actions';
import type { Result } from '@/model/result';
import { accepted, everything, ownShop, refused, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const HEAD = 'demo-f-joint-head';
const head = () => there(shop.joints.find(HEAD));
const film = () => there(shop.shelf.own('film')[0]);

interface Writer {
  readonly what: string;
  /** What is read before anything is written: both windows were opened on it. */
  readonly read: () => { readonly version: number } & Record<string, unknown>;
  readonly write: (read: ReturnType<Writer['read']>, value: string) => Promise<Result<unknown>>;
  readonly now: () => unknown;
}

const fitFields = (shopOf: Shop) => {
  const fit = there(shopOf.fits.find('demo-m-fit-cam'));
  return {
    id: fit.id,
    methods: fit.methods,
    stations: fit.stations,
    angles: fit.angles,
    jointId: fit.jointId,
    holds: fit.holds,
    by: 'own',
    leafId: null,
    low: '0.1 mm',
    high: '0.2 mm',
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
    outerMetal: 'steel',
  };
};

const WRITERS: readonly Writer[] = [
  {
    what: 'a joint',
    read: () => ({ version: head().version }),
    write: ({ version }, name) => alterJointAction({ id: HEAD, version, change: { name }, detail: {} }),
    now: () => head().name,
  },
  {
    what: 'an engine',
    read: () => ({ ...there(shop.engines.find('demo-norrhem')) }),
    write: (read, name) => alterEngineAction({ ...read, name }),
    now: () => shop.engines.find('demo-norrhem')?.name,
  },
  {
    what: 'a source',
    read: () => ({ ...there(shop.book.findSource('demo-fourteen-service')), engineId: 'demo-fourteen' }),
    write: (read, title) => addSourceAction({ ...read, title }),
    now: () => shop.book.findSource('demo-fourteen-service')?.title,
  },
  {
    what: 'a wrench',
    read: () => ({ ...there(shop.wrenches.find('demo-wrench-nm')), calibration: '', checkedAt: null }),
    write: (read, name) => keepWrenchAction({ ...read, name }),
    now: () => shop.wrenches.find('demo-wrench-nm')?.name,
  },
  {
    what: 'a fit',
    read: () => ({ version: there(shop.fits.find('demo-m-fit-cam')).version, ...fitFields(shop) }),
    write: (read, name) => alterFitAction({ ...read, name }),
    now: () => shop.fits.find('demo-m-fit-cam')?.name,
  },
  {
    what: 'a drawer of shims, as a fit has it',
    read: () => ({ version: there(shop.fits.find('demo-m-fit-cam')).version }),
    write: ({ version }, family) =>
      keepDrawerAction({
        fitId: 'demo-m-fit-cam',
        version,
        family,
        fitted: '',
        crushLow: '',
        crushHigh: '',
        stack: 1,
      }),
    now: () => shop.fits.find('demo-m-fit-cam')?.detail.shim?.family,
  },
  {
    what: 'an answer of house practice',
    read: () => ({ version: shop.settings.get('house-practice')?.version ?? 0 }),
    write: ({ version }, value) =>
      keepPracticeAction({ engineId: null, version, change: { range: value === 'first' ? 'low' : 'top' } }),
    now: () => (shop.settings.get('house-practice')?.value.includes('"range":"low"') ? 'first' : 'second'),
  },
  {
    what: 'where an engine differs from it',
    read: () => ({ version: there(shop.engines.find('demo-norrhem')).version }),
    write: ({ version }, value) =>
      keepPracticeAction({ engineId: 'demo-norrhem', version, change: { range: value === 'first' ? 'low' : 'top' } }),
    now: () => (shop.engines.find('demo-norrhem')?.practice.range === 'low' ? 'first' : 'second'),
  },
];

describe('two windows on one row', () => {
  test.each(WRITERS)(
    '$what: the second, opened before, is refused with both values, and nothing is lost',
    async (w) => {
      const [one, other] = [w.read(), w.read()];
      await accepted(w.write(one, 'first'));
      const kept = everything(shop);
      const problem = await refused(w.write(other, 'second'));
      expect(problem.code).toBe('stale');
      expect(problem.message).toMatch(/^.* was changed in another window or on another device since/s);
      const [difference] = problem.stale?.differences ?? [];
      expect(difference).toBeDefined();
      expect(difference?.onDisk).not.toBe(difference?.sent);
      expect(everything(shop)).toBe(kept);
      expect(w.now()).toBe('first');
      // A person has seen both and says so: then it goes over it.
      await accepted(w.write({ ...other, version: problem.stale?.version ?? -1 }, 'second'));
      expect(w.now()).toBe('second');
    },
  );
  test('the lubricant that one window set is not put back by the range that another sets', async () => {
    const { version } = head();
    await accepted(alterJointAction({ id: HEAD, version, change: { todayFilm: 'moly-paste' }, detail: {} }));
    const problem = await refused(alterJointAction({ id: HEAD, version, change: { rangeSchool: 'top' }, detail: {} }));
    expect(problem.stale?.current).toMatchObject({ todayFilm: 'moly-paste', rangeSchool: 'middle' });
    expect([head().todayFilm, head().rangeSchool]).toEqual(['moly-paste', 'middle']);
  });
  test('what is changed goes alone: the rest of the joint stays as it is', async () => {
    const before = head();
    await accepted(alterJointAction({ id: HEAD, version: 1, change: {}, detail: { headFilm: 'dry-bare' } }));
    expect(head()).toEqual({ ...before, version: 2, detail: { ...before.detail, headFilm: 'dry-bare' } });
  });
  test('a shelf: a row put over another, and one taken off, name what was seen', async () => {
    const row = { id: 'engine-oil', name: 'Ours', provenance: 'own', source: 'here', ...OIL };
    await accepted(keepShelfRowAction({ kind: 'film', row, version: 0 }));
    expect(
      (await refused(keepShelfRowAction({ kind: 'film', row: { ...row, name: 'Theirs' }, version: 0 }))).code,
    ).toBe('stale');
    await accepted(keepShelfRowAction({ kind: 'film', row: { ...row, name: 'Again' }, version: 1 }));
    expect((await refused(removeShelfRowAction({ kind: 'film', id: 'engine-oil', version: 1 }))).code).toBe('stale');
    expect(film().row.name).toBe('Again');
    await accepted(removeShelfRowAction({ kind: 'film', id: 'engine-oil', version: 2 }));
    expect(shop.shelf.own('film')).toEqual([]);
  });
  test('shims counted anew elsewhere are not counted back', async () => {
    const [shim] = shop.shims.inFamily('Camshaft shims');
    const { id, typed } = there(shim);
    const put = (count: number, version: number) =>
      putShimAction({ family: 'Camshaft shims', typed, count, seen: { [id]: version } });
    await accepted(put(5, 1));
    expect((await refused(put(2, 1))).stale?.differences).toEqual([{ field: 'How many', onDisk: '5', sent: '2' }]);
    expect((await refused(putShimAction({ family: 'Camshaft shims', typed, count: 2 }))).code).toBe('stale');
    await accepted(put(2, 2));
    expect(shop.shims.inFamily('Camshaft shims')[0]?.count).toBe(2);
  });
  test('a measure of the engine kept elsewhere is not passed over', async () => {
    const body = { bore_mm: 60, stroke_mm: 80, cylinders: 4, overbore_mm: 0 };
    const keep = (bore_mm: number, basedOn: string | null) =>
      keepMeasureAction({ engineId: 'demo-norrhem', kind: 'volumes', body: { ...body, bore_mm }, basedOn });
    const first = await accepted(keep(60, null));
    const { message, stale } = await refused(keep(61, null));
    expect(message).toContain('bore_mm: on disk “60”, here “61”');
    expect(stale).toMatchObject({ differences: [{ onDisk: '60', sent: '61' }], current: { id: first.id } });
    await accepted(keep(61, first.id));
    expect(shop.measures.latest('demo-norrhem', 'volumes')?.body.bore_mm).toBe(61);
  });
  test('shims are fitted, and an entry taken, on the fit and the joint that were seen', async () => {
    const { version } = there(shop.fits.find('demo-m-fit-cam'));
    await accepted(fitShimAction({ fitId: 'demo-m-fit-cam', version, place: 0, choice_mm: [0.35] }));
    expect((await refused(fitShimAction({ fitId: 'demo-m-fit-cam', version, place: 0, choice_mm: [0.3] }))).code).toBe(
      'stale',
    );
    await accepted(alterJointAction({ id: HEAD, version: 1, change: { name: 'Head' }, detail: {} }));
    const choice = { jointId: HEAD, leafId: 'demo-f-head-36', reason: 'the older page' };
    expect((await refused(chooseLeafAction({ ...choice, version: 1 }))).code).toBe('stale');
    await accepted(chooseLeafAction({ ...choice, version: 2 }));
    expect(head()).toMatchObject({ leafId: 'demo-f-head-36', detail: { leafReason: 'the older page' } });
  });
});

const OIL = { thread: { low: 0.1, middle: 0.13, high: 0.16 }, head: { low: 0.1, middle: 0.13, high: 0.16 } };

test('whatever two windows do and when they look, what is accepted is there, and what is refused changes nothing', async () => {
  const change = fc.constantFrom(
    { todayFilm: 'moly-paste' },
    { todayFilm: 'engine-oil' },
    { rangeSchool: 'top' },
    { rangeSchool: 'low' },
    { name: 'Head' },
  );
  const act = fc.record({ window: fc.constantFrom('a', 'b'), looks: fc.boolean(), change });
  await fc.assert(
    fc.asyncProperty(fc.array(act, { maxLength: 10 }), async (acts) => {
      shop = ownShop();
      const seen = { a: head().version, b: head().version };
      let should = head();
      for (const { window, looks, change: part } of acts) {
        const side = window;
        if (looks) seen[side] = head().version;
        const outcome = await alterJointAction({ id: HEAD, version: seen[side], change: part, detail: {} });
        expect(outcome.ok).toBe(seen[side] === should.version);
        if (outcome.ok) {
          seen[side] = outcome.result.joint.version;
          should = { ...should, ...(part as object), version: head().version };
        }
        expect(head()).toMatchObject({
          todayFilm: should.todayFilm,
          rangeSchool: should.rangeSchool,
          name: should.name,
        });
      }
    }),
    { numRuns: 15 },
  );
});
