'use server';

import Joi from 'joi';
import { revalidatePath } from 'next/cache';
import { cookies } from 'next/headers';
import { nowIso } from '@/server/clock';
import { SHOP_COOKIE, closeShop, shopNamed } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { shopFile, type ShopName } from '@/server/shop-file';
import { loadDemonstration, removeShopFile } from '@demo/load-yard';
import { demonstrationYard } from '@demo/yard';

const nameSchema = Joi.object<{ name: ShopName }>({ name: Joi.string().valid('own', 'demonstration').required() });

/** Looks at the own shop or at the demonstration yard; the yard is made where it is missing. */
export async function openShopAction(input: unknown) {
  return runAction(nameSchema, input, async ({ name }) => {
    const shop = shopNamed(name);
    if (name === 'demonstration' && shop.engines.all().length === 0)
      loadDemonstration(shop, demonstrationYard, nowIso());
    (await cookies()).set(SHOP_COOKIE, name, { path: '/', maxAge: 31_536_000, sameSite: 'lax' });
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Makes the demonstration yard anew. The own shop is a file of its own and is not touched. */
export async function resetDemonstrationAction() {
  return runAction(Joi.object({}), {}, () => {
    closeShop('demonstration');
    removeShopFile(shopFile('demonstration'));
    loadDemonstration(shopNamed('demonstration'), demonstrationYard, nowIso());
    revalidatePath('/', 'layout');
    return {};
  });
}
