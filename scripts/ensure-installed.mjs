// Installs what is missing, and only then; anything it has to say goes to standard error, so that a pipe stays clean.
import { spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(
    `This needs Node 20.19 or newer; this is ${process.versions.node}. Install a newer Node and run the same command again.`,
  );
  process.exit(1);
}

const marker = 'node_modules/.package-lock.json';
const isCurrent = existsSync(marker) && statSync(marker).mtimeMs >= statSync('package-lock.json').mtimeMs;
if (!isCurrent) {
  console.error('Installing what is missing (a few minutes the first time) …');
  const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';
  // Not `npm ci`: it refuses a lockfile written where the registry does not carry every platform's binaries.
  const { status } = spawnSync(npm, ['install', '--no-save', '--no-audit', '--no-fund'], {
    stdio: ['ignore', 2, 2],
    shell: process.platform === 'win32',
  });
  if (status !== 0) {
    console.error(
      'The installation did not finish. Check the connection to the npm registry, and that a C++ compiler is there, then run the same command again.',
    );
    process.exit(status ?? 1);
  }
}
