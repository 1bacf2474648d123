'use server';

import { renameSync } from 'node:fs';
import { revalidatePath } from 'next/cache';
import { cookies } from 'next/headers';
import { openShop } from '@/db/shop';
import { fail, ok, type Result } from '@/model/result';
import { nowIso } from '@/server/clock';
import { SHOP_COOKIE, closeShop, shopNamed } from '@/server/current-shop';
import { checkedBy, problemOf, problemOfThrown } from '@/server/problem';
import { shopFile } from '@/server/shop-file';
import { loadDemonstration, removeShopFile } from '@demo/load-yard';
import { demonstrationYard } from '@demo/yard';
import { shopNameSchema } from './schema';

/** Looks at the own shop or at the demonstration yard; the yard is made where it is missing. */
export async function openShopAction(input: unknown): Promise<Result<object>> {
  const checked = checkedBy(shopNameSchema, input);
  if (checked.error) return fail(problemOf(checked.error));
  const { name } = checked.value;
  try {
    const shop = shopNamed(name);
    if (name === 'demonstration' && shop.engines.all().length === 0)
      loadDemonstration(shop, demonstrationYard, nowIso());
    (await cookies()).set(SHOP_COOKIE, name, { path: '/', maxAge: 31_536_000, sameSite: 'lax' });
  } catch (thrown) {
    return fail(problemOfThrown(thrown));
  }
  revalidatePath('/', 'layout');
  return ok({});
}

/** The yard in a file beside, so that one that is cut off leaves the one there is. */
function makeYard(file: string): void {
  removeShopFile(file);
  const shop = openShop(file);
  loadDemonstration(shop, demonstrationYard, nowIso());
  shop.close();
}

/** Makes the demonstration yard anew. The own shop is a file of its own and is not touched. */
export async function resetDemonstrationAction(): Promise<Result<object>> {
  try {
    const file = shopFile('demonstration');
    makeYard(`${file}.growing`);
    closeShop('demonstration');
    removeShopFile(file);
    renameSync(`${file}.growing`, file);
    shopNamed('demonstration');
  } catch (thrown) {
    return Promise.resolve(fail(problemOfThrown(thrown)));
  }
  revalidatePath('/', 'layout');
  return Promise.resolve(ok({}));
}
