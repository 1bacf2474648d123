'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { cookies } from 'next/headers';
import { nowIso } from '@/interface/server/clock';
import { SHOP_COOKIE, closeShop, currentShop, shopNamed } from '@/interface/server/current-shop';
import { shopFile, type ShopName } from '@/interface/server/shop-file';
import { attempt } from '@/interface/server/outcome';
import { demonstrationYard } from '@demo/yard';
import { loadDemonstration, removeShopFile } from './demonstration';
import { wrenchSchema } from './schema';

/** Hangs a wrench on the shelf. */
export async function addWrenchAction(input: unknown) {
  return attempt(wrenchSchema, input, async (fields) => {
    const shop = await currentShop();
    const id = nanoid(10);
    shop.wrenches.add({ ...fields, id, createdAt: nowIso() });
    revalidatePath('/', 'layout');
    return { id };
  });
}

const nameSchema = Joi.object<{ name: ShopName }>({ name: Joi.string().valid('own', 'demonstration').required() });

/** Looks at the own shop or at the demonstration yard; the yard is made where it is missing. */
export async function openShopAction(input: unknown) {
  return attempt(nameSchema, input, async ({ name }) => {
    const shop = shopNamed(name);
    if (name === 'demonstration' && shop.engines.all().length === 0) loadDemonstration(shop, demonstrationYard, nowIso());
    (await cookies()).set(SHOP_COOKIE, name, { path: '/', maxAge: 31_536_000, sameSite: 'lax' });
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Makes the demonstration yard anew. The own shop is a file of its own and is not touched. */
export async function resetDemonstrationAction() {
  return attempt(Joi.object({}), {}, () => {
    closeShop('demonstration');
    removeShopFile(shopFile('demonstration'));
    loadDemonstration(shopNamed('demonstration'), demonstrationYard, nowIso());
    revalidatePath('/', 'layout');
    return {};
  });
}
