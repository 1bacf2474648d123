import { beforeEach, describe, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { isDomainError } from '@/core/units';
import type { Shop } from '@/db/shop';
import { removePhotoAction } from '@/features/removal/actions';
import { keepPhoto, photoToShow } from '@/features/book/photo';
import { accepted, ownShop, refused, there } from '../actions/own-shop';

const LEAF = 'demo-n-mains-play';
const WHERE = {
  IFD0: { Make: 'A camera of somebody' },
  IFD3: { GPSLatitude: '57/1 42/1 0/1', GPSLatitudeRef: 'N' },
};

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const page = (width = 60, height = 40) => sharp({ create: { width, height, channels: 3, background: '#eee' } });
const withWhere = () => page().withMetadata({ orientation: 6 }).withExifMerge(WHERE).jpeg().toBuffer();
const fileOf = (bytes: Buffer) => new File([new Uint8Array(bytes)], 'page.jpg');
const why = async (bytes: Buffer): Promise<string> => {
  try {
    await keepPhoto(shop, LEAF, fileOf(bytes));
    return 'it was kept';
  } catch (error) {
    if (isDomainError(error)) return error.message;
    throw error;
  }
};

describe('a photograph of a page', () => {
  test('is kept and shown upright, without where and with what it was taken', async () => {
    const given = await withWhere();
    expect((await sharp(given).metadata()).exif).toBeDefined();
    const { id } = await keepPhoto(shop, LEAF, fileOf(given));
    const kept = there(shop.book.photo(id));
    for (const picture of [kept.whole, kept.thumbnail, there(await photoToShow(shop, id)).whole]) {
      const { exif, xmp, iptc } = await sharp(picture).metadata();
      expect([exif, xmp, iptc]).toEqual([undefined, undefined, undefined]);
      expect(picture.includes('A camera of somebody')).toBe(false);
    }
    const { width, height } = await sharp(kept.whole).metadata();
    expect([width, height]).toEqual([40, 60]);
  });
  test('kept as it came by an earlier program, it is made plain when it is shown first', async () => {
    const { id } = await keepPhoto(shop, LEAF, fileOf(await withWhere()));
    shop.db.prepare('UPDATE photo SET plain = 0, whole = ? WHERE id = ?').run(await withWhere(), id);
    expect(there(await photoToShow(shop, id)).whole.includes('A camera of somebody')).toBe(false);
    expect(there(shop.book.photo(id)).whole.includes('A camera of somebody')).toBe(false);
    expect(there(shop.book.photo(id)).plain).toBe(1);
  });
  test('whatever is wrong with it is a sentence, and nothing is kept', async () => {
    const whole = await page(800, 600).jpeg().toBuffer();
    for (const bytes of [
      whole.subarray(0, whole.length / 2),
      whole.subarray(0, 60),
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'),
      Buffer.from('text'),
      Buffer.alloc(0),
    ])
      expect(await why(bytes)).toMatch(/no picture that can be read/);
    expect(await why(await page(16_000, 8000).png().toBuffer())).toMatch(/more than 120 million points/);
    expect(shop.book.photoIds('demo-norrhem').size).toBe(0);
  }, 30_000);
  test('of any shape has its small one', async () => {
    const { id } = await keepPhoto(shop, LEAF, fileOf(await page(30_000, 200).png().toBuffer()));
    const { width, height } = await sharp(there(shop.book.photo(id)).thumbnail).metadata();
    expect([width, (height ?? 0) <= 360]).toEqual([4000, true]);
  });
  test('can be taken away again, once', async () => {
    const { id } = await keepPhoto(shop, LEAF, fileOf(await withWhere()));
    await accepted(removePhotoAction({ photoId: id }));
    expect(shop.book.photo(id)).toBeUndefined();
    expect((await refused(removePhotoAction({ photoId: id }))).code).toBe('not-found');
  });
});
