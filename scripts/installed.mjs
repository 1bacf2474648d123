// Installs what is missing, and only then; anything it has to say goes to standard error, so that a pipe stays clean.
import { spawn } from 'node:child_process';
import { existsSync, readFileSync, statSync } from 'node:fs';
import { compiled, compiledAhead } from './compiled.mjs';

const MARKER = 'node_modules/.package-lock.json';
const isThere = (name) => existsSync(`node_modules/${name}`);

function isCurrent(toServe) {
  const { devDependencies } = JSON.parse(readFileSync('package.json', 'utf8'));
  return (
    existsSync(MARKER) &&
    statSync(MARKER).mtimeMs >= statSync('package-lock.json').mtimeMs &&
    (toServe || Object.keys(devDependencies).every(isThere))
  );
}

function install(toServe) {
  console.error('Installing what is missing (a few minutes the first time) …');
  const isWindows = process.platform === 'win32';
  // Not `npm ci`: it refuses a lockfile written where the registry does not carry every platform's binaries.
  // Where the tests were run before, what they need stays.
  const without = toServe && !isThere('jest') ? ['--omit=dev'] : [];
  // Of all that is installed only better-sqlite3 has a script that is wanted, which has its own time.
  const asked = ['install', '--no-save', '--no-audit', '--no-fund', '--ignore-scripts', ...without];
  const child = spawn(isWindows ? 'npm.cmd' : 'npm', asked, { stdio: ['ignore', 2, 2], shell: isWindows });
  return new Promise((end) => child.on('error', () => end(1)).on('close', (status) => end(status ?? 1)));
}

/**
 * Ends the program where Node is too old, or where what is missing cannot be fetched.
 *
 * @param toServe whether what only the tests need is left out
 * @returns a promise of whether the compiler is done, which runs on beside what comes next
 */
export async function installed({ toServe = false } = {}) {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(
      `This needs Node 20.19 or newer; this is ${process.versions.node}. Install a newer Node and run the same command again.`,
    );
    process.exit(1);
  }
  if (isCurrent(toServe)) return { compiling: compiled() };
  const ahead = isThere('better-sqlite3') ? undefined : compiledAhead();
  const status = await install(toServe);
  if (status !== 0) {
    console.error(
      'The installation did not finish. Check the connection to the npm registry, then run the same command again.',
    );
    process.exit(status);
  }
  return { compiling: compiled(ahead) };
}
