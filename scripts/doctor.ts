// Says what is wrong with the shop's file and what to do: `npm run doctor [FILE]`. Nothing is changed.
import { existsSync, readdirSync, statfsSync, statSync } from 'node:fs';
import { basename, dirname } from 'node:path';
import { checkCopy } from '@/db/copies';
import { hasForeignLog, logOf } from '@/db/log-owner';
import { keptCopies } from '@/server/copies';
import { shopFile } from '@/server/shop-file';
import { sayCounts, told } from './say-counts';

const file = process.argv[2] ?? shopFile('own');
const LOW_BYTES = 200e6;
const mb = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;

void told(() => {
  if (!existsSync(file))
    throw new Error(`There is no file ${file}. The first start makes one; a copy comes in by npm run restore FILE.`);
  console.log(`${file}: ${mb(statSync(file).size)}`);
  const log = existsSync(logOf(file)) ? statSync(logOf(file)).size : 0;
  if (hasForeignLog(file))
    console.log(
      `A log of ${mb(log)} lies beside it that is not its own: the next start puts it aside and does not play it.`,
    );
  else if (log > 0)
    console.log(
      `A log of ${mb(log)} of its own lies beside it: a start plays it. Never copy the one without the other.`,
    );
  const { bavail, bsize } = statfsSync(dirname(file));
  const free = bavail * bsize;
  console.log(`Free on its disk: ${mb(free)}${free < LOW_BYTES ? '. That is little: free some space' : ''}`);
  const aside = readdirSync(dirname(file)).filter((name) => name.startsWith(`${basename(file)}.aside-`));
  if (aside.length > 0) console.log(`Kept aside: ${aside.join(', ')}`);
  const copies = keptCopies();
  const latest = copies[0];
  console.log(
    latest ? `Copies: ${copies.length}, the latest ${latest.name}` : 'Copies: none yet. npm run backup makes one.',
  );
  const { counts } = checkCopy(file);
  console.log('It is whole, of this program, and everything in it is bound together.');
  sayCounts(counts);
});
