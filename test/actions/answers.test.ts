import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { expect, jest, test } from '@jest/globals';
import type { Result } from '@/model/result';
import { keptAs, photoSent } from '@/server/http';
import { ownShop, refusedWhole } from './own-shop';

test('a request for a photograph without a form in it is a request with no photograph', async () => {
  const keep = jest.fn<() => Promise<object>>();
  for (const init of [
    { body: 'null' },
    {},
    { body: '--x', headers: { 'content-type': 'multipart/form-data; boundary=x' } },
  ]) {
    const answer = await photoSent(new Request('http://localhost/api', { method: 'POST', ...init }), keep);
    expect([answer.status, await answer.json()]).toMatchObject([
      400,
      { error: { code: 'missing-field', field: 'photo' } },
    ]);
  }
  expect(keep).not.toHaveBeenCalled();
});

test.each([
  ['Norrhem N3 order', 'norrhem-n3-order'],
  ['Mühle “Süd”, 2½ Liter', 'mühle-süd-2½-liter'],
  ['Ёлка / 12', 'ёлка-12'],
  ['a"; filename="../x', 'a-filename-x'],
  ['\uD800 lost half', 'lost-half'],
  ['…', 'file'],
])('a file of %p has a name in those letters, and nothing else in its header', (words, name) => {
  const header = keptAs(words, 'csv')['content-disposition'];
  expect(header).toMatch(/^attachment; filename\*=UTF-8''[\w.%-]+\.csv$/);
  expect(decodeURIComponent(header.slice(header.lastIndexOf("'") + 1))).toBe(`${name}.csv`);
});

/** Acts that ask for nothing. */
const ASK_NOTHING = ['makeCopyAction', 'resetDemonstrationAction'];

const ACTIONS = readdirSync('src/features').flatMap((room) =>
  readdirSync(join('src/features', room))
    .filter((file) => /actions\.ts$/.test(file))
    .flatMap((file) => {
      const named = Object.entries(
        jest.requireActual<Record<string, (input: unknown) => Promise<Result<unknown>>>>(`@/features/${room}/${file}`),
      );
      return named.filter(([name]) => !ASK_NOTHING.includes(name));
    }),
);

test('every act refuses what is no request in a sentence of the shop, and writes nothing of it', async () => {
  const shop = ownShop();
  expect(ACTIONS.length).toBeGreaterThan(60);
  for (const [name, act] of ACTIONS)
    for (const sent of [undefined, null, 1, 'x', [], {}]) {
      const { code, message } = await refusedWhole(shop, () => act(sent));
      expect([name, sent, code, message]).not.toContain('failed');
      expect([name, message]).not.toEqual([name, expect.stringMatching(/\bof type\b|undefined|object/)]);
    }
});
