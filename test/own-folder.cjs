// What tests write lies in one folder of the run's own and goes with it: the shop of the yard alone takes 750 kB each time.
const { existsSync, mkdtempSync, rmSync, statfsSync } = require('node:fs');
const { tmpdir } = require('node:os');
const { join } = require('node:path');

const MEMORY = '/dev/shm';
/** Bytes that must be free in memory for a run to lie there. */
const ROOM = 2 ** 30;

/** Hundreds of files are made, filled and thrown away, and none is cut off from its power: memory does, where there is. */
function inMemory() {
  if (!existsSync(MEMORY)) return false;
  const { bavail, bsize } = statfsSync(MEMORY);
  return bavail * bsize > ROOM;
}

/** Before a run: by Jest for each project, by Playwright once. A run within a run (spoilt code) keeps the first's folder. */
module.exports = (_run, project) => {
  if (process.env.SPANNER_TEST_FOLDER) return;
  const isOnDisk = project?.displayName?.name === 'server';
  const folder = mkdtempSync(join(!isOnDisk && inMemory() ? MEMORY : tmpdir(), 'spanner-tests-'));
  Object.assign(process.env, { SPANNER_TEST_FOLDER: folder, TMPDIR: folder });
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
};
