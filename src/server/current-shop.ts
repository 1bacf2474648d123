import { statSync } from 'node:fs';
import { cookies } from 'next/headers';
import { openShop, type Shop } from '@/db/shop';
import { shopFile, type ShopName } from './shop-file';

export const SHOP_COOKIE = 'spanner-shop';

interface Opened {
  readonly shop: Shop;
  readonly inode: number;
}

// Pages and routes are bundled apart; the open files are shared through the process.
const holder = globalThis as { spannerShops?: Map<ShopName, Opened> };
const opened = (holder.spannerShops ??= new Map<ShopName, Opened>());

const inodeOf = (file: string): number => {
  try {
    return statSync(file).ino;
  } catch {
    return -1;
  }
};

/** Closes a shop's file, so that it can be replaced. */
export function closeShop(name: ShopName): void {
  opened.get(name)?.shop.close();
  opened.delete(name);
}

/**
 * Opens a shop by name, once. A file that was replaced meanwhile (a reset, a restored backup) is opened anew.
 * @throws ShopTrouble
 */
export function shopNamed(name: ShopName): Shop {
  const known = opened.get(name);
  const file = shopFile(name);
  if (known && known.inode === inodeOf(file) && known.shop.file === file) return known.shop;
  if (known) closeShop(name);
  const shop = openShop(file);
  opened.set(name, { shop, inode: inodeOf(file) });
  return shop;
}

/** Which shop this browser is looking at. */
export async function currentShopName(): Promise<ShopName> {
  const chosen = (await cookies()).get(SHOP_COOKIE)?.value;
  if (chosen === 'own' || chosen === 'demonstration') return chosen;
  return process.env.SPANNER_OPEN === 'demonstration' ? 'demonstration' : 'own';
}

/** The shop this browser is looking at. @throws ShopTrouble */
export const currentShop = async (): Promise<Shop> => shopNamed(await currentShopName());
