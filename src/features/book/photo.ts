import { nanoid } from 'nanoid';
import sharp from 'sharp';
import { DomainError } from '@/core/units';
import type { Shop } from '@/db/shop';
import { nowIso } from '@/server/clock';

const MAX_BYTES = 30_000_000;
const SMALL_PX = 360;
// No SVG: opened by itself it could run a script of its own.
const FORMATS: ReadonlySet<string> = new Set(['jpeg', 'png', 'webp', 'gif', 'heif', 'avif', 'tiff']);
const NO_PICTURE =
  'The file is no picture that can be read here. JPEG, PNG, WebP and AVIF can; save a HEIC as JPEG first.';

/**
 * Keeps a photograph of a leaf's page: the file as given, and a small one upright. @throws DomainError not-found,
 * too-large, not-a-picture
 */
export async function keepPhoto(shop: Shop, leafId: string, file: File): Promise<{ readonly id: string }> {
  if (!shop.book.findLeaf(leafId)) throw new DomainError('not-found', 'That leaf is not in this shop.', 'leafId');
  if (file.size > MAX_BYTES)
    throw new DomainError(
      'bad-field',
      `The photograph is larger than ${MAX_BYTES / 1e6} MB. Make it smaller first.`,
      'photo',
    );
  const whole = Buffer.from(await file.arrayBuffer());
  try {
    const { format } = await sharp(whole).metadata();
    if (!FORMATS.has(format)) throw new DomainError('bad-field', NO_PICTURE, 'photo');
    const thumbnail = await sharp(whole)
      .rotate()
      .resize({ height: SMALL_PX, withoutEnlargement: true })
      .webp({ quality: 78 })
      .toBuffer();
    const id = nanoid(12);
    shop.book.addPhoto({
      id,
      leafId,
      name: file.name.slice(0, 200),
      type: format === 'heif' ? 'image/avif' : `image/${format}`,
      whole,
      thumbnail,
      createdAt: nowIso(),
    });
    return { id };
  } catch (error) {
    if (error instanceof Error && /unsupported image format|Input buffer/i.test(error.message))
      throw new DomainError('bad-field', NO_PICTURE, 'photo');
    throw error;
  }
}
