import { expect, test } from '@jest/globals';
import { readTorqueLine } from '@/core/print';
import { jointPage, jointSummaries } from '@/features/joint/queries';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { torqueLineOnce } from '@/model/book/torque-line-once';
import { codeOf } from '../core/code-of';
import { rowsNamed, YARD_NOW, yardShop } from '../db/temporary-shop';

const frozen = (value: unknown): void => {
  if (typeof value !== 'object' || value === null || Object.isFrozen(value)) return;
  Object.freeze(value);
  Object.values(value).forEach(frozen);
};

test('a text is read once, and says what it says when it is read anew', () => {
  const once = torqueLineOnce('5½ mkg, threads oiled');
  expect(torqueLineOnce('5½ mkg, threads oiled')).toBe(once);
  expect(once).toEqual(readTorqueLine('5½ mkg, threads oiled'));
});

test('what cannot be read is refused each time', () => {
  for (let i = 0; i < 2; i++) expect(codeOf(() => torqueLineOnce('as tight as it goes'))).toBe('no-number');
});

test('of texts without end so many are kept, and the first is read anew when it is asked for again', () => {
  const first = torqueLineOnce('7.5 lb ft');
  for (let i = 0; i < 1200; i++) torqueLineOnce(`${i}.25 lb ft`);
  const again = torqueLineOnce('7.5 lb ft');
  expect(again).not.toBe(first);
  expect(again).toEqual(first);
});

test('nothing alters what is kept: the sheets of the yard are made of readings that cannot be', () => {
  const shop = yardShop();
  const now = Date.parse(YARD_NOW);
  for (const engine of ['demo-fourteen', 'demo-maestrale', 'demo-norrhem']) {
    const rows = rowsNamed(shop, engine);
    for (const { kind, printedText } of rows.leaves) if (kind === 'torque') frozen(torqueLineOnce(printedText));
    expect(jointSummaries(rows, shelvesOf(shop), now).length).toBeGreaterThan(0);
    for (const { id } of rows.joints) expect(jointPage(rows, shelvesOf(shop), id, now)).toBeDefined();
  }
});
