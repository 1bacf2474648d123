import { DomainError } from '@/core/units';

/** What of a line two sendings of it may differ in: it was on its way once more. */
const ON_ITS_WAY = new Set(['at', 'recordedAt', 'age_ms', 'seq', 'who']);

const plain = (line: object): string =>
  JSON.stringify(
    Object.entries(line)
      .filter(([field, value]) => !ON_ITS_WAY.has(field) && value !== undefined)
      .sort(([a], [b]) => a.localeCompare(b)),
  );

/**
 * A known id is one line sent twice only where owner and content are the same; otherwise two lines would be one and the
 * second be lost.
 * @throws DomainError id-taken
 */
export function assertSameLine(known: object, sent: object): void {
  if (plain(known) === plain(sent)) return;
  throw new DomainError(
    'id-taken',
    'Another line of that id is known already: this one was not written. Send it under an id of its own.',
    'id',
  );
}
