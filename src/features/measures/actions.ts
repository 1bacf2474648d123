'use server';

import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { DomainError } from '@/core/units';
import { MEASURE_SCHEMAS } from '@/model/engine/engine-measure-schemas';
import type { EngineMeasure } from '@/model/engine/engine-measure';
import { nowIso } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { keptSheetSchema } from './schema';

/** Keeps a sheet of the whole engine; the earlier one stays beneath. */
export async function keepSheetAction(input: unknown) {
  return runAction(keptSheetSchema, input, async ({ engineId, kind, body }) => {
    const shop = await currentShop();
    if (!shop.engines.find(engineId))
      throw new DomainError('not-found', 'That engine is no longer on a stand.', 'engineId');
    const checked = MEASURE_SCHEMAS[kind].validate(body, { stripUnknown: true });
    if (checked.error) throw new DomainError('bad-field', checked.error.message.replaceAll('"', ''), 'body');
    shop.measures.add({ id: nanoid(10), engineId, kind, body: checked.value as EngineMeasure['body'], at: nowIso() });
    revalidatePath('/', 'layout');
    return {};
  });
}
