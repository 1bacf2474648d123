'use server';

import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { contextOfFit } from '@/db/reads/fits-of-engine';
import { shopPractice } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import type { Fit } from '@/model/fit/fit';
import { assertFresh, assertWritten, changedWords, sayBy } from '@/model/stale';
import { engineOf, found, shopAction, type Bench } from '@/server/shop-action';
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

const fitNamed = (shop: Shop, id: string): Fit => found(shop.fits, id, 'fit', 'id');

const practiceFor = ({ shop }: Bench, engineId: string) => ({
  ...shopPractice(shop).practice,
  ...engineOf({ shop }, engineId).practice,
});

const sayFit = sayBy({
  name: 'Name',
  methods: 'Measured by',
  stations: 'Stations',
  angles: 'Angles',
  jointId: 'Its joint',
  holds: 'What it holds',
  leafId: 'Its page',
  wanted: 'What is wanted',
  detail: 'How it is read',
});

/** Writes a fit that was read in the same act. @throws StaleWrite */
const keepFit = (shop: Shop, fit: Fit): void => assertWritten(fit.name, shop.fits.alter(fit), fit);

/** Makes the fits chosen from the list fitted to the engine. */
export const addListedFitsAction = shopAction(listSchema, (fields, bench) => {
  const { shop, now } = bench;
  const made = listedFits(fields, practiceFor(bench, fields.engineId), shop.joints.ofEngine(fields.engineId));
  // The list's order is the order of measuring, so that each is a moment younger than the one before.
  for (const [i, fit] of made.entries())
    shop.fits.add({ ...fit, id: nanoid(10), createdAt: new Date(now + i).toISOString() });
  bench.tell(made.length === 1 ? `The fit “${made[0]?.name ?? ''}” was made` : `${made.length} fits were made`);
  return { href: `/engines/${fields.engineId}/fits` };
});

/** Makes a fit of the user's own. */
export const addOwnFitAction = shopAction(ownFitSchema, (fields, bench) => {
  const { shop, nowIso } = bench;
  const made = ownFit(fields, practiceFor(bench, fields.engineId), shop.joints.ofEngine(fields.engineId));
  const fit: Fit = { ...made, id: nanoid(10), createdAt: nowIso };
  shop.fits.add(fit);
  bench.tell(`The fit “${fit.name}” was made`);
  return { href: `/engines/${fields.engineId}/fits/${fit.id}` };
});

/** Keeps what is wanted of a fit and how it is read. Readings taken before stand as they were taken. */
export const alterFitAction = shopAction(fitSchema, (fields, { shop, tell }) => {
  const before = fitNamed(shop, fields.id);
  const leaf = fields.leafId === null ? undefined : shop.book.findLeaf(fields.leafId);
  const joints = new Set(shop.joints.ofEngine(before.engineId).map(({ id }) => id));
  if ([fields.jointId, ...fields.holds].some((id) => id !== null && !joints.has(id)))
    throw new DomainError('not-found', 'That joint is not on this engine.', 'jointId');
  const after = alteredFit(before, fields, leaf?.engineId === before.engineId ? leaf : undefined);
  const { name, methods, stations, angles, jointId, leafId, holds, wanted, detail } = after;
  const sent = { version: fields.version, name, methods, stations, angles, jointId, leafId, holds, wanted, detail };
  assertFresh(before.name, before, sent, sayFit);
  keepFit(shop, after);
  tell(changedWords(before.name, before, sent, sayFit));
  return {};
});

/** Takes what the leaf says since it was corrected. */
export const takeCorrectedAction = shopAction(correctedSchema, ({ fitId, version }, { shop, tell }) => {
  const fit = fitNamed(shop, fitId);
  assertFresh(fit.name, fit, { version });
  const corrected = contextOfFit(shop, fit).page?.corrected;
  keepFit(shop, correctedFit(fit, corrected && shop.book.findLeaf(corrected.leafId)));
  tell(`“${fit.name}” takes the corrected entry`);
  return {};
});

/** Says which drawer of shims a fit draws on, what is in now, and what its gasket loses. */
export const keepDrawerAction = shopAction(drawerSchema, (fields, { shop, tell }) => {
  const { fitId, version, family, fitted, crushLow, crushHigh, stack } = fields;
  const fit = fitNamed(shop, fitId);
  const crush = limitsOf(crushLow, crushHigh, ['crushLow', 'crushHigh']);
  const fitted_mm = fitted === '' ? 0 : lengthWithUnit(fitted, 'fitted');
  const { byPlace, fitted_mm: was } = fit.detail.shim ?? {};
  const shim = { family, fitted_mm, ...(byPlace && fitted_mm === was && { byPlace }), ...(crush && { crush }), stack };
  assertFresh(
    fit.name,
    { ...fit, shim: fit.detail.shim },
    { version, shim },
    sayBy({ shim: 'The drawer it draws on' }),
  );
  keepFit(shop, { ...fit, detail: { ...fit.detail, shim } });
  tell(`“${fit.name}”: the drawer it draws on was changed`);
  return {};
});

/** Puts shims of one thickness into the drawer, or says how many there are. */
export const putShimAction = shopAction(shimSchema, ({ family, typed, count, seen }, { shop, nowIso, tell }) => {
  const thickness_mm = lengthWithUnit(typed, 'typed');
  if (!(thickness_mm > 0 && thickness_mm <= 20))
    throw new DomainError('bad-field', `A shim of ${typed} is not likely. Check the unit.`, 'typed');
  tell(`Drawer ${family}: ${count} of ${typed}`);
  const known = shop.shims.inFamily(family).find(isAsThickAs(thickness_mm));
  if (!known) {
    shop.shims.add({ id: nanoid(10), family, thickness_mm, typed, count, version: 1, createdAt: nowIso });
    return {};
  }
  assertFresh(
    `${family}, ${known.typed},`,
    known,
    { version: seen[known.id] ?? 0, count },
    sayBy({ count: 'How many' }),
  );
  assertWritten(known.typed, shop.shims.alter({ ...known, count }), known);
  return {};
});

/** Takes shims out of the drawer and fits them; what was in goes back, and the float is to be read again. */
export const fitShimAction = shopAction(
  fitShimSchema,
  ({ fitId, version, place, choice_mm }, { shop, nowIso, tell }) => {
    const fit = fitNamed(shop, fitId);
    assertFresh(fit.name, fit, { version });
    fitShims(shop, fit, place, choice_mm, nowIso);
    tell(`Shims were fitted at “${fit.name}”`);
    return {};
  },
);
