'use server';

import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { DomainError } from '@/core/units';
import { nowIso } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { alteredEngineSchema, engineSchema } from './schema';

/** Puts an engine on a stand; answers with where it stands. */
export async function addEngineAction(input: unknown) {
  return runAction(engineSchema, input, async (fields) => {
    const shop = await currentShop();
    const id = nanoid(10);
    shop.engines.add({ ...fields, practice: {}, id, createdAt: nowIso() });
    revalidatePath('/', 'layout');
    return { href: `/engines/${id}/book` };
  });
}

/** Changes what is known of an engine. What was recorded keeps what it was recorded with. */
export async function alterEngineAction(input: unknown) {
  return runAction(alteredEngineSchema, input, async (fields) => {
    const shop = await currentShop();
    if (!shop.engines.find(fields.id)) throw new DomainError('not-found', 'That engine is no longer on a stand.', 'id');
    shop.engines.alter(fields);
    revalidatePath('/', 'layout');
    return { href: `/engines/${fields.id}/book` };
  });
}
