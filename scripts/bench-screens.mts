// How long the server takes for every screen on a shop of twenty years: `npm run demo:big`, then `npm run bench:screens`.
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openShop } from '@/db/shop';
import { buildIfStale } from './build-if-stale.mjs';
import { served } from './served.mts';

const folder = join(process.env.SPANNER_DATA ?? 'data', 'big');
if (!existsSync(join(folder, 'shop.sqlite'))) {
  console.error(`There is no big shop in ${folder} yet: npm run demo:big makes it.`);
  process.exit(1);
}

buildIfStale();

const ENGINE = 'big-250';
const at = (path: string) => `/engines/${ENGINE}/${path}`;
const SCREENS: readonly (readonly [name: string, path: string])[] = [
  ['Stands', '/'],
  ['Book', at('book')],
  ['Joints', at('joints')],
  ['A joint', at(`joints/${ENGINE}-j0`)],
  ['New joint', at('joints/new')],
  ['By stretch', at(`joints/${ENGINE}-j0/stretch`)],
  ['Fits', at('fits')],
  ['A fit', at(`fits/${ENGINE}-demo-f-fit-mains`)],
  ['Weights', at('fits/weights')],
  ['Order', at('order')],
  ['Tray', at('order/tray')],
  ['Record of the order', at('record/order')],
  ['Tighten', at('tighten')],
  ['Run-in', at('run-in')],
  ['Record', at('record')],
  ['Record of a joint', at(`record/${ENGINE}-j0`)],
  ['Record of the fits', at('record/fits')],
  ['The face', `/face/${ENGINE}-j0-r0`],
  ['Films', '/shelves/films'],
  ['Practice', '/shelves/practice'],
  ['A film trial', '/shelves/trials/demo-trial-three-films'],
];

const TIMES = 15;
const ROUNDS = 20;
const port = Number(process.env.PORT ?? 4631);
// What another edition worked out is void: as it is after the program was made anew.
const shop = openShop(join(folder, 'shop.sqlite'));
shop.db.prepare('DELETE FROM engine_summary').run();
shop.close();

const { address, stop } = await served(folder, port);

const askAt = async (of: string, path: string) => {
  const from = performance.now();
  const response = await fetch(of + path);
  const bytes = (await response.text()).length;
  return { ms: performance.now() - from, status: response.status, bytes };
};
const ask = (path: string) => askAt(address, path);

/** Each screen asked a number of times, one after another. */
async function timeAll() {
  const found = [];
  for (const [, path] of SCREENS) {
    const { status, bytes } = await ask(path);
    const times = [];
    for (let i = 0; i < TIMES; i++) times.push((await ask(path)).ms);
    times.sort((a, b) => a - b);
    found.push({ status, bytes, middle: times[Math.floor(TIMES / 2)], worst: times.at(-1) });
  }
  return found;
}

/**
 * What each screen asks the file once its engine was written of, so that nothing kept answers for it; asked again here,
 * each question timed by itself, the quickest of five.
 */
async function timeQuestions(): Promise<void> {
  const notes = mkdtempSync(join(tmpdir(), 'spanner-questions-'));
  const log = join(notes, 'queries.log');
  const noted = await served(folder, port + 1, { SPANNER_QUERY_LOG: log });
  const own = openShop(join(folder, 'shop.sqlite'));
  const written = own.db.prepare('UPDATE engine SET name = name WHERE id = ?');
  // The program makes each statement ready once, as it opens the file.
  const quickest = (sql: string) => {
    const statement = own.db.prepare(sql);
    return Math.min(
      ...Array.from({ length: 5 }, () => {
        const from = performance.now();
        statement.all();
        return performance.now() - from;
      }),
    );
  };
  try {
    console.log('\nscreen              questions   ms of SQL, once its engine was written of');
    for (const [name, path] of SCREENS) {
      await askAt(noted.address, path);
      if (path.includes(ENGINE)) written.run(ENGINE);
      writeFileSync(log, '');
      await askAt(noted.address, path);
      const asked = readFileSync(log, 'utf8')
        .split('\n')
        .filter((line) => /^(SELECT|WITH)/.test(line) && !line.includes('data_version'));
      const ms = asked.reduce((sum, sql) => sum + quickest(sql), 0);
      console.log(`${name.padEnd(20)}${String(asked.length).padStart(9)}${ms.toFixed(2).padStart(12)}`);
    }
  } finally {
    noted.stop();
    own.close();
    rmSync(notes, { recursive: true, force: true });
  }
}

try {
  const first = await ask('/');
  console.log(`first page after a new edition: ${(first.ms / 1000).toFixed(1)} s`);
  const beside = await ask('/');
  // Whoever asks for the calendar waits until it is known of every engine what it waits for.
  const all = await ask('/api/calendar');
  console.log(`the second, while the others are worked out behind it: ${(beside.ms / 1000).toFixed(1)} s`);
  console.log(`known of every engine after ${((first.ms + beside.ms + all.ms) / 1000).toFixed(1)} s`);
  const begun = await timeAll();
  // A program that has been at work is as quick as it gets: what it runs often was compiled for the machine by then.
  for (let round = 0; round < ROUNDS; round++) for (const [, path] of SCREENS) await ask(path);
  const atWork = await timeAll();
  console.log(`\nmiddle and worst of ${TIMES}, ms, just begun and after ${ROUNDS * SCREENS.length} pages more`);
  console.log('screen              status   begun   worst  at work   worst      kB');
  const ms = (time: number | undefined, width: number) => (time ?? Number.NaN).toFixed(1).padStart(width);
  for (const [i, [name]] of SCREENS.entries()) {
    const [first, later] = [begun[i], atWork[i]];
    console.log(
      `${name.padEnd(20)}${String(first?.status).padStart(4)}${ms(first?.middle, 10)}${ms(first?.worst, 8)}` +
        `${ms(later?.middle, 9)}${ms(later?.worst, 8)}${((first?.bytes ?? 0) / 1000).toFixed(0).padStart(8)}`,
    );
  }
} finally {
  stop();
}

await timeQuestions();
