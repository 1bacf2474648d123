import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import type * as OutboxModule from '@/interface/record/outbox';

type Outbox = typeof OutboxModule;
const page = globalThis as { localStorage?: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> };

/** The plain store of a browser, in which the lines were kept before. */
function plainStore(): void {
  const kept = new Map<string, string>();
  page.localStorage = {
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: (key) => void kept.delete(key),
  };
}

/** A page of its own: what it holds open is not another's. */
function tab(): Outbox {
  jest.resetModules();
  // oxlint-disable-next-line typescript/no-require-imports
  return require('@/interface/record/outbox') as Outbox;
}

const ids = async (outbox: Outbox, record: string) =>
  (await outbox.keptLines<{ readonly id: string }>(record)).map(({ id }) => id);

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  plainStore();
});
afterEach(() => void delete page.localStorage);

describe('lines on their way to disk', () => {
  test('come back after a reload in the order in which they were written, each record by itself', async () => {
    const before = tab();
    for (const id of ['b', 'a', 'c']) await before.keepLine('round', { id });
    await before.keepLine('fit', { id: 'x' });
    const after = tab();
    expect([await ids(after, 'round'), await ids(after, 'fit'), await ids(after, 'none')]).toEqual([
      ['b', 'a', 'c'],
      ['x'],
      [],
    ]);
  });

  test('one is forgotten by its id, of its own record only; what was never kept is no trouble', async () => {
    const outbox = tab();
    for (const id of ['1', '2', '3']) await outbox.keepLine('round', { id });
    await outbox.keepLine('fit', { id: '2' });
    await outbox.forgetLines('round', ['2', 'never']);
    expect([await ids(outbox, 'round'), await ids(outbox, 'fit')]).toEqual([['1', '3'], ['2']]);
  });

  test('two tabs write into one record, and neither writes over the other', async () => {
    const [one, other] = [tab(), tab()];
    await one.keepLine('round', { id: 'of-one' });
    await other.keepLine('round', { id: 'of-other' });
    await one.forgetLines('round', ['of-one']);
    expect(await ids(other, 'round')).toEqual(['of-other']);
  });

  test('the same line is not kept twice', async () => {
    const outbox = tab();
    await outbox.keepLine('round', { id: '1' });
    await expect(outbox.keepLine('round', { id: '1' })).rejects.toThrow();
    expect(await ids(outbox, 'round')).toEqual(['1']);
  });

  test('what an older version left in the plain store comes along once, and is let go of there', async () => {
    page.localStorage?.setItem('spanner-outbox-round', JSON.stringify([{ id: '1' }, { id: '2' }]));
    const outbox = tab();
    await outbox.keepLine('round', { id: '2' });
    expect((await ids(outbox, 'round')).sort()).toEqual(['1', '2']);
    expect(page.localStorage?.getItem('spanner-outbox-round')).toBeNull();
    await outbox.forgetLines('round', ['1', '2']);
    expect(await ids(tab(), 'round')).toEqual([]);
  });

  test('what cannot be read in the plain store keeps none of the others back', async () => {
    page.localStorage?.setItem('spanner-outbox-round', '[{"half');
    const outbox = tab();
    await outbox.keepLine('round', { id: '1' });
    expect(await ids(outbox, 'round')).toEqual(['1']);
  });

  test('a browser that keeps nothing refuses each time, and is asked anew', async () => {
    const outbox = tab();
    const shut = jest.spyOn(IDBFactory.prototype, 'open').mockImplementation(() => {
      throw new Error('not here');
    });
    await expect(outbox.keepLine('round', { id: '1' })).rejects.toThrow('not here');
    await expect(outbox.keptLines('round')).rejects.toThrow('not here');
    shut.mockRestore();
    await outbox.keepLine('round', { id: '1' });
    expect(await ids(outbox, 'round')).toEqual(['1']);
  });
});
