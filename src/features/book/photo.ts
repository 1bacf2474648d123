import { nanoid } from 'nanoid';
import sharp, { type Sharp } from 'sharp';
import { DomainError } from '@/core/units';
import type { Shop } from '@/db/shop';
import { asAct, type Undo } from '@/server/acts';

const MAX_BYTES = 30_000_000;
/** More than any camera gives of a page; a picture of a few bytes may claim any size. */
const MAX_POINTS = 120_000_000;
const SMALL_PX = 360;
const SMALL_WIDTH_PX = 4000;
const QUALITY = 92;
// No SVG: opened by itself it could run a script of its own.
const FORMATS: ReadonlySet<string> = new Set(['jpeg', 'png', 'webp', 'gif', 'heif', 'avif', 'tiff']);
const NO_PICTURE =
  'The file is no picture that can be read here. JPEG, PNG, WebP and AVIF can; save a HEIC as JPEG first.';
const TOO_LARGE = `The photograph has more than ${MAX_POINTS / 1e6} million points. Make it smaller first.`;

/** What is kept as it was given; the rest is kept as PNG, which loses nothing of it. */
const kept = (picture: Sharp, format: string): { readonly type: string; readonly picture: Sharp } => {
  if (format === 'jpeg') return { type: 'image/jpeg', picture: picture.jpeg({ quality: QUALITY }) };
  if (format === 'webp') return { type: 'image/webp', picture: picture.webp({ quality: QUALITY }) };
  return { type: 'image/png', picture: picture.png() };
};

const open = (whole: Buffer) => sharp(whole, { limitInputPixels: MAX_POINTS, failOn: 'truncated' });

/** Whatever is wrong with a picture is said of the picture. @throws DomainError */
async function ofPicture<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof DomainError) throw error;
    const isLarge = error instanceof Error && /pixel limit/i.test(error.message);
    throw new DomainError('bad-field', isLarge ? TOO_LARGE : NO_PICTURE, 'photo');
  }
}

/**
 * A picture upright and without what the camera wrote beside it: the printed page is the evidence, not where it lay or
 * with what it was taken.
 * @throws DomainError
 */
export const plainPicture = (whole: Buffer): Promise<{ readonly type: string; readonly whole: Buffer }> =>
  ofPicture(async () => {
    const { format } = await open(whole).metadata();
    if (!FORMATS.has(format)) throw new DomainError('bad-field', NO_PICTURE, 'photo');
    const { type, picture } = kept(open(whole).rotate(), format);
    return { type, whole: await picture.toBuffer() };
  });

interface KeptPhoto {
  readonly id: string;
  readonly undo?: Undo;
}

/** A picture as it is kept: whole and small. */
export interface Picture {
  readonly name: string;
  readonly type: string;
  readonly whole: Buffer;
  readonly thumbnail: Buffer;
}

/** Reads a picture that was sent, whole and small, both without what the camera wrote. @throws DomainError bad-field */
export async function pictureIn(file: File): Promise<Picture> {
  if (file.size > MAX_BYTES)
    throw new DomainError(
      'bad-field',
      `The photograph is larger than ${MAX_BYTES / 1e6} MB. Make it smaller first.`,
      'photo',
    );
  const { type, whole } = await plainPicture(Buffer.from(await file.arrayBuffer()));
  const thumbnail = await ofPicture(() =>
    open(whole)
      .resize({ height: SMALL_PX, width: SMALL_WIDTH_PX, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 78 })
      .toBuffer(),
  );
  return { name: file.name.slice(0, 200), type, whole, thumbnail };
}

/** Keeps a photograph of a leaf's page; it can be taken back. @throws DomainError not-found, bad-field */
export async function keepPhoto(shop: Shop, leafId: string, file: File, who = ''): Promise<KeptPhoto> {
  const leaf = shop.book.findLeaf(leafId);
  if (!leaf) throw new DomainError('not-found', 'That entry is not in this shop.', 'leafId');
  const picture = await pictureIn(file);
  const id = nanoid(12);
  return asAct(shop, who, (at, tell) => {
    tell(`A photograph of the page of “${leaf.subject}” was added`);
    shop.book.addPhoto({ id, leafId, ...picture, createdAt: at });
    return { id };
  });
}

/** Keeps a photograph of a note; it can be taken back. @throws DomainError not-found, bad-field */
export async function keepNotePhoto(shop: Shop, noteId: string, file: File, who = ''): Promise<KeptPhoto> {
  if (!shop.notes.find(noteId)) throw new DomainError('not-found', 'That note is no longer here.', 'noteId');
  const picture = await pictureIn(file);
  const id = nanoid(12);
  return asAct(shop, who, (at, tell) => {
    tell('A photograph was added to a note');
    shop.notes.addPhoto({ id, noteId, ...picture, createdAt: at });
    return { id };
  });
}

/** A photograph to be shown; one that was kept as it came is made plain first, once. @throws DomainError */
export async function photoToShow(shop: Shop, id: string) {
  const photo = shop.book.photo(id);
  if (!photo) return shop.notes.photo(id);
  if (photo.plain) return photo;
  const { type, whole } = await plainPicture(photo.whole);
  shop.book.keepPlain(id, type, whole);
  return { ...photo, type, whole };
}
