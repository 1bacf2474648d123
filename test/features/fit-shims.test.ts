import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shimsIn, stackOf_mm, type Fit } from '@/model/fit/fit';
import type { Shop } from '@/db/shop';
import { fitShims } from '@/features/fits/fit-shims';
import { codeOf } from '../core/code-of';
import { yardShop, YARD_NOW } from '../db/temporary-shop';

const FAMILY = 'Lash caps';
const THICKNESSES = [0.25, 0.3, 0.35, 0.4, 0.55];

/** A fit of three places, each set by shims of its own, and a drawer of two of every thickness. */
function drawer(): {
  readonly shop: Shop;
  readonly fit: () => Fit;
  readonly counts: () => Readonly<Record<string, number>>;
} {
  const shop = yardShop();
  const cam = shop.fits.find('demo-m-fit-cam');
  if (!cam) throw new Error('no camshaft in the yard');
  shop.fits.add({
    ...cam,
    id: 'lash',
    kind: 'own-float',
    name: 'Lash',
    places: ['1', '2', '3'],
    detail: { shim: { family: FAMILY, fitted_mm: 0, stack: 2 } },
  });
  for (const thickness_mm of THICKNESSES)
    shop.shims.add({
      id: `shim-${thickness_mm}`,
      family: FAMILY,
      thickness_mm,
      typed: `${thickness_mm} mm`,
      count: 2,
      version: 1,
      createdAt: YARD_NOW,
    });
  const fit = () => shop.fits.find('lash') ?? cam;
  return {
    shop,
    fit,
    counts: () =>
      Object.fromEntries(shop.shims.inFamily(FAMILY).map(({ thickness_mm, count }) => [thickness_mm, count])),
  };
}

const shimOf = (fit: Fit) => {
  if (!fit.detail.shim) throw new Error('no drawer');
  return fit.detail.shim;
};

describe('shims of a place', () => {
  test('come out of the drawer; what was in goes back, piece by piece', () => {
    const { shop, fit, counts } = drawer();
    fitShims(shop, fit(), 1, [0.25, 0.3], YARD_NOW);
    expect(shimsIn(shimOf(fit()), 1)).toEqual([0.25, 0.3]);
    expect(counts()).toMatchObject({ 0.25: 1, 0.3: 1, 0.55: 2 });
    fitShims(shop, fit(), 1, [0.55], YARD_NOW);
    expect(counts()).toEqual({ 0.25: 2, 0.3: 2, 0.35: 2, 0.4: 2, 0.55: 1 });
  });
  test('one place’s shims say nothing of another’s', () => {
    const { shop, fit } = drawer();
    fitShims(shop, fit(), 0, [0.4], YARD_NOW);
    expect([0, 1, 2].map((place) => stackOf_mm(shimsIn(shimOf(fit()), place)))).toEqual([0.4, 0, 0]);
  });
  test('a shim that was in before the drawer knew of it goes into the drawer', () => {
    const { shop, fit, counts } = drawer();
    shop.fits.alter({ ...fit(), detail: { shim: { ...shimOf(fit()), fitted_mm: 0.47 } } });
    fitShims(shop, fit(), 2, [0.35], YARD_NOW);
    expect(counts()).toMatchObject({ 0.47: 1, 0.35: 1 });
    expect(shimsIn(shimOf(fit()), 0)).toEqual([0.47]);
  });
  test('the reading is reopened, and the line says what went in for what', () => {
    const { shop, fit } = drawer();
    fitShims(shop, fit(), 0, [0.3, 0.25], YARD_NOW);
    const last = shop.fits.lines('lash').at(-1);
    expect(last).toMatchObject({
      kind: 'remedy',
      place: 0,
      body: { remedy: 'shim', words: '0.3 mm + 0.25 mm in place of none' },
    });
  });
  test('what the drawer has not is refused, and nothing moves', () => {
    const { shop, fit, counts } = drawer();
    const before = counts();
    expect(codeOf(() => fitShims(shop, fit(), 0, [0.4, 0.99], YARD_NOW))).toBe('bad-field');
    expect(codeOf(() => fitShims(shop, fit(), 0, [0.4, 0.4, 0.4], YARD_NOW))).toBe('bad-field');
    expect(codeOf(() => fitShims(shop, fit(), 3, [0.4], YARD_NOW))).toBe('bad-field');
    expect(codeOf(() => fitShims(shop, { ...fit(), detail: {} }, 0, [0.4], YARD_NOW))).toBe('bad-field');
    expect(counts()).toEqual(before);
    expect(shop.fits.lines('lash')).toEqual([]);
  });
  test('no shim is ever lost or made, whatever is fitted where and how often', () => {
    const { shop, fit, counts } = drawer();
    const choice = fc.array(fc.constantFrom(...THICKNESSES), { minLength: 1, maxLength: 2 });
    const whole = () => {
      const inPlaces = [0, 1, 2].flatMap((place) => shimsIn(shimOf(fit()), place));
      return THICKNESSES.map((one) => (counts()[one] ?? 0) + inPlaces.filter((thickness) => thickness === one).length);
    };
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 }), choice, (place, shims_mm) => {
        const out = codeOf(() => fitShims(shop, fit(), place, shims_mm, YARD_NOW));
        expect([undefined, 'bad-field']).toContain(out);
        expect(whole()).toEqual([2, 2, 2, 2, 2]);
        for (const count of Object.values(counts())) expect(count).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 60 },
    );
  });
});
