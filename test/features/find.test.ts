import { beforeAll, describe, expect, test } from '@jest/globals';
import type { Shop } from '@/db/shop';
import { find } from '@/features/find/find-index';
import { jointNamed, yardShop } from '../db/temporary-shop';

let shop: Shop;
beforeAll(() => {
  shop = yardShop();
});

const titles = async (words: string) => (await find(shop, words)).map(({ kind, title }) => `${kind}: ${title}`);

describe('finding anything', () => {
  test.each([
    ['norrhem', 'Engine: Norrhem N3', 'by its name'],
    ['NORHEM', 'Engine: Norrhem N3', 'with a letter left out'],
    ['maestrale head', 'Joint: Cylinder head', 'by what it belongs to'],
    ['cilinder head', 'Joint: Cylinder head', 'with a slip'],
    ['7/16 BSF', 'Thread: 7/16 BSF', 'a thread, of which no figure may be wrong'],
    ['Kurbelwellenlager', 'Entry: Kurbelwellenlager, Laufspiel', 'in the page’s own language'],
    ['clearance mains', 'Fit: Main bearings, oil clearance', 'whatever the order'],
    ['beam', 'Wrench: Old beam wrench', 'a wrench'],
    ['moly', 'Lubricant: Molybdenum disulphide paste', 'by its beginning'],
    ['backup', 'Screen: Copies of the shop', 'a screen by another word for it'],
    ['three films', 'Trial: Three films on 7/16 BSF bolts', 'a trial'],
  ])('%s finds %s: %s', async (words, found) => {
    expect(await titles(words)).toContain(found);
  });

  test('an entry is found by its print, and each leads to where it is', async () => {
    const [entry] = (await find(shop, '36–40 lb. ft.')).filter(({ kind }) => kind === 'Entry');
    expect(entry).toMatchObject({ href: '/engines/demo-fourteen/book' });
    const [joint] = (await find(shop, 'norrhem cylinder heads')).filter(({ kind }) => kind === 'Joint');
    expect(joint?.href).toBe('/engines/demo-norrhem/joints/demo-n-joint-heads');
  });

  test('a step and a part lead to where they stand; a joint comes before the steps that tighten it', async () => {
    const [joint, ...rest] = await titles('norhem cilinder');
    expect(joint).toBe('Joint: Cylinder heads');
    expect(rest).toContain('Step: Cylinder base nuts tight');
    const href = async (words: string, kind: string) =>
      (await find(shop, words)).find((one) => one.kind === kind)?.href;
    expect(await href('maestrale guide studs out', 'Step')).toBe(
      '/engines/demo-maestrale/order?step=demo-maestrale-guide-studs',
    );
    expect(await href('circlips', 'Part')).toBe('/engines/demo-maestrale/order/tray#part-demo-m-part-circlips');
  });

  test('nothing is found of nothing, and of what is not there', async () => {
    expect(await find(shop, '  ')).toEqual([]);
    expect(await find(shop, 'quadrophonic')).toEqual([]);
  });

  test('what was written since is found, and what it was called before is not', async () => {
    const joint = jointNamed(shop, 'demo-n-joint-heads');
    shop.joints.alter({ ...joint, name: 'Barrel studs' });
    expect(await titles('barrel studs')).toContain('Joint: Barrel studs');
    expect((await titles('norrhem cylinder heads')).filter((one) => one.startsWith('Joint'))).toEqual([]);
  });
});
