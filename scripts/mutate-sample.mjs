// The share of small spoilings that a test notices, by chance over a whole floor, all of which would take days:
// `npm run mutate:sample core 20 1`, the floor, how many places of it, and the chance’s seed. Only the floor’s own tests
// are asked: what others would notice besides is not counted.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';

/** Lines beside each other that are spoilt together: nearly all that goes over several lines lies in so many. */
const PLACE = 12;
const REPORT = 'test-results/mutation/mutation.json';
const CAUGHT = new Set(['Killed', 'Timeout']);
const MISSED = new Set(['Survived', 'NoCoverage']);

/** What belongs to a floor, and where its tests lie. */
const FLOORS = {
  core: { of: /^src\/(core|reckoner)\/.*\.ts$/, tests: '{core,reference,reckoner}' },
  model: { of: /^src\/model\/.*\.ts$/, tests: '{model,features}' },
  // What an act answers, it answers by the rows that it wrote.
  rows: { of: /^src\/db\/.*\.ts$/, tests: '{db,actions}' },
  // What stands in front of them, `src/server`, is asked by tests that begin a server: nothing of it can be spoilt there.
  doors: { of: /^src\/features\/[^/]+\/(.*actions|schema|.*-schema)\.ts$/, tests: 'actions' },
};

/** Numbers from 0 to 1 that follow from a seed (mulberry32). */
function chanceFrom(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** Places of a floor, each as likely as another, none twice: `{ file, from, to }`, lines counted from 1. */
function placesOf(floor, count, seed) {
  const listed = spawnSync('git', ['ls-files', 'src'], { encoding: 'utf8' }).stdout.split('\n');
  const all = listed
    .filter((file) => floor.of.test(file))
    .flatMap((file) => {
      const lines = readFileSync(file, 'utf8').split('\n').length;
      return Array.from({ length: Math.ceil(lines / PLACE) }, (_, i) => ({
        file,
        from: i * PLACE + 1,
        to: Math.min(lines, (i + 1) * PLACE),
      }));
    });
  const chance = chanceFrom(seed);
  const drawn = [];
  while (drawn.length < count && all.length > 0) drawn.push(...all.splice(Math.floor(chance() * all.length), 1));
  return { drawn, total: all.length + drawn.length };
}

/** The share caught of all, and its standard error: spoilings of one place are alike, so places are what is counted. */
function shareOf(counts) {
  const sum = (of) => counts.reduce((total, one) => total + of(one), 0);
  const all = sum(({ caught, missed }) => caught + missed);
  const share = sum(({ caught }) => caught) / all;
  const off = sum(({ caught, missed }) => (caught - share * (caught + missed)) ** 2);
  const places = counts.length;
  return { all, share, error: Math.sqrt((off * places) / Math.max(1, places - 1)) / all };
}

const [name, count = '60', seed = '1'] = process.argv.slice(2);
const floor = FLOORS[name];
if (!floor || !(Number(count) > 0)) {
  console.error(`npm run mutate:sample ${Object.keys(FLOORS).join('|')} [places] [seed]`);
  process.exit(2);
}
const { drawn, total } = placesOf(floor, Number(count), Number(seed));
const ranges = drawn.map(({ file, from, to }) => `${file}:${from}-${to}`);
rmSync(REPORT, { force: true });
const ran = spawnSync('node_modules/.bin/stryker', ['run', '--mutate', ranges.join(',')], {
  stdio: 'inherit',
  env: { ...process.env, SPANNER_MUTATE_TESTS: floor.tests },
});
if (ran.status !== 0 || !existsSync(REPORT)) process.exit(1);

const { files } = JSON.parse(readFileSync(REPORT, 'utf8'));
const counts = drawn.map(({ file, from, to }) => {
  // What runs as a module loads, and in a test as well, is asked of that test alone: it seems missed whatever others notice.
  const here = (files[file]?.mutants ?? []).filter(
    ({ location, static: isStatic }) => !isStatic && location.start.line >= from && location.end.line <= to,
  );
  const of = (kinds) => here.filter(({ status }) => kinds.has(status)).length;
  return { caught: of(CAUGHT), missed: of(MISSED) };
});
const { all, share, error } = shareOf(counts.filter(({ caught, missed }) => caught + missed > 0));
if (all === 0) {
  console.log(`${name}: nothing in ${drawn.length} places by seed ${seed} that could be spoilt; ask for more`);
  process.exit(1);
}
const percent = (value) => (Math.min(1, Math.max(0, value)) * 100).toFixed(1);
console.log(
  `${name}: ${drawn.length} of ${total} places by seed ${seed}, ${all} spoilings, ` +
    `${percent(share)} % caught (${percent(share - 2 * error)} to ${percent(share + 2 * error)})`,
);
