'use server';

import { nanoid } from 'nanoid';
import { assertFresh, assertWritten, changedWords, sayBy } from '@/model/stale';
import { engineOf, found, shopAction } from '@/server/shop-action';
import { alteredEngineSchema, asideSchema, backSchema, engineSchema } from './schema';

const sayEngine = sayBy({
  name: 'Name',
  kind: 'Car or motorcycle',
  year: 'Year',
  engineNumber: 'Engine number',
  headMetal: 'Head',
  blockMetal: 'Block',
  preferredUnit: 'Unit',
});

/** Puts an engine on a stand; answers with where it stands. */
export const addEngineAction = shopAction(engineSchema, (fields, { shop, nowIso, tell }) => {
  const id = nanoid(10);
  shop.engines.add({ ...fields, practice: {}, id, version: 1, createdAt: nowIso });
  tell(`“${fields.name}” was put on a stand`);
  return { href: `/engines/${id}/book` };
});

/** Changes what is known of an engine. What was recorded keeps what it was recorded with. */
export const alterEngineAction = shopAction(alteredEngineSchema, (fields, { shop, tell }) => {
  const before = found(shop.engines, fields.id, 'engine', 'id');
  assertFresh(before.name, before, fields, sayEngine);
  assertWritten(before.name, shop.engines.alter({ ...before, ...fields }), before);
  tell(changedWords(before.name, before, fields, sayEngine));
  return { href: `/engines/${fields.id}/book` };
});

/** Puts an engine aside with everything of it; nothing is lost, and it is brought back at any time. */
export const putAsideAction = shopAction(asideSchema, ({ engineId, reason }, bench) => {
  const { shop, nowIso, tell } = bench;
  const { id, name } = engineOf(bench, engineId);
  shop.engines.putAside(id, { reason, at: nowIso });
  tell(`“${name}” was put aside`);
  return { href: '/' };
});

/** Brings an engine back onto its stand. */
export const bringBackAction = shopAction(backSchema, ({ engineId }, bench) => {
  const { id, name } = engineOf(bench, engineId);
  bench.tell(`“${name}” was brought back`);
  return { isBack: bench.shop.engines.bringBack(id) };
});
