import { join } from 'node:path';

/** A person's own shop, and the demonstration yard in a file of its own. */
export const SHOP_NAMES = ['own', 'demonstration'] as const;
export type ShopName = (typeof SHOP_NAMES)[number];

const FILES: Readonly<Record<ShopName, string>> = { own: 'shop.sqlite', demonstration: 'demonstration.sqlite' };

/** Where the shop files are kept: `SPANNER_DATA`, else `data` beside the program. */
export const dataFolder = (): string =>
  process.env.SPANNER_DATA ?? join(/* turbopackIgnore: true */ process.cwd(), 'data');

export const shopFile = (name: ShopName): string => join(/* turbopackIgnore: true */ dataFolder(), FILES[name]);
