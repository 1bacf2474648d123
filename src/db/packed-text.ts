import type { Database } from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { deflateRawSync, inflateRawSync } from 'node:zlib';

/** By what a text is known that is kept once; nothing has none. */
export const textDigest = (text: unknown): string | null =>
  typeof text === 'string' ? createHash('sha256').update(text).digest('hex').slice(0, 32) : null;

export const packed = (text: unknown): Buffer | null =>
  typeof text === 'string' ? deflateRawSync(text, { level: 9 }) : null;

/** The text that was packed; nothing where it is damaged. */
export function unpacked(body: unknown): string | null {
  if (!(body instanceof Uint8Array)) return null;
  try {
    return inflateRawSync(body).toString('utf8');
  } catch {
    return null;
  }
}

/** Makes them words of the file's own language: `digest(…)`, `packed(…)`, `unpacked(…)`. */
export function teachPacking(db: Database): void {
  for (const [name, work] of Object.entries({ digest: textDigest, packed, unpacked }))
    db.function(name, { deterministic: true }, work);
}
