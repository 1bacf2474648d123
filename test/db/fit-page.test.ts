import { describe, expect, test } from '@jest/globals';
import { contextOfFit } from '@/db/reads/fits-of-engine';
import { gateOf, guardsOfGate } from '@/model/fit/fit-gate';
import { currentLeaf } from '@/model/fit/fit-page';
import type { Leaf } from '@/model/book/leaf';
import type { Shop } from '@/db/shop';
import { correctedFit } from '@/features/fits/fit-of-fields';
import { fitsRecord } from '@/features/record/queries';
import { codeOf } from '../core/code-of';
import { fitsOfEngine, rowsNamed, yardShop } from './temporary-shop';

const leafOf = (shop: Shop, id: string): Leaf => {
  const leaf = shop.book.findLeaf(id);
  if (!leaf) throw new Error(`no leaf ${id}`);
  return leaf;
};
const fitOf = (shop: Shop) => {
  const fit = shop.fits.find('demo-n-fit-mains');
  if (!fit) throw new Error('no mains');
  return fit;
};

/** The yard with the page of the Norrhem's mains corrected as often as is asked for. */
function corrected(times: number): Shop {
  const shop = yardShop();
  const first = leafOf(shop, 'demo-n-mains-play');
  for (let n = 1; n <= times; n++)
    shop.book.addLeaf({
      ...first,
      id: `again-${n}`,
      replacesId: n === 1 ? first.id : `again-${n - 1}`,
      printedText: `0,0${3 + n} bis 0,0${6 + n} mm`,
      min_mm: Number((0.03 + n / 100).toFixed(3)),
      max_mm: Number((0.06 + n / 100).toFixed(3)),
    });
  return shop;
}

describe('the page that a fit’s limits were taken from', () => {
  test('is told, and nothing more, while it stands as it was', () => {
    const shop = yardShop();
    expect(contextOfFit(shop, fitOf(shop)).page).toEqual({
      says: 'Norrhem N3, Werkstatthandbuch, p. 12: “0,03 bis 0,06 mm”',
    });
    const own = shop.fits.find('demo-f-fit-side');
    expect(own && contextOfFit(shop, own).page).toBeUndefined();
  });
  test.each([1, 2, 3])('corrected %i times: the last correction stands beside what was taken', (times) => {
    const shop = corrected(times);
    const { page } = contextOfFit(shop, fitOf(shop));
    expect(page?.says).toContain('“0,03 bis 0,06 mm”');
    expect(page?.corrected).toEqual({
      leafId: `again-${times}`,
      says: `Norrhem N3, Werkstatthandbuch, p. 12: “0,0${3 + times} bis 0,0${6 + times} mm”`,
    });
    expect(currentLeaf(leafOf(shop, 'demo-n-mains-play'), shop.book.leaves('demo-norrhem')).id).toBe(`again-${times}`);
  });
  test('until it is taken the old limits judge, and the gate asks', () => {
    const shop = corrected(1);
    const { asks, held } = gateOf(fitsOfEngine(shop, 'demo-norrhem'), 'demo-n-joint-mains');
    expect(held).toHaveLength(1);
    expect(asks.map(({ line }) => line)).toContainEqual(
      expect.stringMatching(/^Main bearings, oil clearance: its page was corrected since, .*“0,04 bis 0,07 mm”$/),
    );
    expect(guardsOfGate({ held, asks, strips: [] }).filter(({ code }) => code === 'fit-not-proven').length).toBe(
      asks.length,
    );
  });
  test('taken, it judges: the bearing that was too loose lies inside, and nothing is asked any more', () => {
    const shop = corrected(1);
    const before = fitOf(shop);
    shop.fits.alter(correctedFit(before, leafOf(shop, 'again-1')));
    const [mains] = fitsOfEngine(shop, 'demo-norrhem');
    expect(mains?.fit.wanted.limits).toEqual({ min_mm: 0.04, max_mm: 0.07 });
    expect(mains?.page?.corrected).toBeUndefined();
    expect(mains?.places[1]?.state).not.toBe('loose');
    expect(gateOf(fitsOfEngine(shop, 'demo-norrhem'), 'demo-n-joint-mains').held).toEqual([]);
  });
  test('a correction that gives no two limits, or leaves the target outside, is not taken', () => {
    const shop = yardShop();
    const leaf = leafOf(shop, 'demo-n-mains-play');
    const fit = { ...fitOf(shop), wanted: { limits: { min_mm: 0.03, max_mm: 0.06 }, target_mm: 0.035 } };
    expect(codeOf(() => correctedFit(fit, undefined))).toBe('bad-field');
    expect(codeOf(() => correctedFit(fit, { ...leaf, min_mm: null }))).toBe('bad-field');
    expect(codeOf(() => correctedFit(fit, { ...leaf, max_mm: leaf.min_mm }))).toBe('bad-field');
    expect(codeOf(() => correctedFit(fit, { ...leaf, min_mm: 0.04, max_mm: 0.07 }))).toBe('bad-field');
    expect(correctedFit(fit, { ...leaf, min_mm: 0.032, max_mm: 0.05 }).wanted).toEqual({
      limits: { min_mm: 0.032, max_mm: 0.05 },
      target_mm: 0.035,
    });
  });
  test('the record prints the page that was taken, and that it was corrected', () => {
    const shop = corrected(1);
    const [mains] = fitsRecord(shop, rowsNamed(shop, 'demo-norrhem')).fits;
    expect([mains?.state.page?.says, mains?.state.page?.corrected?.says]).toEqual([
      'Norrhem N3, Werkstatthandbuch, p. 12: “0,03 bis 0,06 mm”',
      'Norrhem N3, Werkstatthandbuch, p. 12: “0,04 bis 0,07 mm”',
    ]);
  });
});
