// Makes the demonstration yard: `npm run demo:reset`, and on the way to `npm run demo` where it is missing.
import { existsSync } from 'node:fs';
import { openShop } from '@/db/shop';
import { ShopTrouble } from '@/db/trouble';
import { loadDemonstration, removeShopFile } from '@demo/load-yard';
import { nowIso } from '@/server/clock';
import { shopFile } from '@/server/shop-file';
import { demonstrationYard } from '@demo/yard';

const file = shopFile('demonstration');
const keep = process.argv.includes('--if-missing') && existsSync(file);

try {
  if (!keep) {
    removeShopFile(file);
    const shop = openShop(file);
    loadDemonstration(shop, demonstrationYard, nowIso());
    shop.close();
    console.error(`The demonstration yard is as new: ${file}`);
  }
} catch (error) {
  if (!(error instanceof ShopTrouble)) throw error;
  console.error(`${error.message} ${error.nextStep}`);
  process.exitCode = 1;
}
