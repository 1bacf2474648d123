// Makes the demonstration yard: `npm run demo:reset`, and on the way to `npm run demo` where it is missing.
import { existsSync, renameSync, rmSync } from 'node:fs';
import { openShop } from '@/db/shop';
import { ShopTrouble } from '@/db/trouble';
import { loadDemonstration, removeShopFile } from '@demo/load-yard';
import { nowIso } from '@/server/clock';
import { shopFile } from '@/server/shop-file';
import { demonstrationYard } from '@demo/yard';

const file = shopFile('demonstration');
const growing = `${file}.growing`;

/** A yard that was not loaded to its end has no engine, and is loaded anew. */
function isThere(): boolean {
  if (!existsSync(file)) return false;
  const shop = openShop(file);
  const engines = shop.engines.all().length;
  shop.close();
  return engines > 0;
}

try {
  if (!process.argv.includes('--if-missing') || !isThere()) {
    removeShopFile(growing);
    const shop = openShop(growing);
    loadDemonstration(shop, demonstrationYard, nowIso());
    shop.close();
    // It takes its place whole: whoever is cut off before leaves what was there.
    removeShopFile(file);
    renameSync(growing, file);
    rmSync(`${growing}-mark`, { force: true });
    console.error(`The demonstration yard is as new: ${file}`);
  }
} catch (error) {
  if (!(error instanceof ShopTrouble)) throw error;
  console.error(`${error.message} ${error.nextStep}`);
  process.exitCode = 1;
}
