import { spawnSync } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';

const MODULE = 'build/Release/better_sqlite3.node';
const [OPENS, FOR_ANOTHER_NODE] = ['opens', 'compiled for another Node'];
/** As the package does it, it asks for what was compiled when it first opens a file. */
const PACKAGE = `module.exports = class {
  constructor() { if (require('fs').readFileSync(require('path').join(__dirname, '${MODULE}'), 'utf8') !== '${OPENS}') throw new Error('not this'); }
  close() {}
};`;

/** Installs the package alone, and compiles what it is told to; what was asked of it, and where, is written down. */
const NPM = (asked: string, root: string, compiles: string, fails: string) => `#!${process.execPath}
const { appendFileSync, mkdirSync, readFileSync, realpathSync, writeFileSync } = require('fs');
const [act, ...rest] = process.argv.slice(2);
const where = realpathSync('.') === realpathSync(${JSON.stringify(root)}) ? 'here' : 'ahead';
appendFileSync(${JSON.stringify(asked)}, act + ' ' + where + (act === 'rebuild' ? ' with ' + process.env.CFLAGS : '') + '\\n');
if (act === 'install') {
  if (where === 'ahead') writeFileSync(${JSON.stringify(`${asked}.lock`)}, readFileSync('package-lock.json'));
  mkdirSync('node_modules/better-sqlite3', { recursive: true });
  writeFileSync('node_modules/better-sqlite3/index.js', ${JSON.stringify(PACKAGE)});
  writeFileSync('node_modules/.package-lock.json', '{}');
  // Whoever compiles ahead is done by then.
  if (where === 'here') Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 400);
} else if (${JSON.stringify(compiles)} !== '' && ${JSON.stringify(fails)} !== where) {
  mkdirSync('node_modules/better-sqlite3/build/Release', { recursive: true });
  writeFileSync('node_modules/better-sqlite3/${MODULE}', ${JSON.stringify(compiles)});
}
process.exit(act === 'rebuild' && (${JSON.stringify(fails)} === where || ${JSON.stringify(fails)} === 'both') ? 1 : 0);
`;

const LOCK = {
  lockfileVersion: 3,
  packages: {
    '': { dependencies: { 'better-sqlite3': '12.0.0', other: '1.0.0' } },
    'node_modules/better-sqlite3': {
      version: '12.0.0',
      integrity: 'sha512-A',
      dependencies: { one: '^1', '@a/b': '^1' },
    },
    'node_modules/one': { version: '1.0.0', dependencies: { two: '^2' } },
    'node_modules/one/node_modules/two': { version: '2.0.0' },
    'node_modules/two': { version: '1.0.0' },
    'node_modules/@a/b': { version: '1.0.0', optionalDependencies: { one: '^1', nowhere: '^1' } },
    'node_modules/other': { version: '1.0.0' },
  },
};

/**
 * A clone: `module` is what was compiled in it, or nothing is installed yet; npm compiles `compiles`, and fails at it in
 * the place that `fails` names. What was kept by another clone lies in `kept`.
 */
function clone(
  module: string | undefined,
  {
    compiles = OPENS,
    fails = '',
    beside = 'tmp',
    kept = mkdtempSync(join(tmpdir(), 'spanner-kept-')),
    integrity = 'sha512-A',
  } = {},
) {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-compiled-'));
  const at = (...names: string[]) => join(folder, ...names);
  for (const name of ['scripts', 'bin', 'tmp']) mkdirSync(at(name), { recursive: true });
  for (const name of ['compiled.mjs', 'installed.mjs', 'ensure-installed.mjs'])
    copyFileSync(join('scripts', name), at('scripts', name));
  writeFileSync(at('package.json'), JSON.stringify({ ...LOCK.packages[''], devDependencies: {} }));
  const lock = structuredClone(LOCK);
  lock.packages['node_modules/better-sqlite3'].integrity = integrity;
  writeFileSync(at('package-lock.json'), JSON.stringify(lock));
  if (module !== 'nothing installed') {
    mkdirSync(at('node_modules/better-sqlite3/build/Release'), { recursive: true });
    writeFileSync(at('node_modules/better-sqlite3/index.js'), PACKAGE);
    // Later than the lock: nothing is to be installed.
    writeFileSync(at('node_modules/.package-lock.json'), '{}');
    if (module !== undefined) writeFileSync(at('node_modules/better-sqlite3', MODULE), module);
  }
  writeFileSync(at('bin/npm'), NPM(at('asked'), folder, compiles, fails), { mode: 0o755 });
  return {
    kept,
    lock: () => JSON.parse(readFileSync(at('asked.lock'), 'utf8')) as typeof LOCK,
    leftBehind: () => readdirSync(at('tmp')),
    ensure: () => {
      const { CFLAGS: _, ...env } = process.env;
      const { status: ended, stderr } = spawnSync(process.execPath, ['scripts/ensure-installed.mjs'], {
        cwd: folder,
        env: { ...env, PATH: `${at('bin')}:${process.env.PATH}`, XDG_CACHE_HOME: kept, TMPDIR: at(beside) },
        encoding: 'utf8',
      });
      const asked = existsSync(at('asked')) ? readFileSync(at('asked'), 'utf8').trim().split('\n').sort() : [];
      return { ended, stderr, asked };
    },
  };
}

const HERE = 'rebuild here with -O2';
const AHEAD = 'rebuild ahead with -O2';
const NOT_COMPILED = 'better-sqlite3 was not compiled. Check that a C++ compiler and Python are there';

describe('what is installed as a source is compiled', () => {
  test('not where it opens a file', () => {
    expect(clone(OPENS).ensure()).toEqual({ ended: 0, stderr: '', asked: [] });
  });
  test.each([
    ['where it never was', undefined],
    ['where it was for another Node', FOR_ANOTHER_NODE],
  ])('%s', (_, module) => {
    expect(clone(module).ensure()).toMatchObject({ ended: 0, asked: [HERE] });
  });
  test.each([
    ['the compiler fails', { fails: 'here' }],
    ['npm ends well and did nothing, as where it may run no script', { compiles: '' }],
    ['what it left does not open a file', { compiles: FOR_ANOTHER_NODE }],
  ])('and it is said where %s', (_, given) => {
    const { ended, stderr, asked } = clone(undefined, given).ensure();
    expect([ended, asked]).toEqual([1, [HERE]]);
    expect(stderr).toContain(NOT_COMPILED);
  });
});

describe('where nothing is installed', () => {
  test('it is compiled beside, of what is locked, and nothing of that is left behind', () => {
    const one = clone('nothing installed');
    expect(one.ensure()).toMatchObject({ ended: 0, asked: ['install ahead', 'install here', AHEAD] });
    const { packages } = one.lock();
    // What it stands on, each where it is found, and none besides.
    expect(Object.keys(packages).sort()).toEqual(
      ['', ...['@a/b', 'better-sqlite3', 'one', 'one/node_modules/two'].map((name) => `node_modules/${name}`)].sort(),
    );
    expect(packages['node_modules/better-sqlite3']).toEqual(LOCK.packages['node_modules/better-sqlite3']);
    expect(one.leftBehind()).toEqual([]);
  });
  test.each([
    ['the compiler fails there', { fails: 'ahead' }],
    ['what it made there does not open a file', { compiles: FOR_ANOTHER_NODE }],
  ])('it is compiled in its place where %s', (_, given) => {
    const { ended, stderr, asked } = clone('nothing installed', given).ensure();
    expect(asked).toEqual(['install ahead', 'install here', AHEAD, HERE].sort());
    // What fails in both places is said once.
    expect([ended, stderr.split(NOT_COMPILED).length - 1]).toEqual('fails' in given ? [0, 0] : [1, 1]);
  });
});

test('where nothing can be written beside, it is compiled in its place', () => {
  const { ended, asked } = clone('nothing installed', { beside: 'nowhere' }).ensure();
  expect([ended, asked]).toEqual([0, ['install here', HERE]]);
});

describe('what was compiled is kept for the next clone', () => {
  test.each([['nothing installed'], [undefined]])('and is not compiled again there (%s)', (module) => {
    const { kept, ensure } = clone('nothing installed');
    expect(ensure().ended).toBe(0);
    const next = clone(module, { kept }).ensure();
    expect(next.asked.filter((act) => act.startsWith('rebuild'))).toEqual([]);
    expect(next.ended).toBe(0);
  });
  test('but for another source, or where what was kept is spoilt, it is', () => {
    const { kept, ensure } = clone(undefined);
    expect(ensure().ended).toBe(0);
    expect(clone(undefined, { kept, integrity: 'sha512-B' }).ensure()).toMatchObject({ ended: 0, asked: [HERE] });
    const folder = join(kept, 'unhurried-spanner');
    for (const name of readdirSync(folder)) if (name.endsWith('.node')) writeFileSync(join(folder, name), 'ope');
    expect(clone(undefined, { kept }).ensure()).toMatchObject({ ended: 0, asked: [HERE] });
    // Compiled once more, it was kept once more.
    expect(clone(undefined, { kept }).ensure()).toMatchObject({ ended: 0, asked: [] });
  });
  test('where nothing can be kept it is compiled, and that is all', () => {
    const kept = join(mkdtempSync(join(tmpdir(), 'spanner-kept-')), 'file');
    writeFileSync(kept, 'no folder');
    expect(clone(undefined, { kept }).ensure()).toMatchObject({ ended: 0, asked: [HERE] });
  });
});
