import { expect, test } from '@jest/globals';
import { orderRecord } from '@/features/record/queries';
import { surfaceWords } from '@/interface/words/order-words';
import { rowsNamed, yardShop } from '../db/temporary-shop';

test('what goes on a face is said in one line, as much of it as was written', () => {
  const surface = { what: 'sealant', on: 'one face only', much: 'a thin film', sets: 'close while it is wet' };
  expect(surfaceWords({ ...surface, useBy: '2027-03' })).toBe(
    'sealant, one face only, a thin film, close while it is wet, use by 2027-03',
  );
  expect(surfaceWords({ ...surface, much: '', sets: '' })).toBe('sealant, one face only');
});

test('the record of the order says of a step from which page it is, and of no other', () => {
  const shop = yardShop();
  const rows = rowsNamed(shop, 'demo-fourteen');
  const [leaf] = rows.leaves;
  const [first, second] = orderRecord(rows).steps.map(({ step }) => step);
  if (!leaf || !first || !second) throw new Error('nothing to write of');
  shop.db.prepare('UPDATE step SET leaf_id = NULL').run();
  shop.db.prepare('UPDATE step SET leaf_id = ? WHERE id = ?').run(leaf.id, first.id);
  const { pages } = orderRecord(rowsNamed(shop, 'demo-fourteen'));
  const source = rows.sources.find(({ id }) => id === leaf.sourceId);
  expect(pages).toEqual({ [first.id]: `${source?.title}, p. ${leaf.page}` });
});
