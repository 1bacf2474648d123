// Installs what is missing, and only then; anything it has to say goes to standard error, so that a pipe stays clean.
// With `--to-serve` what only the tests need is left out; with `--compile-later` whoever comes after it compiles, beside
// something else.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statSync } from 'node:fs';
import { compiled } from './compiled.mjs';

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(
    `This needs Node 20.19 or newer; this is ${process.versions.node}. Install a newer Node and run the same command again.`,
  );
  process.exit(1);
}

const marker = 'node_modules/.package-lock.json';
const { devDependencies } = JSON.parse(readFileSync('package.json', 'utf8'));
const isThere = (name) => existsSync(`node_modules/${name}`);
const toServe = process.argv.includes('--to-serve');
const isCurrent =
  existsSync(marker) &&
  statSync(marker).mtimeMs >= statSync('package-lock.json').mtimeMs &&
  (toServe || Object.keys(devDependencies).every(isThere));
if (!isCurrent) {
  console.error('Installing what is missing (a few minutes the first time) …');
  const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';
  // Not `npm ci`: it refuses a lockfile written where the registry does not carry every platform's binaries.
  // Where the tests were run before, what they need stays.
  const without = toServe && !isThere('jest') ? ['--omit=dev'] : [];
  // Of all that is installed only better-sqlite3 has a script that is wanted, which has its own time.
  const asked = ['install', '--no-save', '--no-audit', '--no-fund', '--ignore-scripts', ...without];
  const { status } = spawnSync(npm, asked, { stdio: ['ignore', 2, 2], shell: process.platform === 'win32' });
  if (status !== 0) {
    console.error(
      'The installation did not finish. Check the connection to the npm registry, then run the same command again.',
    );
    process.exit(status ?? 1);
  }
}
if (!process.argv.includes('--compile-later') && !(await compiled())) process.exit(1);
