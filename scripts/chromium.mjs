// Finds Debian's Chromium, or installs it where that can be done; else says how.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

// The shell has no windows to keep, and is done with the journeys in two thirds of the time.
const PLACES = [
  process.env.CHROMIUM,
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
].filter(Boolean);

export function chromium() {
  const found = () => PLACES.find((place) => existsSync(place));
  if (found()) return found();
  if (process.getuid?.() === 0 && spawnSync('which', ['apt-get']).status === 0) {
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
