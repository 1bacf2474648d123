// better-sqlite3 comes as a source of which one core compiles the greater part for two minutes: it is begun before
// anything else is there, runs beside what comes next, and what came of it is kept for the next clone.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { createRequire } from 'node:module';
import { homedir, tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

const NAME = 'better-sqlite3';
const MODULE = `node_modules/${NAME}/build/Release/better_sqlite3.node`;
const read = (file) => JSON.parse(readFileSync(file, 'utf8'));

/** Whether it opens a file here. What was compiled for another Node does not, and is compiled anew. */
function isCompiled() {
  try {
    const Database = createRequire(import.meta.url)(NAME);
    new Database(':memory:').close();
    return true;
  } catch {
    return false;
  }
}

/**
 * Where Node's own headers lie beside it, they are read there: else they would be fetched. By `-O3`, which is asked for
 * there, it takes a quarter longer, and no query less long.
 */
function ways() {
  const root = dirname(dirname(process.execPath));
  return { CFLAGS: '-O2', ...(existsSync(join(root, 'include/node/node.h')) && { npm_config_nodedir: root }) };
}

/** Where that is kept which was compiled of this source, so, for this Node on this kind of machine. */
function keptAt() {
  const { packages } = read('package-lock.json');
  const { glibcVersionRuntime } = process.report.getReport().header;
  const { CFLAGS } = { ...ways(), ...process.env };
  const { platform, arch, versions } = process;
  const of = [
    packages?.[`node_modules/${NAME}`]?.integrity,
    versions.modules,
    platform,
    arch,
    glibcVersionRuntime,
    CFLAGS,
  ];
  const folder = process.env.XDG_CACHE_HOME ?? process.env.LOCALAPPDATA ?? join(homedir(), '.cache');
  return join(folder, 'unhurried-spanner', `${createHash('sha256').update(JSON.stringify(of)).digest('hex')}.node`);
}

const digestOf = (file) => createHash('sha256').update(readFileSync(file)).digest('hex');

/** Keeps what was compiled. Where that cannot be, the next clone compiles it again: nothing is said. */
function keep(file) {
  try {
    const at = keptAt();
    mkdirSync(dirname(at), { recursive: true });
    const half = `${at}.${process.pid}`;
    copyFileSync(file, half);
    writeFileSync(`${at}.sha256`, digestOf(half));
    renameSync(half, at);
  } catch {}
}

/** Whether what was kept is whole, could be put in its place, and opens a file there. */
function isTakenFromKept() {
  try {
    const at = keptAt();
    if (digestOf(at) !== readFileSync(`${at}.sha256`, 'utf8')) return false;
    mkdirSync(dirname(MODULE), { recursive: true });
    copyFileSync(at, MODULE);
    return isCompiled();
  } catch {
    return false;
  }
}

/** Runs npm, in another folder without a word; resolves with whether it ended well. Ended early, it ends what it began. */
function npm(args, cwd) {
  return new Promise((end) => {
    const isWindows = process.platform === 'win32';
    const child = spawn(isWindows ? 'npm.cmd' : 'npm', args, {
      cwd,
      stdio: cwd ? 'ignore' : ['ignore', 2, 2],
      shell: isWindows,
      env: { ...ways(), ...process.env },
    });
    const stop = () => child.kill();
    process.once('exit', stop);
    child.on('error', () => end(false));
    child.on('close', (status) => {
      process.off('exit', stop);
      end(status === 0);
    });
  });
}

/** Of all that is locked what that package stands on, itself with it. */
function lockOf({ lockfileVersion, packages }, name) {
  const kept = { [`node_modules/${name}`]: packages[`node_modules/${name}`] };
  const waiting = Object.keys(kept);
  for (let path = waiting.pop(); path !== undefined; path = waiting.pop())
    for (const needed of Object.keys({ ...packages[path].dependencies, ...packages[path].optionalDependencies })) {
      let above = path;
      while (above && !packages[`${above}/node_modules/${needed}`])
        above = above.replace(/\/?node_modules\/(@[^/]+\/)?[^/]+$/, '');
      const at = `${above}${above && '/'}node_modules/${needed}`;
      if (!packages[at] || kept[at]) continue;
      kept[at] = packages[at];
      waiting.push(at);
    }
  return { lockfileVersion, requires: true, packages: kept };
}

/**
 * Compiles it in a folder of its own, and keeps it, before the packages are there: the compiler asks for none of the
 * others. What goes wrong is found again, and said, where it is compiled in its place.
 */
export async function compiledAhead() {
  let folder;
  const clear = () => folder && rmSync(folder, { recursive: true, force: true });
  process.once('exit', clear);
  try {
    if (existsSync(keptAt())) return;
    folder = mkdtempSync(join(tmpdir(), 'spanner-sqlite-'));
    const lock = lockOf(read('package-lock.json'), NAME);
    const version = read('package.json').dependencies[NAME];
    lock.packages[''] = { dependencies: { [NAME]: version }, allowScripts: { [NAME]: true } };
    writeFileSync(join(folder, 'package.json'), JSON.stringify({ private: true, ...lock.packages[''] }));
    writeFileSync(join(folder, 'package-lock.json'), JSON.stringify(lock));
    const quiet = ['--no-audit', '--no-fund'];
    if (
      (await npm(['install', '--no-save', ...quiet, '--ignore-scripts'], folder)) &&
      (await npm(['rebuild', NAME, ...quiet], folder)) &&
      spawnSync(process.execPath, ['-e', `new (require('${NAME}'))(':memory:')`], { cwd: folder }).status === 0
    )
      keep(join(folder, MODULE));
  } catch {
    // A lock without it, or no folder that can be written: it is compiled in its place.
  } finally {
    clear();
  }
}

/**
 * Compiles it where that is wanting; resolves with whether it is there.
 *
 * @param ahead what was begun by `compiledAhead`
 */
export async function compiled(ahead) {
  if (isCompiled() || isTakenFromKept()) return true;
  console.error('Compiling better-sqlite3 (up to three minutes the first time) …');
  await ahead;
  if (isTakenFromKept()) return true;
  const isThere = (await npm(['rebuild', NAME, '--no-audit', '--no-fund'])) && isCompiled();
  if (isThere) keep(MODULE);
  else
    console.error(
      'better-sqlite3 was not compiled. Check that a C++ compiler and Python are there, and that npm may run its script, then run the same command again.',
    );
  return isThere;
}
