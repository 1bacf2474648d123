// Everything that is checked, in order: lint, types, build, core, server, browser. Stops at the first that fails.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { chromiumBeside } from './chromium.mjs';
import { installed } from './installed.mjs';

const bin = (name) => `node_modules/.bin/${name}`;
const results = 'test-results';
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

let passed = 0;
let failed = 0;
const started = Date.now();

function close(status) {
  writeFileSync(`${results}/totals.json`, JSON.stringify({ passed, failed }));
  console.log(`\n${((Date.now() - started) / 1000).toFixed(0)} s`);
  console.log(`${passed} passed, ${failed} failed`);
  process.exit(status);
}

/** Ends where something is not there that all of it stands on. */
function without() {
  failed += 1;
  close(1);
}

const environment = (more = {}) => ({ ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...more });

/** Runs one step; a step that counts its own tests says how it went in `count`. */
async function step(title, command, args, { env, count } = {}) {
  console.log(`\n— ${title}`);
  const from = Date.now();
  const child = spawn(command, args, { stdio: ['ignore', 'inherit', 'inherit'], env: environment(env) });
  const status = await new Promise((end) => child.on('error', () => end(1)).on('close', end));
  const counted = count?.() ?? { passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1 };
  passed += counted.passed;
  failed += status !== 0 && counted.failed === 0 ? 1 : counted.failed;
  console.log(`  ${title}: ${status === 0 ? 'good' : 'failed'}, ${((Date.now() - from) / 1000).toFixed(0)} s`);
  if (status !== 0) close(1);
}

/** Runs a step that counts no tests beside others, what it says kept together until it ends. */
function beside(title, command, args) {
  const from = Date.now();
  return new Promise((end) => {
    const child = spawn(command, args, { env: environment() });
    process.once('exit', () => child.kill());
    const said = [];
    child.stdout.on('data', (part) => said.push(part));
    child.stderr.on('data', (part) => said.push(part));
    child.on('error', (error) => said.push(Buffer.from(`${error.message}\n`)));
    child.on('close', (status) => {
      console.log(`\n— ${title}`);
      process.stdout.write(Buffer.concat(said));
      console.log(`  ${title}: ${status === 0 ? 'good' : 'failed'}, ${((Date.now() - from) / 1000).toFixed(0)} s`);
      if (status === 0) passed += 1;
      else failed += 1;
      end(status === 0);
    });
  });
}

/** One after another; the first that fails is the last. */
async function inTurn(...parts) {
  for (const part of parts) if (!(await part())) return false;
  return true;
}

/** Waits for all that run beside each other, and ends if one failed. */
async function ended(...running) {
  if ((await Promise.all(running)).includes(false)) close(1);
}

const jestCount = (file) => () => {
  if (!existsSync(file)) return undefined;
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(file, 'utf8'));
  return { passed: numPassedTests, failed: numFailedTests + numRuntimeErrorTestSuites };
};
const playwrightCount = () => {
  const file = 'browser-results.json';
  if (!existsSync(file)) return undefined;
  const { stats } = JSON.parse(readFileSync(file, 'utf8'));
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
};
const jest = (project) => [
  'node_modules/jest/bin/jest.js',
  '--selectProjects',
  project,
  // One core for each: the default leaves one of two idle.
  '--maxWorkers=100%',
  // What takes one second on a quick machine takes six on a slow one that does something else.
  '--testTimeout=60000',
  '--json',
  '--outputFile',
  `${results}/${project}.json`,
];

// What is missing comes while that is looked at which needs neither: lint, types and the build.
const browser = chromiumBeside();
if (!browser) without();
const { compiling } = await installed();

await step('types of the routes', bin('next'), ['typegen']);
// The two that read types take both cores for a while, and the other two one each.
await ended(
  inTurn(
    () => beside('type check', process.execPath, ['node_modules/typescript-native/bin/tsc', '--noEmit']),
    () => beside('lint', bin('oxlint'), []),
  ),
  inTurn(
    () => beside('unused code', bin('knip'), []),
    () => beside('import rules', bin('depcruise'), ['src', 'demo', 'scripts', '--config', '.dependency-cruiser.cjs']),
  ),
);
await step('build', bin('next'), ['build']);
if (!(await compiling)) without();
await step('core', process.execPath, jest('core'), { count: jestCount(`${results}/core.json`) });
await step('server', process.execPath, jest('server'), { count: jestCount(`${results}/server.json`) });
rmSync('browser-results.json', { force: true });
const found = await browser;
if (!found) without();
await step('browser', bin('playwright'), ['test'], { env: { CHROMIUM: found }, count: playwrightCount });
close(0);
