import { INCH_MM, THOU_MM, DomainError, dictionary, type Note } from '@/core/units';
import { amountOf, hasThousandChoice, type Amount } from './amounts';
import { foldCharacters } from './characters';
import { compareIntervals, type Agreement, type PrintedInterval } from './cross-check';
import { scanGroups, type Group, type MatchUnit, type Scan } from './groups';
import { printNote, type PrintNoteCode } from './notes';
import { joinNumerals } from './numerals';
import { markLimits } from './phrases';
import { tokens, type Numeral, type Token } from './tokens';

/** The units in which print gives a length or a clearance, in mm. Exact. */
export const PRINT_LENGTHS_MM = {
  mm: 1,
  cm: 10,
  m: 1000,
  µm: 0.001,
  in: INCH_MM,
  ft: 304.8,
  thou: THOU_MM,
  '0.0001 in': 0.00254,
  '0.1 mm': 0.1,
  '0.01 mm': 0.01,
} as const;

export type PrintLengthUnit = keyof typeof PRINT_LENGTHS_MM;

export interface LengthPrint {
  readonly min_mm: number;
  readonly max_mm: number;
  readonly unit: PrintLengthUnit;
  readonly printedMin: number;
  readonly printedMax: number;
  readonly crossCheck?: Agreement & {
    readonly unit: PrintLengthUnit;
    readonly min_mm: number;
    readonly max_mm: number;
  };
  readonly notes: readonly Note[];
}

const WORDS: ReadonlyMap<string, PrintLengthUnit> = new Map(
  (
    [
      ['mm mms millimetre millimetres millimeter millimeters millimètre millimètres millimetri millimetro', 'mm'],
      ['cm cms centimetre centimetres centimeter centimeters zentimeter centimètre centimètres centimetri', 'cm'],
      ['m metre metres meter meters mètre mètres', 'm'],
      ['µm um µ micron microns micrometre micrometres micrometer micrometers mikron my', 'µm'],
      ['in ins inch inches zoll pouce pouces pollice pollici', 'in'],
      ['ft foot feet', 'ft'],
      ['thou thous mil mils', 'thou'],
    ] as const
  ).flatMap(([words, unit]) => words.split(' ').map((word): [string, PrintLengthUnit] => [word, unit])),
);

// `hundredths of a mm`, `thousandths of an inch`, `tenths of a thou`: a part word, fillers, then the whole.
const PARTS = dictionary<Partial<Record<PrintLengthUnit, PrintLengthUnit>>>({
  tenth: { mm: '0.1 mm', thou: '0.0001 in' },
  hundredth: { mm: '0.01 mm' },
  thousandth: { mm: 'µm', in: 'thou' },
  hundertstel: { mm: '0.01 mm' },
  centième: { mm: '0.01 mm' },
  centesimo: { mm: '0.01 mm' },
  centesimi: { mm: '0.01 mm' },
});

const wordAt = (list: readonly Token[], at: number) => {
  const token = list[at];
  return token?.kind === 'word' ? token.text : undefined;
};

function matchPart(list: readonly Token[], at: number) {
  const word = wordAt(list, at)?.replace(/s$/, '') ?? '';
  const wholes = PARTS[word];
  if (!wholes) return undefined;
  let next = at + 1;
  while (
    ['of', 'a', 'an', 'de', 'di', '-'].includes(wordAt(list, next) ?? (list[next] as { text?: string })?.text ?? '')
  )
    next++;
  const whole = WORDS.get(wordAt(list, next) ?? '');
  const unit = whole && wholes[whole];
  if (unit) return { unit, next: next + 1 };
  return word === 'thousandth' ? { unit: 'thou' as const, next: at + 1 } : undefined;
}

const matchLength: MatchUnit<PrintLengthUnit> = (list, at) => {
  const token = list[at];
  if (token?.kind === 'mark' && list[at - 1]?.kind === 'number') {
    if (token.text === '"') return { unit: 'in', next: at + 1 };
    if (token.text === "'") return { unit: 'ft', next: at + 1 };
  }
  const part = matchPart(list, at);
  if (part) return part;
  const unit = WORDS.get(wordAt(list, at) ?? '');
  return unit && { unit, next: at + 1 };
};

const fail = (code: string, message: string) => new DomainError(code, message, 'text');

function assertScan(scan: Scan<PrintLengthUnit>): void {
  if (scan.groups.length === 0) throw fail('no-number', 'No figure was found. Type it as printed, such as “0.002 in”.');
  if (scan.negative) throw fail('negative', 'A length cannot be negative. Check the sign before the figure.');
  if (scan.broken || scan.row || scan.groups.length > 2)
    throw fail('unreadable', 'The figures do not make one length or one range.');
  const unitless = scan.groups.some((group) => !group.unit);
  if (scan.unknownBeforeUnit || (unitless && scan.unknownAfterFigure))
    throw fail('unknown-unit', `“${scan.unknownAfterFigure}” is not a unit of length known here.`);
  if (unitless) throw fail('no-unit', 'The figure has no unit. Add it as printed, such as “in” or “mm”.');
}

/** `5 à 8/100 mm` prints the hundred once, for both figures. */
function shareDenominator(group: Group<PrintLengthUnit>): Group<PrintLengthUnit> {
  const [first, second] = group.numbers as [Numeral, Numeral?];
  const bottom = second?.bottom;
  if (!second || !bottom || bottom < 100 || first.fraction || first.value < 1) return group;
  return { ...group, numbers: [{ ...first, value: first.value / bottom, half: 0.5 / bottom, fraction: true }, second] };
}

const SMALL = new Set<PrintLengthUnit>(['µm', 'thou', '0.0001 in', '0.01 mm', '0.1 mm']);

const amountIn = (group: Group<PrintLengthUnit>): Amount =>
  amountOf(group, SMALL.has(group.unit as PrintLengthUnit) ? 'thousand' : 'decimal');

function inMillimetres(amount: Amount, unit: PrintLengthUnit): PrintedInterval {
  const factor = PRINT_LENGTHS_MM[unit];
  return {
    min: amount.min * factor,
    max: amount.max * factor,
    minHalf: amount.minHalf * factor,
    maxHalf: amount.maxHalf * factor,
  };
}

/** A range from nothing is compared at its upper end alone. */
const upperEnd = ({ max, maxHalf }: PrintedInterval): PrintedInterval => ({ min: max, max, minHalf: maxHalf, maxHalf });

function notesOf(groups: readonly Group<PrintLengthUnit>[], amount: Amount): readonly PrintNoteCode[] {
  const large = groups.filter((group) => !SMALL.has(group.unit as PrintLengthUnit));
  const choice = large.some(hasThousandChoice);
  return [
    ...(choice ? ['thousands-or-decimal' as const] : []),
    ...(!choice && large.some((group) => group.numbers.some((n) => n.comma)) ? ['decimal-comma' as const] : []),
    ...(groups.some((group) => group.numbers.some((n) => n.fraction)) ? ['fraction' as const] : []),
    ...(amount.reversed ? ['range-reversed' as const] : []),
    ...(amount.min > 0 && amount.max / amount.min > 3 ? ['suspect-magnitude' as const] : []),
  ];
}

/**
 * Reads a length or a clearance exactly as a page prints it: mm, µm, in, ″, thou, hundredths of a mm, fractions,
 * ranges, ±.
 * A range may begin at nothing; a single figure may not be zero.
 * @throws DomainError no-number, no-unit, unknown-unit, negative, zero, unreadable
 * @example readLength('1 1/64 in').min_mm // 25.796875
 */
export function readLength(text: string): LengthPrint {
  if (text.length > 400) throw fail('unreadable', 'The text is longer than 400 characters. Enter the figure alone.');
  const scan = scanGroups(joinNumerals(tokens(markLimits(foldCharacters(text))), { tenths: true }), matchLength);
  assertScan(scan);
  const groups = scan.groups.map(shareDenominator);
  const [group, second] = [groups[0] as Group<PrintLengthUnit>, groups[1]];
  const unit = group.unit as PrintLengthUnit;
  const amount = amountIn(group);
  if (amount.min < 0) throw fail('negative', 'The tolerance reaches below zero. Check the page.');
  if (amount.max === 0) throw fail('zero', 'A figure of zero is no length. Check the page.');
  if (amount.max > 1e6) throw fail('unreadable', `The figure is larger than any page prints: ${amount.max}.`);
  const interval = inMillimetres(amount, unit);
  const other = second && inMillimetres(amountIn(second), second.unit as PrintLengthUnit);
  const agreement =
    other &&
    (interval.min > 0 ? compareIntervals(interval, other) : compareIntervals(upperEnd(interval), upperEnd(other)));
  const codes = new Set<PrintNoteCode>([
    ...notesOf(groups, amount),
    ...scan.limits,
    ...(agreement ? [agreement.agrees ? ('printed-units-agree' as const) : ('printed-units-disagree' as const)] : []),
  ]);
  return {
    min_mm: interval.min,
    max_mm: interval.max,
    unit,
    printedMin: amount.min,
    printedMax: amount.max,
    ...(agreement &&
      other && {
        crossCheck: { ...agreement, unit: second?.unit as PrintLengthUnit, min_mm: other.min, max_mm: other.max },
      }),
    notes: [...codes].map((code) => printNote(code)),
  };
}
