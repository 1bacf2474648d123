'use server';

import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { DomainError } from '@/core/units';
import type { Fit } from '@/model/fit/fit';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import { nowIso } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { contextOfFit } from '@/db/reads/fits-of-engine';
import { alteredFit, correctedFit, lengthWithUnit, limitsOf, listedFits, ownFit } from './fit-of-fields';
import { fitShims, isAsThickAs } from './fit-shims';
import {
  correctedSchema,
  drawerSchema,
  fitSchema,
  fitShimSchema,
  listSchema,
  ownFitSchema,
  shimSchema,
} from './schema';

const fitNamed = (shop: Shop, id: string): Fit => {
  const fit = shop.fits.find(id);
  if (!fit) throw new DomainError('not-found', 'That fit is no longer here.', 'id');
  return fit;
};

const engineNamed = (shop: Shop, id: string) => {
  const engine = shop.engines.find(id);
  if (!engine) throw new DomainError('not-found', 'That engine is no longer on a stand.', 'engineId');
  return engine;
};

/** Makes the fits chosen from the list fitted to the engine. */
export async function addListedFitsAction(input: unknown) {
  return runAction(listSchema, input, async (fields) => {
    const shop = await currentShop();
    const { practice } = shelvesOf(shop, engineNamed(shop, fields.engineId));
    const made = listedFits(fields, practice, shop.joints.ofEngine(fields.engineId));
    // The list's order is the order of measuring, so that each is a moment younger than the one before.
    const start = Date.parse(nowIso());
    shop.transaction(() =>
      made.forEach((fit, i) => shop.fits.add({ ...fit, id: nanoid(10), createdAt: new Date(start + i).toISOString() })),
    );
    revalidatePath('/', 'layout');
    return { href: `/engines/${fields.engineId}/fits` };
  });
}

/** Makes a fit of the user's own. */
export async function addOwnFitAction(input: unknown) {
  return runAction(ownFitSchema, input, async (fields) => {
    const shop = await currentShop();
    const { practice } = shelvesOf(shop, engineNamed(shop, fields.engineId));
    const fit: Fit = {
      ...ownFit(fields, practice, shop.joints.ofEngine(fields.engineId)),
      id: nanoid(10),
      createdAt: nowIso(),
    };
    shop.fits.add(fit);
    revalidatePath('/', 'layout');
    return { href: `/engines/${fields.engineId}/fits/${fit.id}` };
  });
}

/** Keeps what is wanted of a fit and how it is read. Readings taken before stand as they were taken. */
export async function alterFitAction(input: unknown) {
  return runAction(fitSchema, input, async (fields) => {
    const shop = await currentShop();
    const before = fitNamed(shop, fields.id);
    const leaf =
      fields.leafId === null ? undefined : shop.book.leaves(before.engineId).find(({ id }) => id === fields.leafId);
    const joints = new Set(shop.joints.ofEngine(before.engineId).map(({ id }) => id));
    if ([fields.jointId, ...fields.holds].some((id) => id !== null && !joints.has(id)))
      throw new DomainError('not-found', 'That joint is not on this engine.', 'jointId');
    shop.fits.alter(alteredFit(before, fields, leaf));
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Takes what the leaf says since it was corrected. */
export async function takeCorrectedAction(input: unknown) {
  return runAction(correctedSchema, input, async ({ fitId }) => {
    const shop = await currentShop();
    const fit = fitNamed(shop, fitId);
    const corrected = contextOfFit(shop, fit).page?.corrected;
    shop.fits.alter(correctedFit(fit, corrected && shop.book.findLeaf(corrected.leafId)));
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Says which drawer of shims a fit draws on, what is in now, and what its gasket loses. */
export async function keepDrawerAction(input: unknown) {
  return runAction(drawerSchema, input, async ({ fitId, family, fitted, crushLow, crushHigh, stack }) => {
    const shop = await currentShop();
    const fit = fitNamed(shop, fitId);
    const crush = limitsOf(crushLow, crushHigh, ['crushLow', 'crushHigh']);
    const fitted_mm = fitted === '' ? 0 : lengthWithUnit(fitted, 'fitted');
    const { byPlace, fitted_mm: was } = fit.detail.shim ?? {};
    shop.fits.alter({
      ...fit,
      detail: {
        ...fit.detail,
        shim: { family, fitted_mm, ...(byPlace && fitted_mm === was && { byPlace }), ...(crush && { crush }), stack },
      },
    });
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Puts shims of one thickness into the drawer, or says how many there are. */
export async function putShimAction(input: unknown) {
  return runAction(shimSchema, input, async ({ family, typed, count }) => {
    const shop = await currentShop();
    const thickness_mm = lengthWithUnit(typed, 'typed');
    if (!(thickness_mm > 0 && thickness_mm <= 20))
      throw new DomainError('bad-field', `A shim of ${typed} is not likely. Check the unit.`, 'typed');
    const known = shop.shims.inFamily(family).find(isAsThickAs(thickness_mm));
    shop.shims.put(
      known ? { ...known, count } : { id: nanoid(10), family, thickness_mm, typed, count, createdAt: nowIso() },
    );
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Takes shims out of the drawer and fits them; what was in goes back, and the float is to be read again. */
export async function fitShimAction(input: unknown) {
  return runAction(fitShimSchema, input, async ({ fitId, place, choice_mm }) => {
    const shop = await currentShop();
    fitShims(shop, fitNamed(shop, fitId), place, choice_mm, nowIso());
    revalidatePath('/', 'layout');
    return {};
  });
}
