import type { Group } from './groups';
import { mended } from './misread';
import { scanTorque, type ScannedTorque } from './scan-torque';
import { plainNumeral, type Numeral } from './tokens';
import type { TorquePrintUnit } from './torque-print-units';

/** A figure that may be another of as many digits without anything else being read otherwise. */
interface Figure {
  readonly at: number;
  readonly end: number;
}

/** A text with its digits left out, and what was made of it. */
interface Shape {
  readonly figures: readonly Figure[];
  readonly scan: ScannedTorque;
}

const DIGIT = /\d/g;
const FIGURE = /\d+(?:\.\d+)?/g;
const MAY_STAND_BEFORE = /(?:^|[\s(\-–—])$/;
/** Nothing may be grown on to it, nor may it be the thousands of three digits more. */
const MAY_STAND_AFTER = /^(?:$|[)\-–—°½⅓⅔¼¾⅛⅜⅝⅞]|\s(?!\d{3}(?!\d))|[,.](?!\d))/;
/** A fraction, a share or a tolerance goes by what its figures are. */
const GOES_BY_FIGURES = /[/⁄%±+]/;

/** The figures of a text of which none is read by its value; undefined where one may be. */
function figuresOf(text: string): readonly Figure[] | undefined {
  if (GOES_BY_FIGURES.test(text)) return undefined;
  const figures: Figure[] = [];
  for (const { index: at, 0: found } of text.matchAll(FIGURE)) {
    const end = at + found.length;
    if (!MAY_STAND_BEFORE.test(text.slice(0, at)) || !MAY_STAND_AFTER.test(text.slice(end))) return undefined;
    figures.push({ at, end });
  }
  return figures;
}

/** The same figure with another value; a printed fraction of one goes on top. */
function numeralLike(like: Numeral, value: number, top: number): Numeral {
  const { half, comma, spaceBefore, bottom, rangeFirst } = like;
  if (bottom === undefined) return plainNumeral(value, half, comma, spaceBefore);
  return {
    kind: 'number',
    value: value + top / bottom,
    half,
    comma,
    fraction: true,
    bottom,
    spaceBefore,
    alsoRange: undefined,
    rangeFirst,
  };
}

/** What is made of a text of that shape. */
function filledIn({ figures, scan }: Shape, text: string): ScannedTorque {
  const groups: Group<TorquePrintUnit>[] = [];
  let n = 0;
  for (const { numbers, joiners, unit, quotient } of scan.groups) {
    const filled: Numeral[] = [];
    for (const like of numbers) {
      const { at, end } = figures[n++] as Figure;
      // Of the figure whose shape is known the whole part is nought: what is left is the fraction.
      filled.push(numeralLike(like, Number(text.slice(at, end)), Math.round(like.value * (like.bottom ?? 0))));
    }
    groups.push({ numbers: filled, tolerance: undefined, joiners, unit, quotient });
  }
  // Written out: a copy of all of them costs a sixth of the reading, and the compiler asks for each.
  return {
    groups,
    limits: scan.limits,
    unknownAfterFigure: scan.unknownAfterFigure,
    unknownBeforeUnit: scan.unknownBeforeUnit,
    negative: scan.negative,
    broken: scan.broken,
    row: scan.row,
    unread: scan.unread,
    printed: scan.printed,
    saysStages: scan.saysStages,
    square: scan.square,
    partial: scan.partial,
  };
}

const written = (scan: ScannedTorque): string =>
  JSON.stringify(scan, (_, value: unknown) => (value instanceof Set ? [...(value as Set<unknown>)] : value));

/** Digits put in for those of a text, by the place of each, beside the noughts that its shape is made of. */
const FILLINGS: readonly ((place: number) => number)[] = [
  () => 1,
  () => 9,
  (place) => 1 + (place % 9),
  (place) => 9 - (place % 10),
];

function filling(text: string, digit: (place: number) => number): string {
  let place = 0;
  return text.replace(DIGIT, () => String(digit(place++)));
}

/** The shape of a text; null where another text that is like it might be read otherwise, as trying shows. */
function shapeOf(text: string): Shape | null {
  const figures = figuresOf(text);
  if (!figures) return null;
  try {
    const scan = scanTorque(filling(text, () => 0));
    // A figure each, for those that are put in: one that is a count, or stands in words, has no place among them.
    if (scan.groups.reduce((sum, { numbers }) => sum + numbers.length, 0) !== figures.length) return null;
    const shape = { figures, scan };
    const holds = FILLINGS.map((digit) => filling(text, digit)).every(
      (other) => mended(other) === undefined && written(scanTorque(other)) === written(filledIn(shape, other)),
    );
    return holds ? shape : null;
  } catch {
    // Refused: so will the next be, in its own words.
    return null;
  }
}

/** By the text with every digit a nought; null where it is no shape. */
const shapes = new Map<string, Shape | 'seen' | null>();
const MAX_SHAPES = 1000;

/**
 * What is made of a text that differs from one seen before in its digits alone: books print the same few lines a
 * hundred times over, each with another figure. Undefined where no such text is known, or its figures may say more than their
 * value; a shape is kept only once four other fillings of it were read in full and came to the same.
 */
export function scanAlike(text: string): ScannedTorque | undefined {
  const alike = text.replace(DIGIT, '0');
  const known = shapes.get(alike);
  if (known === undefined) {
    if (shapes.size >= MAX_SHAPES) shapes.clear();
    shapes.set(alike, 'seen');
    return undefined;
  }
  if (known === null) return undefined;
  if (known !== 'seen') return filledIn(known, text);
  const shape = shapeOf(text);
  shapes.set(alike, shape);
  return shape ? filledIn(shape, text) : undefined;
}
