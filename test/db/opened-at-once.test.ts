import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { headerOf, noteOf } from '@/db/log-owner';
import { openShop } from '@/db/shop';
import { yardShop } from './temporary-shop';

const PROGRAMS = 4;
const TIMES = 25;

/** A program of its own that opens the file again and again; answers with what went wrong. */
const opener = (file: string) =>
  new Promise<string>((resolve) => {
    const code = `
      import { openDatabase } from './src/db/connection';
      for (let i = 0; i < ${TIMES}; i++) openDatabase(process.env.FILE).close();
    `;
    const child = spawn(process.execPath, ['node_modules/tsx/dist/cli.mjs', '-e', code], {
      env: { ...process.env, FILE: file },
      stdio: ['ignore', 'ignore', 'pipe'],
    });
    let said = '';
    child.stderr.on('data', (part: Buffer) => (said += part.toString()));
    child.once('exit', (status) => resolve(status === 0 ? '' : said.slice(0, 400)));
  });

test('programs that open one file at once all open it, and its mark is in the note beside it', async () => {
  const shop = yardShop();
  const { file } = shop;
  const engines = shop.engines.all().length;
  shop.close();
  expect(await Promise.all(Array.from({ length: PROGRAMS }, () => opener(file)))).toEqual(Array(PROGRAMS).fill(''));
  expect(readFileSync(noteOf(file), 'utf8').split('\n').map(Number)).toContain(headerOf(file)?.mark);
  const again = openShop(file);
  expect([again.engines.all().length, again.db.pragma('integrity_check', { simple: true })]).toEqual([engines, 'ok']);
  again.close();
}, 60_000);
