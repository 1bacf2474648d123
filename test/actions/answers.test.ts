import { expect, jest, test } from '@jest/globals';
import { keptAs, photoSent } from '@/server/http';

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
