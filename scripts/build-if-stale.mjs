// Builds where there is no build, or where a source is newer than it.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

const MARKER = '.next/BUILD_ID';

const newest = (path) =>
  statSync(path).isDirectory()
    ? Math.max(0, ...readdirSync(path).map((name) => newest(join(path, name))))
    : statSync(path).mtimeMs;

export function buildIfStale() {
  const sources = [
    'src',
    'demo',
    'public',
    'scripts/page-files.cjs',
    'next.config.ts',
    'package.json',
    'postcss.config.mjs',
  ].filter((path) => existsSync(path));
  if (existsSync(MARKER) && statSync(MARKER).mtimeMs >= Math.max(...sources.map(newest))) return;
  console.error('Building (about half a minute) …');
  const { status } = spawnSync(process.execPath, ['node_modules/next/dist/bin/next', 'build'], {
    stdio: ['ignore', 2, 2],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
  });
  if (status !== 0) {
    console.error('The build failed; the lines above say where.');
    process.exit(status ?? 1);
  }
}
