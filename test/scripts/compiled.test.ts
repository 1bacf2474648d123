import { spawnSync } from 'node:child_process';
import { chmodSync, copyFileSync, existsSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';

const OPENS = 'module.exports = {};';
const FOR_ANOTHER_NODE = "throw new Error('compiled against another NODE_MODULE_VERSION');";
/** As the package does it, it asks for what was compiled when it first opens a file. */
const PACKAGE = "module.exports = class { constructor() { require('./compiled.js'); } close() {} };";

/**
 * A folder as it stands after the packages are there: `module` is what was compiled, and npm, of which nothing else is
 * asked, leaves `compiles` in its place and ends with `status`.
 */
function installed(module: string | undefined, { compiles = '', status = 0 } = {}) {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-compiled-'));
  const at = (...names: string[]) => join(folder, ...names);
  for (const name of ['scripts', 'bin', 'node_modules/better-sqlite3']) mkdirSync(at(name), { recursive: true });
  for (const name of ['compiled.mjs', 'ensure-installed.mjs']) copyFileSync(join('scripts', name), at('scripts', name));
  writeFileSync(at('package.json'), JSON.stringify({ devDependencies: {} }));
  writeFileSync(at('package-lock.json'), '{}');
  // Later than the lock: nothing is to be installed.
  writeFileSync(at('node_modules/.package-lock.json'), '{}');
  writeFileSync(at('node_modules/better-sqlite3/index.js'), PACKAGE);
  const main = at('node_modules/better-sqlite3/compiled.js');
  if (module !== undefined) writeFileSync(main, module);
  writeFileSync(at('left.js'), compiles);
  const copy = compiles === '' ? '' : `cp "${at('left.js')}" "${main}"`;
  writeFileSync(at('bin/npm'), `#!/bin/sh\necho "$* with $CFLAGS" >> "${at('asked')}"\n${copy}\nexit ${status}\n`);
  chmodSync(at('bin/npm'), 0o755);
  return {
    ensure: (...args: string[]) => {
      const { CFLAGS: _, ...env } = process.env;
      const { status: ended, stderr } = spawnSync(process.execPath, ['scripts/ensure-installed.mjs', ...args], {
        cwd: folder,
        env: { ...env, PATH: `${at('bin')}:${process.env.PATH}` },
        encoding: 'utf8',
      });
      return { ended, stderr, asked: existsSync(at('asked')) ? readFileSync(at('asked'), 'utf8').trim() : '' };
    },
  };
}

const REBUILT = 'rebuild better-sqlite3 --no-audit --no-fund with -O2';

describe('what is installed as a source is compiled', () => {
  test('not where it opens a file', () => {
    expect(installed(OPENS).ensure()).toEqual({ ended: 0, stderr: '', asked: '' });
  });
  test.each([
    ['where it never was', undefined],
    ['where it was for another Node', FOR_ANOTHER_NODE],
  ])('%s', (_, module) => {
    expect(installed(module, { compiles: OPENS }).ensure()).toMatchObject({ ended: 0, asked: REBUILT });
  });
  test.each([
    ['the compiler fails', { status: 1 }],
    ['npm ends well and did nothing, as where it may run no script', {}],
    ['what it left does not open a file', { compiles: FOR_ANOTHER_NODE }],
  ])('and it is said where %s', (_, given) => {
    const { ended, stderr, asked } = installed(undefined, given).ensure();
    expect([ended, asked]).toEqual([1, REBUILT]);
    expect(stderr).toContain('better-sqlite3 was not compiled. Check that a C++ compiler and Python are there');
  });
  test('by whoever comes next, where that is asked for', () => {
    expect(installed(undefined).ensure('--compile-later')).toEqual({ ended: 0, stderr: '', asked: '' });
  });
});
