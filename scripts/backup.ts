// A checked copy of the shop: `npm run backup [FILE]`. The program may be at work meanwhile.
import { existsSync } from 'node:fs';
import { copyFileOf } from '@/db/copies';
import { newCopy } from '@/server/copies';
import { shopFile } from '@/server/shop-file';
import { sayCounts, told } from './say-counts';

const file = shopFile('own');
const to = process.argv[2] ?? newCopy('by-hand');

void told(async () => {
  if (!existsSync(file)) throw new Error(`There is no shop yet in ${file}.`);
  if (existsSync(to)) throw new Error(`${to} is there already; name another file.`);
  const { counts } = await copyFileOf(file, to);
  console.log(`Copied, looked through and whole: ${to}`);
  sayCounts(counts);
});
