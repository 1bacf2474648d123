// Finds Debian's Chromium, or installs it where that can be done; else says how.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

// The shell has no windows to keep, and is done with the journeys in two thirds of the time.
const PLACES = [
  process.env.CHROMIUM,
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
].filter(Boolean);

const found = () => PLACES.find((place) => existsSync(place));
const mayBeInstalled = () => process.getuid?.() === 0 && spawnSync('which', ['apt-get']).status === 0;

export function chromium() {
  if (found()) return found();
  if (mayBeInstalled()) {
    console.error('Installing Chromium from Debian’s packages …');
    const options = { stdio: ['ignore', 2, 2], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
    spawnSync('apt-get', ['update', '-q'], options);
    for (const name of ['chromium-headless-shell', 'chromium']) {
      spawnSync('apt-get', ['install', '-y', '-q', '--no-install-recommends', name], options);
      if (found()) return found();
    }
  }
  console.error(
    'The browser tests need Chromium. Install it with: sudo apt-get install chromium — or name one with CHROMIUM=/path/to/it.',
  );
  return undefined;
}

/** The same, installed beside what comes next: a promise where it is being installed. */
export function chromiumBeside() {
  if (found() || !mayBeInstalled()) return chromium();
  const child = spawn(process.execPath, ['-e', "import('./scripts/chromium.mjs').then((it) => it.chromium())"], {
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  return new Promise((end) => child.on('error', () => end(undefined)).on('close', () => end(found())));
}
