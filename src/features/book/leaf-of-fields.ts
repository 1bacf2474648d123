import { DomainError, atField } from '@/core/units';
import { askedOf, leafOfText } from '@/model/book/leaf-of-text';
import type { Leaf } from '@/model/book/leaf';
import type { LeafFields } from './schema';

/**
 * Reads the printed text again on the server and makes the leaf: what is stored is what the core read, not what a
 * browser sent.
 * @throws DomainError for what cannot be read, for a choice not made, and for a note not agreed to
 */
export function leafOfFields(fields: LeafFields, id: string, createdAt: string): Leaf {
  const { agreedNotes, conditionText, replacesId, engineId, sourceId, page, subject, printedText } = fields;
  const open = atField('printedText', () => askedOf(fields)).find((note) => !agreedNotes.includes(note.code));
  if (open) throw new DomainError('not-agreed', `Before the figure is taken: ${open.message}`, 'agreedNotes');
  const read = leafOfText({ ...fields, conditionText: conditionText || null });
  return { id, engineId, sourceId, page, subject, printedText, replacesId, createdAt, ...read };
}
