import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';

const filesUnder = (folder: string): readonly string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name))
    .map((name) => join(folder, name));
const SRC = filesUnder('src').map((path) => ({ path, text: readFileSync(path, 'utf8') }));
const importsOf = (text: string, of: RegExp) => text.match(new RegExp(`from '@/${of.source}`, 'g')) ?? [];

describe('the house', () => {
  test('nothing that runs in the browser asks the database or the server, not even for a type', () => {
    const clients = SRC.filter(({ text }) => /^['"]use client['"]/.test(text));
    expect(clients.length).toBeGreaterThan(60);
    for (const { path, text } of clients) expect([path, importsOf(text, /(db|server)\//)]).toEqual([path, []]);
  });
  test('features lean little on the database: what they need of it is gathered in its reads', () => {
    const arrows = SRC.filter(({ path }) => path.startsWith(join('src', 'features'))).flatMap(({ text }) =>
      importsOf(text, /db\//),
    );
    expect(arrows.length).toBeLessThan(60);
  });
  test('a closed list is checked by its name, nowhere by its entries again', () => {
    for (const { path, text } of SRC)
      expect([path, text.match(/\.valid\(\s*'[^']+',\s*'[^']+',\s*'[^']+'/g) ?? []]).toEqual([
        path,
        path.endsWith(join('fits', 'schema.ts')) ? ["'page', 'rule', 'own'"].map((list) => `.valid(${list}`) : [],
      ]);
  });
  test('the formatter is kept off tables of data alone', () => {
    const exempt = SRC.filter(({ text }) => text.includes('prettier-ignore')).map(({ path }) => path);
    for (const path of exempt) expect(path).toMatch(/^src[\\/](core|model[\\/]practice)[\\/]/);
  });
  test('lines are of 120 characters, but for tables of data and sentences', () => {
    const lines = [
      ...SRC.map(({ text }) => text),
      ...filesUnder('test').map((path) => readFileSync(path, 'utf8')),
    ].flatMap((text) => text.split('\n'));
    const long = lines.filter((line) => line.length > 120).length;
    expect(long / lines.length).toBeLessThan(0.005);
  });
  test('type is of the scale, or at least grows with the reader’s own setting', () => {
    const sheets = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.css'));
    expect(sheets.length).toBeGreaterThan(30);
    for (const sheet of sheets)
      expect([sheet, readFileSync(join('src', sheet), 'utf8').match(/font-size: [\d.]+px/g) ?? []]).toEqual([
        sheet,
        [],
      ]);
  });
  test('what tests write lies in the run’s own folder, and goes with it', () => {
    const own = process.env.SPANNER_TEST_FOLDER ?? 'none';
    expect(existsSync(own)).toBe(true);
    expect(tmpdir()).toBe(own);
  });
  test('a refusal is a sentence: it begins as one, and holds no name that the program has for a thing', () => {
    const literal = /DomainError\(\s*(?:'[^']*'|\w+),\s*(?:'([^'\n]*)'|`((?:[^`$]|\$\{[^}`]*\})*)`)/g;
    // What the reckoner refuses of a request's shape names the keys that are to be mended in it.
    const said = SRC.filter(({ path }) => !path.startsWith(join('src', 'reckoner'))).flatMap(({ path, text }) =>
      [...text.matchAll(literal)].map(([, plain, filled]): [string, string] => [path, plain ?? filled ?? '']),
    );
    expect(said.length).toBeGreaterThan(150);
    const slips = said.filter(([, words]) => {
      const bare = words.replace(/\$\{[^}]*\}/g, '0');
      const begins = /^(?:[A-Z“0-9]|\$\{(?!field\}|at\}|path\}))/.test(words);
      return !begins || /\w_\w|[a-z][A-Z][a-z]|[a-z]\.[a-z]/.test(bare);
    });
    expect(slips).toEqual([]);
  });
  test('every action goes through the one wrapper', () => {
    const actions = SRC.filter(({ text }) => /^'use server'/.test(text));
    expect(actions.length).toBeGreaterThan(10);
    for (const { path, text } of actions) {
      const exported = [...text.matchAll(/^export (?:const|async function) (\w+)/gm)].map(([, name]) => name);
      const wrapped = [
        ...text.matchAll(/^export const (\w+) = (?:shopAction|plainShopAction|shopQuestion|longQuestion)\(/gm),
      ].map(([, name]) => name);
      if (!path.endsWith('shop-actions.ts')) expect([path, wrapped]).toEqual([path, exported]);
    }
  });
});
