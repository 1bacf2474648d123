import { beforeEach, describe, expect, test } from '@jest/globals';
import type { Shop } from '@/db/shop';
import { addLeafAction, addSourceAction } from '@/features/book/actions';
import { importTableAction, previewTableAction } from '@/features/book/import-actions';
import { addEngineAction, alterEngineAction, bringBackAction, putAsideAction } from '@/features/engine/actions';
import { openShopAction, resetDemonstrationAction } from '@/features/engine/shop-actions';
import { readBackAction } from '@/features/record/actions';
import { buildFileOf } from '@/features/record/build-file';
import { currentShopName, shopNamed } from '@/server/current-shop';
import { YARD_NOW } from '../db/temporary-shop';
import { drawn } from '../stubs/next-cache';
import { accepted, everything, ownShop, refused, refusedWhole, rowsIn, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const ENGINE = {
  name: 'A new one',
  kind: 'motorcycle',
  year: '1951',
  engineNumber: 'X 1',
  headMetal: 'aluminium',
  blockMetal: 'iron',
  preferredUnit: 'kgf·m',
};

describe('an engine', () => {
  test('is put on a stand with what is known of it', async () => {
    const { href } = await accepted(addEngineAction(ENGINE));
    const engine = there(shop.engines.find(there(href.split('/')[2])));
    expect(engine).toMatchObject({ ...ENGINE, year: 1951, practice: {}, version: 1 });
  });
  test('its year may stay unknown, or be taken away; its practice stays', async () => {
    const before = there(shop.engines.find('demo-norrhem'));
    shop.engines.alter({ ...before, practice: { range: 'low' } });
    await accepted(alterEngineAction({ ...before, version: 2, year: '' }));
    expect(shop.engines.find('demo-norrhem')).toEqual({
      ...before,
      year: null,
      practice: { range: 'low' },
      version: 3,
    });
  });
  test.each([
    [{ name: '' }, 'name'],
    [{ kind: 'boat' }, 'kind'],
    [{ year: '1' }, 'year'],
    [{ year: '1e3' }, 'year'],
    [{ headMetal: 'wood' }, 'headMetal'],
    [{ preferredUnit: 'stone' }, 'preferredUnit'],
    [{ name: 'x'.repeat(81) }, 'name'],
  ])('%j is refused at its field', async (part, field) => {
    expect((await refusedWhole(shop, () => addEngineAction({ ...ENGINE, ...part }))).field).toBe(field);
  });
  test('is put aside for a reason, and brought back as it was', async () => {
    const asideIn = () => shop.summaries.stamped().find(({ engineId }) => engineId === 'demo-norrhem')?.aside;
    const engineId = 'demo-norrhem';
    expect((await refusedWhole(shop, () => putAsideAction({ engineId, reason: ' ' }))).field).toBe('reason');
    expect((await refusedWhole(shop, () => putAsideAction({ engineId: 'none', reason: 'sold' }))).code).toBe(
      'not-found',
    );
    const before = everything(shop).replace(/"stamp":\d+/g, '');
    // Its own pages are no place to be any more.
    expect(await accepted(putAsideAction({ engineId, reason: 'sold' }))).toMatchObject({ href: '/' });
    expect(asideIn()).toMatchObject({ reason: 'sold' });
    // A second reason does not write over the first.
    await accepted(putAsideAction({ engineId, reason: 'lost' }));
    expect(asideIn()?.reason).toBe('sold');
    expect(await accepted(bringBackAction({ engineId }))).toMatchObject({ isBack: true });
    expect(await accepted(bringBackAction({ engineId }))).toEqual({ isBack: false });
    expect(asideIn()).toBeUndefined();
    expect(everything(shop).replace(/"stamp":\d+/g, '')).toBe(before);
  });
  test('one that is gone is said', async () =>
    expect((await refused(alterEngineAction({ ...ENGINE, id: 'none', version: 1 }))).code).toBe('not-found'));
});

const SOURCE = {
  engineId: 'demo-norrhem',
  title: 'Leaf 7',
  edition: '2nd',
  year: '1961',
  id: '',
  kind: 'bulletin',
  rank: '',
  fromYear: '',
  toYear: '',
  fromNumber: '',
  toNumber: '',
  supersedesId: '',
};

describe('a source', () => {
  test('stands in the book of its engine, and is changed there', async () => {
    const { id } = await accepted(addSourceAction(SOURCE));
    expect(shop.book.findSource(id)).toMatchObject({ title: 'Leaf 7', year: 1961, rank: null, supersedesId: null });
    expect(shop.book.sources('demo-norrhem').map((source) => source.id)).toContain(id);
    await accepted(addSourceAction({ ...SOURCE, id, version: 1, title: 'Leaf 8', rank: '2' }));
    expect(shop.book.findSource(id)).toMatchObject({ title: 'Leaf 8', rank: 2, version: 2 });
  });
  test('without a title it goes by what it is, numbered where another is called so; a title given stays', async () => {
    const add = async (part: object) => (await accepted(addSourceAction({ ...SOURCE, ...part }))).id;
    const titleOf = (id: string) => there(shop.book.findSource(id)).title;
    const [first, second, manual] = [
      await add({ title: ' ' }),
      await add({ title: '' }),
      await add({ title: '', kind: 'manual' }),
    ];
    expect([first, second].map(titleOf)).toEqual(['Bulletin', 'Bulletin 2']);
    expect(titleOf(manual)).toBe('Manual');
    await accepted(addSourceAction({ ...SOURCE, id: second, version: 1, title: '' }));
    expect(titleOf(second)).toBe('Bulletin 2');
  });
  test('is no source of another engine, and puts not itself out of force', async () => {
    const other = { ...SOURCE, id: 'demo-fourteen-service', version: 1 };
    expect((await refused(addSourceAction(other))).code).toBe('not-found');
    expect((await refused(addSourceAction({ ...SOURCE, supersedesId: 'demo-fourteen-service' }))).code).toBe(
      'not-found',
    );
    const { id } = await accepted(addSourceAction(SOURCE));
    expect((await refused(addSourceAction({ ...SOURCE, id, version: 1, supersedesId: id }))).field).toBe(
      'supersedesId',
    );
    expect((await refused(addSourceAction({ ...SOURCE, engineId: 'none' }))).field).toBe('engineId');
    expect((await refused(addSourceAction({ ...SOURCE, kind: 'rumour' }))).field).toBe('kind');
  });
});

describe('an entry', () => {
  const source = () => there(shop.book.sources('demo-norrhem')[0]).id;
  const leaf = (part: object = {}) => ({
    engineId: 'demo-norrhem',
    sourceId: source(),
    page: '9',
    subject: 'Sump nuts',
    kind: 'torque',
    printedText: '12 lb ft',
    conditionText: '',
    readingIndex: -1,
    agreedNotes: [],
    replacesId: null,
    ...part,
  });
  test('what is stored is what the core read, not what was sent beside it', async () => {
    const { id } = await accepted(addLeafAction({ ...leaf(), min_Nm: 9999, figure: { unit: 'N·m' } }));
    const kept = there(shop.book.findLeaf(id));
    expect(kept.min_Nm).toBeCloseTo(16.27, 2);
    expect(kept.figure).toEqual({ unit: 'lbf·ft', printedMin: 12, printedMax: 12 });
  });
  test('corrects another, once; joints follow it, and whoever has them open sees it', async () => {
    const version = there(shop.joints.find('demo-n-joint-mains')).version;
    const better = leaf({ replacesId: 'demo-n-mains', printedText: '5,5 mkg' });
    const { id } = await accepted(addLeafAction(better));
    expect(there(shop.joints.find('demo-n-joint-mains'))).toMatchObject({ leafId: id, version: version + 1 });
    expect((await refused(addLeafAction(better))).code).toBe('corrected-already');
    expect((await refused(addLeafAction(leaf({ replacesId: 'demo-f-mains' })))).field).toBe('replacesId');
  });
  test.each([
    [{ sourceId: 'none' }, 'sourceId'],
    [{ page: '' }, 'page'],
    [{ subject: ' ' }, 'subject'],
    [{ printedText: 'tight' }, 'printedText'],
    [{ printedText: '30 lb' }, 'readingIndex'],
    [{ printedText: 'max. 38 lb ft' }, 'agreedNotes'],
    [{ kind: 'guess' }, 'kind'],
    [{ kind: 'turn' }, 'kind'],
  ])('%j is refused at its field', async (part, field) => {
    expect((await refusedWhole(shop, () => addLeafAction(leaf(part)))).field).toBe(field);
  });
});

describe('a table of figures', () => {
  const text = 'Subject,Page,Torque\nSump,3,12 lb ft\nFan,4,tight\nCover,5,30 lb\n';
  const sourceId = () => there(shop.book.sources('demo-norrhem')[0]).id;
  test('is looked at without writing or drawing, and enters what can be read', async () => {
    const [before, times] = [everything(shop), drawn.times];
    const seen = await accepted(previewTableAction({ text }));
    expect(seen.rows.map(({ reason }) => reason === undefined)).toEqual([true, false, false]);
    expect(seen.aside).toContain('tight');
    expect([everything(shop), drawn.times]).toEqual([before, times]);
    const leaves = rowsIn(shop, 'leaf');
    expect(await accepted(importTableAction({ text, engineId: 'demo-norrhem', sourceId: sourceId() }))).toMatchObject({
      entered: 1,
      undo: { words: '1 entry was read in from a table' },
    });
    expect(rowsIn(shop, 'leaf')).toBe(leaves + 1);
  });
  test('into a source of another engine, or empty, it is refused', async () => {
    const other = { text, engineId: 'demo-norrhem', sourceId: 'demo-fourteen-service' };
    expect((await refused(importTableAction(other))).field).toBe('sourceId');
    expect((await refused(previewTableAction({ text: '' }))).field).toBe('text');
    expect((await refused(previewTableAction({ text: 'one line' }))).code).toBe('bad-csv');
  });
});

describe('a build file', () => {
  const file = () => JSON.stringify(buildFileOf(shop, there(shop.engines.find('demo-norrhem')), YARD_NOW));
  test('comes in as a copy where its engine stands already', async () => {
    const { href, copied } = await accepted(readBackAction({ text: file() }));
    expect(copied).toBe(true);
    expect(shop.engines.find(there(href.split('/')[2]))?.name).toMatch(/\(copy\)$/);
  });
  test('refused, it leaves nothing', async () => {
    for (const text of [
      '{',
      '[]',
      file().replace('"format":', '"form":'),
      file().replace('"jointId":"demo-n-joint-mains"', '"jointId":"none"'),
    ])
      expect((await refusedWhole(shop, () => readBackAction({ text }))).message).toMatch(/[.]$/);
  });
});

describe('which shop is looked at', () => {
  test('the yard is made where it is missing, put back as it was, and the own shop is not touched', async () => {
    const before = everything(shop);
    await accepted(openShopAction({ name: 'demonstration' }));
    expect(await currentShopName()).toBe('demonstration');
    const yard = shopNamed('demonstration');
    const engine = there(yard.engines.find('demo-norrhem'));
    yard.engines.alter({ ...engine, name: 'Another' });
    await accepted(resetDemonstrationAction());
    expect(shopNamed('demonstration').engines.find('demo-norrhem')?.name).toBe(engine.name);
    await accepted(openShopAction({ name: 'own' }));
    expect(everything(shopNamed('own'))).toBe(before);
    expect((await refused(openShopAction({ name: 'theirs' }))).field).toBe('name');
  });
});
