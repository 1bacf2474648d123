import { DomainError, FORCE_WORDS, LENGTH_WORDS, torqueUnitFromLetters, type Note } from '@/core/units';
import { foldCharacters } from './characters';
import { askingWords } from './asking-words';
import { MAY_SAY, takeConditions, type PrintedConditions } from './conditions';
import { scanGroups, type Scan } from './groups';
import { isDamaged } from './misread';
import { printNote } from './notes';
import { joinNumerals } from './numerals';
import { markLimits, MAY_LIMIT } from './phrases';
import { saysStages, STAGE_WORDS } from './stages';
import { tokens } from './tokens';
import { matchTorquePrintUnit, type TorquePrintUnit } from './torque-print-units';

const UNIT_WORD = /\p{L}+/gu;
const UNITS_AND_JOINERS: ReadonlySet<string> = new Set('to and bis à a al or et und e y od do at on x per'.split(' '));

/** A clause without its figures and units, to see whether anything else stands in it. */
const withoutUnits = (clause: string): string =>
  clause
    .replace(/[\d.,/⁄⌈⌊≈±"'°-]+/gu, ' ')
    .replace(UNIT_WORD, (word) =>
      FORCE_WORDS.has(word) || LENGTH_WORDS.has(word) || torqueUnitFromLetters(word) || UNITS_AND_JOINERS.has(word)
        ? ' '
        : word,
    );

const COUNTED_STAGES = new RegExp(
  `(?<![\\p{L}\\d])(?:in )?(?:\\d|two|three|four|five|zwei|drei|vier|deux|trois|quatre|due|tre|quattro|dos|tres|cuatro|två|fyra|twee|drie|vier)(?: equal)? (?=(?:${STAGE_WORDS})(?![\\p{L}]))`,
  'gu',
);
const NUMBERED_STAGE = new RegExp(`(?<![\\p{L}])(${STAGE_WORDS})\\s?\\d{1,2}(?:\\s?[:.)](?!\\d)|(?=\\s+\\d))`, 'gu');

/** Each of the labels below needs a word like one of these. */
const MAY_LABEL = new RegExp(
  '^(?:off|pcs|pieces|stück|pièces|pezzi|st|nd|rd|th)(?![a-z\\d_])|sta[gp]|ste[gp]|stuf|pass|phas|fas[ie]|[ée]tap|kro|' +
    'trin|m\\d|bs[fw]|un[fc]|cei|whit',
);

/** The turns of fasteners and their numbers say nothing of the figure: `(10 off)`, `M8x1.25 25 Nm`, `3 in stages`. */
const labelsOut = (folded: string): string =>
  folded
    .replace(/\(?\b\d{1,2}\s?(?:off|pcs|pieces|stück|pièces|pezzi|st)\b\.?\)?/gu, ' ')
    .replace(/\b(\d)(?:st|nd|rd|th)\b/g, ' ')
    .replace(COUNTED_STAGES, ' ')
    .replace(NUMBERED_STAGE, '$1 ; ')
    .replace(/\bm\d{1,2}(?:[.,]\d)?(?:\s?x\s?\d(?:[.,]\d{1,2})?)?(?=\s|:|,|$)/gu, ' ')
    .replace(/\b\d{1,2}\/\d{1,2}(?:["']|\s?in\.?)?\s?(?:bsf|bsw|unf|unc|cei|whit\p{L}*)\b/gu, ' ');

export interface ScannedTorque extends Scan<TorquePrintUnit> {
  readonly printed: { readonly condition?: string; readonly headCondition?: string };
  /** Whether it names stages. */
  readonly saysStages: boolean;
  /** Whether what is turned is square, so that a flat is a quarter of a turn. */
  readonly square: boolean;
  /** A word that says that this is only the beginning. */
  readonly partial: string | undefined;
}

const PARTIAL =
  /(?<![\p{L}\d])(?:1st|2nd|first|second|initial(?:ly)?|preliminary|snug|erste[nrs]?|première?|premier|prima|primo|primero|första)(?![\p{L}])/u;

const SQUARE = /\b(square|vierkant|carr[ée]e?|quadr[ao])/;

const [LABEL, CONDITION, LIMIT, PARTIALLY, STAGES, SQUARELY] = [1, 2, 4, 8, 16, 32];
const mayOf = askingWords([
  [LABEL, (word) => MAY_LABEL.test(word)],
  [CONDITION, (word) => MAY_SAY.test(word)],
  [LIMIT, (word) => MAY_LIMIT.test(word)],
  [PARTIALLY, (word) => [word, `1${word}`, `2${word}`].some((one) => PARTIAL.test(one))],
  [STAGES, saysStages],
  [SQUARELY, (word) => SQUARE.test(word)],
]);

const HABITS = { either: true } as const;
const NO_WORDS: readonly string[] = [];
const unsaid = (rest: string): PrintedConditions => ({ rest, unread: NO_WORDS });

/**
 * The groups of a printed torque, with what is said of thread and face and what was not understood.
 * @throws DomainError unreadable
 */
export function scanTorque(text: string): ScannedTorque {
  const folded = foldCharacters(text);
  if (isDamaged(folded))
    throw new DomainError(
      'unreadable',
      'A mark that cannot be read touches a figure, so the figure is not sure. Look at the page again.',
      'text',
    );
  const may = mayOf(folded);
  const bare = may & LABEL ? labelsOut(folded) : folded;
  const { rest, thread, head, unread } = may & CONDITION ? takeConditions(bare, withoutUnits) : unsaid(bare);
  const figures = joinNumerals(tokens(may & LIMIT ? markLimits(rest) : rest), HABITS);
  const scan = scanGroups(figures, matchTorquePrintUnit);
  const asked = folded.includes('?') ? ['?'] : NO_WORDS;
  const words = unread.length + asked.length === 0 ? scan.unread : [...scan.unread, ...unread, ...asked];
  // Written out: what is put together of parts that may be missing costs more than all the rest.
  return {
    groups: scan.groups,
    limits: scan.limits,
    unknownAfterFigure: scan.unknownAfterFigure,
    unknownBeforeUnit: scan.unknownBeforeUnit,
    negative: scan.negative,
    broken: scan.broken,
    row: scan.row,
    unread: words.length < 2 ? words : [...new Set(words)],
    printed: printedOf(thread, head),
    saysStages: (may & STAGES) !== 0 && saysStages(rest),
    square: (may & SQUARELY) !== 0 && SQUARE.test(rest),
    partial: may & PARTIALLY ? PARTIAL.exec(folded)?.[0] : undefined,
  };
}

const NOTHING: ScannedTorque['printed'] = {};

function printedOf(thread: string | undefined, head: string | undefined): ScannedTorque['printed'] {
  const headCondition = head === thread ? undefined : head;
  if (thread === undefined) return headCondition === undefined ? NOTHING : { headCondition };
  return headCondition === undefined ? { condition: thread } : { condition: thread, headCondition };
}

const NO_NOTES: readonly Note[] = [];
const quoted = (words: readonly string[]) => words.map((word) => `“${word}”`).join(', ');

/** What a person has to be asked of a scan's words: what was not understood, and what holds for the face alone. */
export const askedNotes = ({ unread, printed }: ScannedTorque, more: readonly string[] = []): readonly Note[] => {
  if (unread.length + more.length === 0 && printed.headCondition === undefined) return NO_NOTES;
  const words = [...new Set([...unread, ...more])];
  return [
    ...(words.length > 0 ? [printNote('unread-words', quoted(words))] : []),
    ...(printed.headCondition === undefined ? [] : [printNote('head-condition', quoted([printed.headCondition]))]),
  ];
};
