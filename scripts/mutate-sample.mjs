// The share of small spoilings that a test notices, by chance over a whole floor, all of which would take days:
// `npm run mutate:sample core 20 1`, the floor, how many places of it, and the chance’s seed. The floor’s own tests are
// asked first; of what they miss, those of the floors above, which take longer.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';

/** Lines beside each other that are spoilt together: nearly all that goes over several lines lies in so many. */
const PLACE = 12;
const REPORT = 'test-results/mutation/mutation.json';
const CAUGHT = new Set(['Killed', 'Timeout']);
const MISSED = new Set(['Survived', 'NoCoverage']);

/** What belongs to a floor, where its own tests lie, and those above. */
const FLOORS = {
  core: { of: /^src\/(core|reckoner)\/.*\.ts$/, tests: '{core,reference,reckoner}', above: '{model,features,actions}' },
  model: { of: /^src\/model\/.*\.ts$/, tests: '{model,features}', above: '{db,actions,reckoner}' },
  // What an act answers, it answers by the rows that it wrote.
  rows: { of: /^src\/db\/.*\.ts$/, tests: '{db,actions}', above: 'features' },
  // What stands in front of them, `src/server`, is asked by tests that begin a server: nothing of it can be spoilt there.
  doors: { of: /^src\/features\/[^/]+\/(.*actions|schema|.*-schema)\.ts$/, tests: 'actions', above: '{db,features}' },
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

/** What became of each spoiling in those places, asked of the tests that lie there. */
function spoilt(ranges, tests) {
  rmSync(REPORT, { force: true });
  const { status } = spawnSync('node_modules/.bin/stryker', ['run', '--mutate', ranges.join(',')], {
    stdio: 'inherit',
    env: { ...process.env, SPANNER_MUTATE_TESTS: tests },
  });
  if (status !== 0 || !existsSync(REPORT)) process.exit(1);
  const { files } = JSON.parse(readFileSync(REPORT, 'utf8'));
  // What runs as a module loads, and in a test as well, is asked of that test alone: it seems missed whatever others notice.
  return Object.entries(files).flatMap(([file, { mutants }]) =>
    mutants
      .filter((one) => !one.static)
      .map((one) => ({ file, ...one, by: JSON.stringify([file, one.location, one.mutatorName, one.replacement]) })),
  );
}

const own = spoilt(
  drawn.map(({ file, from, to }) => `${file}:${from}-${to}`),
  floor.tests,
);
const missed = own.filter(({ status }) => MISSED.has(status));
const exactly = ({ file, location: { start, end } }) =>
  `${file}:${start.line}:${start.column - 1}-${end.line}:${end.column - 1}`;
const again = missed.length === 0 ? [] : spoilt([...new Set(missed.map(exactly))], floor.above);
const caughtAbove = new Set(again.filter(({ status }) => CAUGHT.has(status)).map(({ by }) => by));

/** Of each place how many were caught and missed, by the floor’s own tests or by all that were asked. */
const countsBy = (isCaught) =>
  drawn
    .map(({ file, from, to }) => {
      const here = own.filter(
        ({ file: at, location, status }) =>
          at === file &&
          location.start.line >= from &&
          location.end.line <= to &&
          (CAUGHT.has(status) || MISSED.has(status)),
      );
      const caught = here.filter(isCaught).length;
      return { caught, missed: here.length - caught };
    })
    .filter(({ caught, missed: left }) => caught + left > 0);

const percent = (value) => (Math.min(1, Math.max(0, value)) * 100).toFixed(1);
for (const [by, isCaught] of [
  ['its own tests', ({ status }) => CAUGHT.has(status)],
  ['these and those above', ({ status, by: which }) => CAUGHT.has(status) || caughtAbove.has(which)],
]) {
  const counts = countsBy(isCaught);
  const { all, share, error } = shareOf(counts);
  if (!(all > 0)) {
    console.log(`${name}: nothing in ${drawn.length} places by seed ${seed} that could be spoilt; ask for more`);
    process.exit(1);
  }
  console.log(
    `${name}: ${drawn.length} of ${total} places by seed ${seed}, ${all} spoilings, by ${by} ` +
      `${percent(share)} % caught (${percent(share - 2 * error)} to ${percent(share + 2 * error)})`,
  );
}
for (const { file, location, mutatorName, replacement, by } of missed.filter((one) => !caughtAbove.has(one.by)))
  console.log(`left: ${file}:${location.start.line}:${location.start.column} ${mutatorName}: ${replacement ?? by}`);
