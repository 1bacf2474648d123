import { expect, test } from '@jest/globals';
import { orderRecord } from '@/features/record/queries';
import { partWords, surfaceWords } from '@/interface/words/order-words';
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

test(
  'of a part it is said where it is from, what was tried of it as it ' + 'came and what was not, and what became of it',
  () => {
    const [one] = orderRecord(rowsNamed(yardShop(), 'demo-norrhem')).tray;
    if (!one) throw new Error('the tray is empty');
    const said = (part: Partial<typeof one.part>, rest: Partial<typeof one> = {}) =>
      partWords({
        ...one,
        spent: 0,
        struckOff: [],
        checked: [],
        ...rest,
        part: { ...one.part, condition: 'not-said', ...part },
      });
    const detail = { mates: 'saddle 2', hides: '', words: 'lapped' };
    expect(said({ origin: 'bought', detail }, { checked: ['thread', 'head'] })).toEqual([
      'bought',
      'tried: thread runs by hand, head is of the right height; not tried: ' +
        'length is right, a socket gets at it, moves freely',
      'with: saddle 2',
      'lapped',
    ]);
    const plain = { mates: '', hides: '', words: '' };
    // What came off the engine fitted it once.
    expect(said({ origin: 'taken-off', condition: 'good', detail: plain }, { checked: ['moves'] })).toEqual([
      'taken off',
      'good',
      'tried: moves freely',
    ]);
    expect(said({ origin: 'made', detail: plain }, { spent: 1, struckOff: [{ count: 2, reason: 'lost' }] })).toEqual([
      'made',
      '1 used once, and opened up since',
      '2 struck off: lost',
    ]);
  },
);
