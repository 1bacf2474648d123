import type { Note } from '@/core/units';

const ASKED: ReadonlySet<string> = new Set([
  'range-reversed',
  'suspect-magnitude',
  'upper-limit',
  'lower-limit',
  'printed-units-disagree',
  'unread-words',
  'head-condition',
  'taken-for-stages',
  'perhaps-misread',
  'beyond-usual',
  'replaced-figure',
  'some-engines',
  'some-fasteners',
  'at-temperature',
]);

/** The notes that a person must agree to before the figure is taken: a limit is no target, a slip is no figure. */
export const notesToAgree = (notes: readonly Note[]): readonly Note[] => notes.filter((note) => ASKED.has(note.code));
