import { readTorqueLine, type TorqueLine } from '@/core/print';

/** As many as the pages of a shop at work have; of a text of 400 letters at most. */
const MOST = 1000;
const kept = new Map<string, TorqueLine>();

/**
 * What a line of a page says, read once for as long as it is asked for: twenty joints ask twice each at every look at
 * them, and a text says the same each time. What cannot be read is read anew, and refused anew.
 * @throws DomainError as reading it does
 */
export function torqueLineOnce(text: string): TorqueLine {
  const known = kept.get(text);
  if (known) return known;
  const read = readTorqueLine(text);
  const [oldest] = kept.keys();
  if (kept.size >= MOST && oldest !== undefined) kept.delete(oldest);
  kept.set(text, read);
  return read;
}
