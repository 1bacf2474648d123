import { assertWritten } from '@/model/stale';
import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { shimsIn, type Fit, type Shim } from '@/model/fit/fit';
import type { Shop } from '@/db/shop';

const SAME_MM = 0.0005;

/** Shims are told apart to half a micrometre. */
export const isAsThickAs =
  (thickness_mm: number) =>
  (shim: Shim): boolean =>
    Math.abs(shim.thickness_mm - thickness_mm) < SAME_MM;

function putBack(shop: Shop, family: string, thickness_mm: number, now: string): void {
  const known = shop.shims.inFamily(family).find(isAsThickAs(thickness_mm));
  if (known) shop.shims.alter({ ...known, count: known.count + 1 });
  else
    shop.shims.add({
      id: nanoid(10),
      family,
      thickness_mm,
      typed: `${thickness_mm} mm`,
      count: 1,
      version: 1,
      createdAt: now,
    });
}

function takeOut(shop: Shop, family: string, thickness_mm: number): void {
  const known = shop.shims.inFamily(family).find(isAsThickAs(thickness_mm));
  if (!known || known.count < 1)
    throw new DomainError('bad-field', `There is no shim of ${thickness_mm} mm in the drawer.`, 'choice_mm');
  shop.shims.alter({ ...known, count: known.count - 1 });
}

/**
 * Changes the shims of one place: what was in goes back into the drawer, the chosen ones come out of it, and its
 * float is to be read again.
 * @throws DomainError where no drawer is named, the place is not there, or the drawer has no such shim; nothing is
 * changed then
 */
export function fitShims(shop: Shop, fit: Fit, place: number, choice_mm: readonly number[], now: string): void {
  const { shim } = fit.detail;
  if (!shim) throw new DomainError('bad-field', 'Say first which drawer it draws on.', 'family');
  if (place >= fit.places.length) throw new DomainError('bad-field', 'The fit has no such place.', 'place');
  const before_mm = shimsIn(shim, place);
  const called = (thickness_mm: number) =>
    shop.shims.inFamily(shim.family).find(isAsThickAs(thickness_mm))?.typed ?? `${thickness_mm} mm`;
  shop.transaction(() => {
    for (const one of before_mm) putBack(shop, shim.family, one, now);
    for (const one of choice_mm) takeOut(shop, shim.family, one);
    const altered = shop.fits.alter({
      ...fit,
      detail: { ...fit.detail, shim: { ...shim, byPlace: { ...shim.byPlace, [place]: choice_mm } } },
    });
    assertWritten(fit.name, altered, fit);
    const words = `${choice_mm.map(called).join(' + ')} in place of ${before_mm.length > 0 ? before_mm.map(called).join(' + ') : 'none'}`;
    shop.fits.record(fit.id, { id: nanoid(), kind: 'remedy', place, at: now, body: { remedy: 'shim', words } }, now);
  });
}
