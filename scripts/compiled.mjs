// better-sqlite3 comes as a source of which one core compiles the greater part for two minutes: whoever has something
// else to do meanwhile lets that run beside it.
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

/** Whether it opens a file here. What was compiled for another Node does not, and is compiled anew. */
function isCompiled() {
  try {
    const Database = createRequire(import.meta.url)('better-sqlite3');
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

/** Compiles it where that is wanting; resolves with whether it is there. Ended before its time, it ends what it began. */
export function compiled() {
  if (isCompiled()) return Promise.resolve(true);
  console.error('Compiling better-sqlite3 (up to three minutes the first time) …');
  return new Promise((end) => {
    const isWindows = process.platform === 'win32';
    const child = spawn(isWindows ? 'npm.cmd' : 'npm', ['rebuild', 'better-sqlite3', '--no-audit', '--no-fund'], {
      stdio: ['ignore', 2, 2],
      shell: isWindows,
      env: { ...ways(), ...process.env },
    });
    const stop = () => child.kill();
    process.once('exit', stop);
    child.on('error', () => end(false));
    child.on('close', (status) => {
      process.off('exit', stop);
      const isThere = status === 0 && isCompiled();
      if (!isThere)
        console.error(
          'better-sqlite3 was not compiled. Check that a C++ compiler and Python are there, and that npm may run its script, then run the same command again.',
        );
      end(isThere);
    });
  });
}
