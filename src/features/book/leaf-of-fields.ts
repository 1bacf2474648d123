import { notesToAgree, readTorque } from '@/core/print';
import { DomainError, atField } from '@/core/units';
import type { Leaf } from '@/db/repositories/book-repository';
import type { LeafFields } from './schema';

/**
 * Reads the printed text again on the server and makes the leaf: what is stored is what the core read, not what a browser sent.
 * @throws DomainError for what cannot be read, for a choice not made, and for a note not agreed to
 */
export function leafOfFields(fields: LeafFields, id: string, createdAt: string): Leaf {
  const { printedText, readingIndex, agreedNotes } = fields;
  const print = atField('printedText', () => readTorque(printedText));
  const open = notesToAgree(print.notes).find((note) => !agreedNotes.includes(note.code));
  if (open) throw new DomainError('not-agreed', `Before the figure is taken: ${open.message}`, 'agreedNotes');
  const shared = {
    id,
    engineId: fields.engineId,
    sourceId: fields.sourceId,
    page: fields.page,
    subject: fields.subject,
    printedText,
    conditionText: fields.conditionText || print.condition || null,
    agreedNotes: notesToAgree(print.notes).map((note) => note.code),
    replacesId: fields.replacesId,
    createdAt,
  };
  if (print.kind === 'turn')
    return { ...shared, kind: 'turn', readingIndex: 0, minNm: null, maxNm: null, minDeg: print.min_deg, maxDeg: print.max_deg };
  if (print.ambiguous && readingIndex < 0)
    throw new DomainError('not-chosen', 'The figure can be read more than one way: choose one.', 'readingIndex');
  const reading = print.readings[Math.max(readingIndex, 0)];
  if (!reading) throw new DomainError('bad-field', 'That reading does not exist; choose one of those shown.', 'readingIndex');
  return {
    ...shared,
    kind: print.kind,
    readingIndex: Math.max(readingIndex, 0),
    minNm: reading.min_Nm,
    maxNm: reading.max_Nm,
    minDeg: null,
    maxDeg: null,
  };
}
