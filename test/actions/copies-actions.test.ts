import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { beforeEach, describe, expect, test } from '@jest/globals';
import SqliteDatabase from 'better-sqlite3';
import { tablesOf } from '@/db/whose-file';
import type { Shop } from '@/db/shop';
import { makeCopyAction, putInPlaceAction } from '@/features/copies/shop-actions';
import { bringCopy, copiesFolder } from '@/server/copies';
import { shopNamed } from '@/server/current-shop';
import { drawn } from '../stubs/next-cache';
import { accepted, ownShop, refused, refusedWhole, rowsIn } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const copies = () => readdirSync(copiesFolder()).filter((name) => name.endsWith('.sqlite'));
const call = (name: string) =>
  void shopNamed('own').db.prepare("UPDATE engine SET name = ? WHERE id = 'demo-norrhem'").run(name);
const called = () => shopNamed('own').engines.find('demo-norrhem')?.name;

describe('a copy by hand', () => {
  test('is made now, looked through, and its rows are told; the pages are drawn once', async () => {
    const rows = tablesOf(shop.db).reduce((all, table) => all + rowsIn(shop, table), 0);
    const before = drawn.times;
    expect(await accepted(makeCopyAction())).toEqual({ rows });
    expect(copies()).toEqual([expect.stringMatching(/^by-hand-[\d-]+\.sqlite$/)]);
    expect(drawn.times).toBe(before + 1);
  });
  test('that cannot be made is said, and nothing is drawn anew', async () => {
    const before = drawn.times;
    // Its folder cannot be made where a file has its name.
    writeFileSync(copiesFolder(), '');
    expect(await refused(makeCopyAction())).toMatchObject({ message: expect.stringMatching(/./) as unknown });
    expect(drawn.times).toBe(before);
  });
});

describe('a copy, put in the place of the shop', () => {
  test('is what the shop is from then on; what was there is kept aside', async () => {
    const { rows } = await accepted(makeCopyAction());
    const [name = ''] = copies();
    const first = called();
    call('after the copy');
    const before = drawn.times;
    const put = await accepted(putInPlaceAction({ name }));
    expect(put).toMatchObject({ rows, aside: expect.stringContaining('aside') as unknown });
    expect([called(), drawn.times]).toEqual([first, before + 1]);
    expect(shopNamed('own')).not.toBe(shop);
  });
  test.each([
    ['one that is not there', { name: 'by-hand-2026-05-16-10-00-00.sqlite' }, 'not-found'],
    ['a file of another name in its folder', { name: 'shop.sqlite' }, 'not-found'],
    ['a way out of the folder', { name: '../shop.sqlite' }, 'not-found'],
    ['no name', {}, 'bad-field'],
    ['a name longer than any', { name: 'x'.repeat(81) }, 'bad-field'],
  ])('%s is refused, and nothing is touched', async (_what, asked, code) => {
    const before = drawn.times;
    expect(await refusedWhole(shop, () => putInPlaceAction(asked))).toMatchObject({ code, field: 'name' });
    expect([drawn.times, shopNamed('own')]).toEqual([before, shop]);
  });
  test('another file that lies there by a copy’s name is none, and the shop stays as it was', async () => {
    await accepted(makeCopyAction());
    const [name = ''] = copies();
    writeFileSync(join(copiesFolder(), name), 'no shop at all');
    const first = called();
    expect((await refused(putInPlaceAction({ name }))).message).toMatch(/./);
    expect(called()).toBe(first);
  });
});

describe('a copy that is brought from elsewhere', () => {
  const brought = (bytes: string | Buffer) => bringCopy(new Blob([new Uint8Array(Buffer.from(bytes))]).stream());
  test('is put among the others by a name of its own, and put in place like them', async () => {
    await accepted(makeCopyAction());
    const [name = ''] = copies();
    const bytes = readFileSync(join(copiesFolder(), name));
    call('after the copy');
    const { file } = await brought(bytes);
    expect(readFileSync(file).equals(bytes)).toBe(true);
    await accepted(putInPlaceAction({ name: basename(file) }));
    expect(called()).not.toBe('after the copy');
  });
  test.each(['', 'S', 'no shop at all, but a letter of more than one line\n'.repeat(40)])(
    'that is none is refused as the file that was chosen, not as a shop in trouble, and nothing of it is kept: %#',
    async (text) => {
      await expect(brought(text)).rejects.toMatchObject({
        code: 'no-copy',
        message: expect.stringMatching(/^That file .* your shop is as it was\.$/) as unknown,
      });
      expect(existsSync(copiesFolder()) ? readdirSync(copiesFolder()) : []).toEqual([]);
    },
  );
  test('and one of a newer version is told to be that', async () => {
    await accepted(makeCopyAction());
    const [name = ''] = copies();
    const db = new SqliteDatabase(join(copiesFolder(), name));
    db.exec("INSERT INTO migration (name, applied_at) VALUES ('9999-later.sql', '2030')");
    db.close();
    await expect(brought(readFileSync(join(copiesFolder(), name)))).rejects.toMatchObject({
      code: 'no-copy',
      message: expect.stringMatching(/newer version/) as unknown,
    });
    expect(copies()).toEqual([name]);
  });
});
