'use server';

import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { DomainError } from '@/core/units';
import { SHEET_SCHEMAS } from '@/model/engine/engine-measure-schemas';
import type { EngineSheet } from '@/model/engine/engine-measure';
import { nowIso } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { attempt } from '@/server/run-action';
import { keptSheetSchema } from './sheet-schema';

/** Keeps a sheet of the whole engine; the earlier one stays beneath. */
export async function keepSheetAction(input: unknown) {
  return attempt(keptSheetSchema, input, async ({ engineId, kind, body }) => {
    const shop = await currentShop();
    if (!shop.engines.find(engineId)) throw new DomainError('not-found', 'That engine is no longer on a stand.', 'engineId');
    const checked = SHEET_SCHEMAS[kind].validate(body, { stripUnknown: true });
    if (checked.error) throw new DomainError('bad-field', checked.error.message.replaceAll('"', ''), 'body');
    shop.sheets.add({ id: nanoid(10), engineId, kind, body: checked.value as EngineSheet['body'], at: nowIso() });
    revalidatePath('/', 'layout');
    return {};
  });
}
