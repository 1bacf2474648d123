import { isDigit } from './characters';

/** A figure as printed. `thousand` is the other reading of a comma before exactly three digits. */
export interface Numeral {
  readonly kind: 'number';
  readonly value: number;
  readonly thousand?: number;
  /** True where it is a stop, not a comma, that may stand for a thousand. */
  readonly stopThousand?: boolean;
  /** Half a unit of the last printed digit: how finely the page speaks. */
  readonly half: number;
  readonly thousandHalf?: number;
  readonly comma: boolean;
  readonly fraction: boolean;
  /** The denominator of a printed fraction. */
  readonly bottom?: number;
  /** Set where `7/8` may be seven eighths or seven to eight. */
  readonly alsoRange?: readonly [number, number];
  /** Where it is likelier the range. */
  readonly rangeFirst?: boolean;
  readonly spaceBefore: boolean;
}

export interface Word {
  readonly kind: 'word';
  readonly text: string;
  readonly spaceBefore: boolean;
}

export interface Mark {
  readonly kind: 'mark';
  readonly text: string;
  readonly spaceBefore: boolean;
}

export type Token = Numeral | Word | Mark;

const NUMBER =
  /\d{1,3}(?:,\d{3}){2,}(?:\.\d+)?|\d{1,3},\d{3}\.\d+|\d{1,3}(?:\.\d{3})+,\d+|\d{1,3}(?: \d{3})+(?![\d.,]|\s*\/)|\d+[.,]\d+|[.,]\d+|\d+/y;
const WORD = /\p{L}+[²³\d]*/uy;
const MARK = /\.{2,}|-{2,}|[-+±/⁄÷x%°"'()[\]=,;:*<>≤≥~⌈⌊≈]/y;

const decimalsOf = (digits: string) => digits.split(/[.,]/)[1]?.length ?? 0;
const halfOf = (decimals: number) => 0.5 * 10 ** -decimals;

/** A figure that is no fraction and can be read in one way. */
export const plainNumeral = (value: number, half: number, comma: boolean, spaceBefore: boolean): Numeral => ({
  kind: 'number',
  value,
  half,
  comma,
  fraction: false,
  spaceBefore,
});

const PLAIN = /^\d+(?:\.(\d+))?$/;

function numeral(text: string, spaceBefore: boolean): Numeral {
  const simple = PLAIN.exec(text);
  if (simple) {
    const value = plainNumeral(Number(text), halfOf(simple[1]?.length ?? 0), false, spaceBefore);
    return /^[1-9]\d{0,2}\.\d{3}$/.test(text)
      ? { ...value, thousand: Number(text.replace('.', '')), thousandHalf: 0.5, stopThousand: true }
      : value;
  }
  if (/^\d{1,3}(,\d{3}){2,}|^\d{1,3},\d{3}\./.test(text) || / /.test(text)) {
    const digits = text.replace(/[, ]/g, '');
    return plainNumeral(Number(digits), halfOf(decimalsOf(digits)), false, spaceBefore);
  }
  if (/^\d{1,3}(\.\d{3})+,\d+$/.test(text)) {
    const digits = text.replace(/\./g, '').replace(',', '.');
    return plainNumeral(Number(digits), halfOf(decimalsOf(digits)), true, spaceBefore);
  }
  const comma = text.includes(',');
  const value = plainNumeral(Number(text.replace(',', '.')), halfOf(decimalsOf(text)), comma, spaceBefore);
  const mayBeThousand = comma && /^[1-9]\d{0,2},\d{3}$/.test(text);
  return mayBeThousand ? { ...value, thousand: Number(text.replace(',', '')), thousandHalf: 0.5 } : value;
}

const take = (pattern: RegExp, text: string, at: number): string | undefined => {
  pattern.lastIndex = at;
  return pattern.exec(text)?.[0];
};

const isSpace = (text: string, at: number) => text.charCodeAt(at) <= 32;

const HALVES = Array.from({ length: 10 }, (_, decimals) => halfOf(decimals));
const isPlainLetter = (code: number) => code >= 97 && code <= 122;
const [COMMA, STOP, SPACE, HYPHEN] = [44, 46, 32, 45];
/** Marks that are one sign, whatever follows. */
const SINGLE = new Set('+±/⁄÷%°"\'()[]=;:*<>≤≥~⌈⌊≈');

/** Where the digits end that begin at `at`. */
function digitsEnd(text: string, at: number): number {
  let end = at;
  while (isDigit(text.charCodeAt(end))) end++;
  return end;
}

/**
 * Where a figure ends that can only be read in one way: digits, or digits, a stop and digits, with nothing after them
 * that may belong to them. 0 where it has to be looked at closely.
 */
function plainFigureEnd(text: string, at: number): number {
  const whole = digitsEnd(text, at);
  if (whole === at) return 0;
  const after = text.charCodeAt(whole);
  if (after === COMMA) return 0;
  // Three digits after a space may be the thousands' rest.
  if (after === SPACE) return digitsEnd(text, whole + 1) === whole + 4 ? 0 : whole;
  if (after !== STOP || !isDigit(text.charCodeAt(whole + 1))) return whole;
  const end = digitsEnd(text, whole + 1);
  const next = text.charCodeAt(end);
  // Three digits after a stop may be thousands.
  if (next === COMMA || next === STOP || end - whole === 4 || end - whole > HALVES.length) return 0;
  return end;
}

function plainFigure(text: string, at: number, end: number, spaceBefore: boolean): Numeral {
  const digits = text.slice(at, end);
  const stop = digits.indexOf('.');
  return plainNumeral(Number(digits), HALVES[stop < 0 ? 0 : digits.length - stop - 1] ?? 0, false, spaceBefore);
}

/** Where a word of plain letters ends with nothing grown on to it; 0 where there is none. */
function plainWordEnd(text: string, at: number): number {
  let end = at;
  while (isPlainLetter(text.charCodeAt(end))) end++;
  const after = text.charCodeAt(end);
  return end === at || isDigit(after) || after > 127 ? 0 : end;
}

/** The mark at `at`, where it is one sign whatever is beside it. */
function plainMark(text: string, at: number): string | undefined {
  const sign = text[at] ?? '';
  if (SINGLE.has(sign)) return sign;
  const next = text.charCodeAt(at + 1);
  const code = sign.charCodeAt(0);
  return (code === HYPHEN && next !== HYPHEN) || (code === COMMA && !isDigit(next)) ? sign : undefined;
}

/** Splits folded text into figures, words and marks. Lone full stops carry nothing and are dropped. */
export function tokens(folded: string): readonly Token[] {
  const found: Token[] = [];
  for (let at = 0; at < folded.length;) {
    if (isSpace(folded, at)) {
      at++;
      continue;
    }
    const spaceBefore = found.length === 0 || isSpace(folded, at - 1);
    const figureEnd = plainFigureEnd(folded, at);
    if (figureEnd > 0) {
      found.push(plainFigure(folded, at, figureEnd, spaceBefore));
      at = figureEnd;
      continue;
    }
    const wordEnd = plainWordEnd(folded, at);
    if (wordEnd > 0) {
      const text = folded.slice(at, wordEnd);
      found.push({ kind: text === 'x' ? 'mark' : 'word', text, spaceBefore });
      at = wordEnd;
      continue;
    }
    const sign = plainMark(folded, at);
    if (sign !== undefined) {
      found.push({ kind: 'mark', text: sign, spaceBefore });
      at++;
      continue;
    }
    const digits = take(NUMBER, folded, at);
    const word = digits === undefined ? take(WORD, folded, at) : undefined;
    const mark = digits === undefined && word === undefined ? take(MARK, folded, at) : undefined;
    if (digits !== undefined) found.push(numeral(digits, spaceBefore));
    else if (word === 'x') found.push({ kind: 'mark', text: 'x', spaceBefore });
    else if (word !== undefined) found.push({ kind: 'word', text: word, spaceBefore });
    else if (mark !== undefined) found.push({ kind: 'mark', text: mark.startsWith('-') ? '-' : mark, spaceBefore });
    at += (digits ?? word ?? mark ?? ' ').length;
  }
  return found;
}
