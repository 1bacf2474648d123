'use server';

import { revalidatePath } from 'next/cache';
import { fail, ok, type Result } from '@/model/result';
import { closeShop } from '@/server/current-shop';
import { checkedBy, problemOf, problemOfThrown } from '@/server/problem';
import { SHOP_NAMES } from '@/server/shop-file';
import { keepHours } from '@/server/wall-clock';
import { hoursSchema } from './schema';

/** Takes a device's hours for those of the shop's wall, in every file that is kept beside it. */
export async function keepHoursAction(input: unknown): Promise<Result<Record<never, never>>> {
  const checked = checkedBy(hoursSchema, input);
  if (checked.error) return Promise.resolve(fail(problemOf(checked.error)));
  try {
    keepHours(checked.value.zone);
    // Days and hours that were worked out by the other clock go with the open files.
    for (const name of SHOP_NAMES) closeShop(name);
    revalidatePath('/', 'layout');
    return Promise.resolve(ok({}));
  } catch (thrown) {
    return Promise.resolve(fail(problemOfThrown(thrown)));
  }
}
