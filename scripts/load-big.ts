// Makes a shop of twenty years to measure on: `npm run demo:big`. It has a folder of its own.
import { join } from 'node:path';
import { openShop } from '@/db/shop';
import { nowIso, nowMs } from '@/server/clock';
import { dataFolder } from '@/server/shop-file';
import { loadBigYard, TWENTY_YEARS } from '@demo/big-yard';
import { loadDemonstration, removeShopFile } from '@demo/load-yard';
import { demonstrationYard } from '@demo/yard';

const folder = join(dataFolder(), 'big');
const file = join(folder, 'shop.sqlite');
removeShopFile(file);
const shop = openShop(file);
// What is thrown away and made anew at will need not outlive a power cut.
shop.db.pragma('synchronous = OFF');
loadDemonstration(shop, demonstrationYard, nowIso());
const share = Number(process.argv[2] ?? 1);
const size = { ...TWENTY_YEARS, engines: Math.max(1, Math.round(TWENTY_YEARS.engines * share)) };
loadBigYard(shop, size, nowMs(), (done) => {
  if (done % 50 === 0) console.error(`${done} of ${size.engines} engines`);
});
shop.db.pragma('wal_checkpoint(TRUNCATE)');
shop.close();
console.error(`A shop of twenty years: ${file}\nLook at it with SPANNER_DATA=${folder} npm start`);
