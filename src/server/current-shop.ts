import { copyFileSync, renameSync, statSync } from 'node:fs';
import { cookies } from 'next/headers';
import { checkCopy } from '@/db/copies';
import { comingOf, inodeOf, isMarked, isStillOwn, logOf, openedAs, putLogAside, type Opened } from '@/db/log-owner';
import { openShop, type Shop } from '@/db/shop';
import { ShopTrouble } from '@/db/trouble';
import { copyIfDue } from './copies';
import { shopFile, type ShopName } from './shop-file';
import { goByKeptHours } from './wall-clock';

export const SHOP_COOKIE = 'spanner-shop';

interface Held {
  readonly shop: Shop;
  readonly opened: Opened;
}

// Pages and routes are bundled apart; the open files are shared through the process.
const holder = globalThis as { spannerShops?: Map<ShopName, Held>; spannerLeft?: Shop[] };
const held = (holder.spannerShops ??= closedAtTheEnd(new Map<ShopName, Held>()));
// Shops whose file was written over: closed, they would fold their log into somebody else's file.
const left = (holder.spannerLeft ??= []);

/**
 * On every way of stopping the log is folded into its file, so that the file alone is the whole shop; into a file that
 * was exchanged nothing is folded.
 */
function closedAtTheEnd(shops: Map<ShopName, Held>): Map<ShopName, Held> {
  process.once('exit', () => {
    for (const { shop, opened } of shops.values()) if (isStillOwn(shop.file, opened)) shop.close();
  });
  return shops;
}

/** Closes a shop's file, so that it can be replaced. */
export function closeShop(name: ShopName): void {
  held.get(name)?.shop.close();
  held.delete(name);
}

const SETTLED_MS = 1500;

/** A file of nothing is one that was begun, however long ago: it would be opened as a new shop. */
const isBeingWritten = (file: string): boolean => {
  try {
    const { mtimeMs, size } = statSync(file);
    return size === 0 || (!isMarked(file) && Date.now() - mtimeMs < SETTLED_MS);
  } catch {
    return true;
  }
};

/**
 * Takes over a file that was put in the place of an open one. What was open is left as it is and never written again;
 * its log is put aside. A file that was written over in place is made a file of its own first: SQLite knows files by
 * where they lie on disk, and would go on with what it has in mind of the other.
 * @throws ShopTrouble exchanged while the new file is still being written, or is not whole
 */
function takeOver(name: ShopName, { shop, opened }: Held): void {
  const { file } = shop;
  if (isBeingWritten(file))
    throw new ShopTrouble(
      'exchanged',
      `The file ${file} was exchanged while the program ran. Nothing is written to it.`,
      'Wait until the copy is there, then try again: it is looked through and opened.',
    );
  const wasWrittenOver = inodeOf(file) === opened.inode;
  held.delete(name);
  // The log of what was open; one that another program began for the new file is left alone.
  if (inodeOf(logOf(file)) === opened.logInode) putLogAside(file);
  if (!wasWrittenOver) {
    shop.close();
    return;
  }
  left.push(shop);
  copyFileSync(file, comingOf(file));
  renameSync(comingOf(file), file);
  checkCopy(file);
}

/**
 * Opens a shop by name, once. A file that was exchanged meanwhile (a reset, a restored copy) is written to no more,
 * looked through and opened anew.
 * @throws ShopTrouble
 */
export function shopNamed(name: ShopName): Shop {
  const known = held.get(name);
  const file = shopFile(name);
  if (known?.shop.file === file) {
    if (isStillOwn(file, known.opened)) {
      if (name === 'own') copyIfDue(known.shop);
      return known.shop;
    }
    takeOver(name, known);
  } else if (known) closeShop(name);
  goByKeptHours();
  const shop = openShop(file);
  held.set(name, { shop, opened: openedAs(file) });
  if (name === 'own') copyIfDue(shop);
  return shop;
}

/** What a browser keeps for this program, as a request brings it. */
export interface Kept {
  readonly get: (name: string) => { readonly value: string } | undefined;
}

/** Which shop a browser that keeps this is looking at. */
export function shopNameIn(kept: Kept): ShopName {
  const chosen = kept.get(SHOP_COOKIE)?.value;
  if (chosen === 'own' || chosen === 'demonstration') return chosen;
  return process.env.SPANNER_OPEN === 'demonstration' ? 'demonstration' : 'own';
}

/** Which shop this browser is looking at. */
export const currentShopName = async (): Promise<ShopName> => shopNameIn(await cookies());

/** The shop this browser is looking at. @throws ShopTrouble */
export const currentShop = async (): Promise<Shop> => shopNamed(await currentShopName());
