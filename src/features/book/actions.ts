'use server';

import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { DomainError } from '@/core/units';
import { nowIso } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { leafOfFields } from './leaf-of-fields';
import { leafSchema, sourceSchema } from './schema';

/** Adds a source to an engine's book, or changes what is known of one. */
export async function addSourceAction(input: unknown) {
  return runAction(sourceSchema, input, async ({ engineId, id: known, ...fields }) => {
    const shop = await currentShop();
    if (!shop.engines.find(engineId))
      throw new DomainError('not-found', 'That engine is no longer on a stand.', 'engineId');
    const sources = shop.book.sources(engineId);
    const others = [known, fields.supersedesId].filter((one) => one !== null);
    if (others.some((one) => !sources.some((source) => source.id === one)))
      throw new DomainError('not-found', 'That source is not in this engine’s book.', 'id');
    if (known !== null && known === fields.supersedesId)
      throw new DomainError('bad-field', 'A source cannot supersede itself.', 'supersedesId');
    const id = known ?? nanoid(10);
    if (known === null) shop.book.addSource(engineId, { ...fields, id, createdAt: nowIso() });
    else shop.book.alterSource({ ...fields, id });
    revalidatePath('/', 'layout');
    return { id };
  });
}

/** Adds a leaf; where it corrects another, the other stays beneath it. */
export async function addLeafAction(input: unknown) {
  return runAction(leafSchema, input, async (fields) => {
    const shop = await currentShop();
    const known = shop.book.sources(fields.engineId).some((source) => source.id === fields.sourceId);
    if (!known) throw new DomainError('not-found', 'That source is not in this engine’s book.', 'sourceId');
    const replaced = fields.replacesId === null ? undefined : shop.book.findLeaf(fields.replacesId);
    if (fields.replacesId !== null && replaced?.engineId !== fields.engineId)
      throw new DomainError('not-found', 'The leaf to correct is not in this engine’s book.', 'replacesId');
    const id = nanoid(10);
    shop.book.addLeaf(leafOfFields(fields, id, nowIso()));
    revalidatePath('/', 'layout');
    return { id };
  });
}
