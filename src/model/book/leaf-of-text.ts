import { notesToAgree, readLengthLine, type PrintedTurn, type TorqueReading } from '@/core/print';
import { DomainError, type Note } from '@/core/units';
import { torqueLineOnce } from './torque-line-once';
import { LEAF_KINDS, type Leaf, type LeafKind, type PrintedFigure } from './leaf';

type Read = Pick<
  Leaf,
  | 'kind'
  | 'figure'
  | 'min_Nm'
  | 'max_Nm'
  | 'min_deg'
  | 'max_deg'
  | 'min_mm'
  | 'max_mm'
  | 'agreedNotes'
  | 'conditionText'
>;

/** What a person says that a leaf holds; a torque may turn out to be a pull on a lever, or a turn. */
export const LEAF_CONTENTS = LEAF_KINDS.filter((kind): kind is LeafContent => kind !== 'lever-pull' && kind !== 'turn');
export type LeafContent = Exclude<LeafKind, 'lever-pull' | 'turn'>;

export interface LeafText {
  readonly kind: LeafContent;
  readonly printedText: string;
  readonly conditionText: string | null;
  /** Which reading of an ambiguous text; −1 where none was chosen. */
  readonly readingIndex: number;
}

const NOTHING = {
  figure: null,
  min_Nm: null,
  max_Nm: null,
  min_deg: null,
  max_deg: null,
  min_mm: null,
  max_mm: null,
  agreedNotes: [],
};

const LENGTHS: ReadonlySet<LeafContent> = new Set(['stretch', 'clearance', 'end-float']);

/** The notes that a person is asked about before this text is taken. @throws DomainError for what cannot be read */
export function askedOf({ kind, printedText }: Pick<LeafText, 'kind' | 'printedText'>): readonly Note[] {
  if (kind === 'torque') return notesToAgree(torqueLineOnce(printedText).notes);
  if (!LENGTHS.has(kind)) return [];
  // The notes are of the figures, which are the same in either unit.
  return notesToAgree(readLengthLine(printedText).readings[0]?.notes ?? []);
}

const figureOf = ({ min_Nm: _, max_Nm: __, ...figure }: TorqueReading): PrintedFigure => figure;

/** The reading that a person chose, or the only one. */
function chosenOf<T>(
  { ambiguous, readings }: { readonly ambiguous: boolean; readonly readings: readonly T[] },
  readingIndex: number,
): T {
  if (ambiguous && readingIndex < 0)
    throw new DomainError('not-chosen', 'The figure can be read more than one way: choose one.', 'readingIndex');
  const reading = readings[Math.max(readingIndex, 0)];
  if (reading === undefined)
    throw new DomainError('bad-field', 'That reading does not exist; choose one of those shown.', 'readingIndex');
  return reading;
}

/** All turns of the stages together. */
const turnedThrough = (turns: readonly PrintedTurn[] = []): Pick<Leaf, 'min_deg' | 'max_deg'> =>
  turns.length === 0
    ? { min_deg: null, max_deg: null }
    : {
        min_deg: turns.reduce((sum, turn) => sum + turn.min_deg, 0),
        max_deg: turns.reduce((sum, turn) => sum + turn.max_deg, 0),
      };

/**
 * Reads the printed text of a leaf and says what is kept of it: the reading chosen, and the figure in SI.
 * @throws DomainError for what cannot be read, and for a choice not made
 */
export function leafOfText({ kind, printedText, conditionText, readingIndex }: LeafText): Read {
  if (kind === 'order' || kind === 'note') return { ...NOTHING, kind, conditionText };
  const agreedNotes = askedOf({ kind, printedText }).map((note) => note.code);
  if (kind !== 'torque') {
    const line = readLengthLine(printedText);
    const { min_mm, max_mm, unit, printedMin, printedMax } = chosenOf(line, readingIndex);
    return { ...NOTHING, kind, figure: { unit, printedMin, printedMax }, min_mm, max_mm, agreedNotes, conditionText };
  }
  const print = torqueLineOnce(printedText);
  const shared = { ...NOTHING, agreedNotes, conditionText: conditionText ?? print.condition ?? null };
  if (print.kind === 'turn') {
    const { min_deg, max_deg } = print;
    return {
      ...shared,
      kind: 'turn',
      figure: { unit: '°', printedMin: min_deg, printedMax: max_deg },
      min_deg,
      max_deg,
    };
  }
  if (print.kind === 'stages') {
    const figure = print.final ?? print.snug;
    if (!figure)
      throw new DomainError(
        'turn-in-stages',
        'A torque follows a turn on this page, and what a turn has done cannot be told by a wrench. Enter the torques and the turns after them as one entry, and the rest as another.',
        'printedText',
      );
    const { min_Nm, max_Nm } = figure;
    return { ...shared, kind: 'torque', figure: figureOf(figure), min_Nm, max_Nm, ...turnedThrough(print.turns) };
  }
  const reading = chosenOf(print, readingIndex);
  return { ...shared, kind: print.kind, figure: figureOf(reading), min_Nm: reading.min_Nm, max_Nm: reading.max_Nm };
}
