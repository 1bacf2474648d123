// Lint, import rules, types and the core suite: `npm run check`. Of the suite it runs what anything was changed under
// since it last passed here; `npm run check -- --all`, and CI, run it whole.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { toBeRun } from './to-be-run.cjs';

const KEPT = 'node_modules/.cache/spanner/checked.json';
const bin = (name) => `node_modules/.bin/${name}`;

/** Every file of the project that is not ignored, with a digest of it; undefined outside a checkout. */
function filesNow() {
  const listed = spawnSync('git', ['ls-files', '-z', '--cached', '--others', '--exclude-standard'], {
    encoding: 'utf8',
  });
  if (listed.status !== 0) return undefined;
  const names = listed.stdout.split('\0').filter((name) => name && existsSync(name));
  const digest = (name) => createHash('sha256').update(readFileSync(name)).digest('hex');
  return { node: process.version, ...Object.fromEntries(names.map((name) => [name, digest(name)])) };
}

/** Runs a command; resolves with what it said, and whether all is well. */
function run(title, command, args) {
  const from = Date.now();
  return new Promise((end) => {
    const child = spawn(command, args, { env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' } });
    const said = [];
    child.stdout.on('data', (part) => said.push(part));
    child.stderr.on('data', (part) => said.push(part));
    child.on('error', (error) => said.push(Buffer.from(`${error.message}\n`)));
    child.on('close', (status) => {
      if (status !== 0) process.stdout.write(Buffer.concat(said));
      console.log(`${title}: ${status === 0 ? 'good' : 'failed'}, ${((Date.now() - from) / 1000).toFixed(0)} s`);
      end(status === 0);
    });
  });
}

/** One after another; the first that fails is the last. */
async function inTurn(...steps) {
  for (const step of steps) if (!(await run(...step))) return false;
  return true;
}

const started = Date.now();
const now = filesNow();
const before = existsSync(KEPT) ? JSON.parse(readFileSync(KEPT, 'utf8')) : undefined;
const isAll = process.argv.includes('--all');
const asked = toBeRun(isAll ? undefined : before, now, (name) => readFileSync(name, 'utf8'));
const suite = ['node_modules/jest/bin/jest.js', '--selectProjects', 'core', '--testTimeout=60000'];
const tests = asked.isAll
  ? ['core, whole', process.execPath, [...suite, '--maxWorkers=100%']]
  : [
      `core, of ${asked.files.length} files`,
      process.execPath,
      [...suite, '--maxWorkers=2', '--passWithNoTests', '--findRelatedTests', ...asked.files],
    ];
console.log(asked.why);

const rules = [
  ['lint', bin('oxlint'), []],
  ['import rules', bin('depcruise'), ['src', 'demo', 'scripts', '--config', '.dependency-cruiser.cjs']],
];
const types = [
  ['types of the routes', bin('next'), ['typegen']],
  ['types', process.execPath, ['node_modules/typescript-native/bin/tsc', '--noEmit']],
];
// Of two cores each has its own; the whole suite takes both.
const sides = asked.isAll
  ? [await inTurn(...types, ...rules, tests)]
  : await Promise.all([inTurn(...types, ...rules), inTurn(tests)]);
if (sides.includes(false)) process.exit(1);
if (now) {
  mkdirSync(dirname(KEPT), { recursive: true });
  writeFileSync(KEPT, JSON.stringify(now));
}
console.log(`${((Date.now() - started) / 1000).toFixed(0)} s`);
