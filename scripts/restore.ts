// Puts a checked copy in the place of the shop: `npm run restore FILE`. What was there is kept aside.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { putInPlace } from '@/db/copies';
import { copiesFolder, keptCopies } from '@/server/copies';
import { shopFile } from '@/server/shop-file';
import { sayCounts, told } from './say-counts';

const named = process.argv[2];
const among = join(copiesFolder(), named ?? '');
const copy = named !== undefined && !existsSync(named) && existsSync(among) ? among : named;

void told(() => {
  if (copy === undefined) {
    const kept = keptCopies().map(({ name }) => `  ${name}`);
    throw new Error(
      ['Name the copy: npm run restore FILE', ...(kept.length > 0 ? ['There are:', ...kept] : [])].join('\n'),
    );
  }
  const { file, aside, counts } = putInPlace(copy, shopFile('own'));
  if (aside !== undefined) console.log(`What was there is kept aside: ${aside}`);
  console.log(`In place, looked through and whole: ${file}`);
  sayCounts(counts);
});
