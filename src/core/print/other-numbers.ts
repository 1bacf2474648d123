/** What another number on a line says. */
export const OTHER_NUMBER_KINDS = [
  'replaced',
  'temperature',
  'size',
  'count',
  'engine-number',
  'reference',
  'position',
  'year',
] as const;
export type OtherNumberKind = (typeof OTHER_NUMBER_KINDS)[number];

/** A number on a printed line that is no figure to pull to, with its place in the text. */
export interface OtherNumber {
  readonly kind: OtherNumberKind;
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

const NUM = String.raw`(?:\d+(?:[.,]\d+)?\s?[½¼¾⅛⅜⅝⅞]?|[½¼¾⅛⅜⅝⅞])`;
const RANGE = String.raw`${NUM}(?:\s*(?:-|–|—|to|/|bis|à)\s*${NUM})?`;
const UNIT_WORD = String.raw`(?:lbf?s?|pounds?|ft|foot|feet|in|inch(?:es)?|kgf?c?m?|kilos?|c?mkgf?|c?mkp|kpc?m|kp|g|gf|p|[dc]?a?nc?m|da?n|cn|m|mm|cm|n|newtons?|met(?:er|re)s?|oz)`;
const UNITS = String.raw`(?:\s*[-·.]?\s*${UNIT_WORD}\b\.?){1,3}`;
const NO_UNIT = String.raw`(?!\s*[-–]?\s*(?:\d|${UNIT_WORD}\b))`;
const FASTENERS = String.raw`(?:nuts?|bolts?|studs?|screws?|set[- ]?screws?|cap[- ]?screws?|muttern?|schrauben?|stehbolzen|bolzen|écrous?|ecrous?|goujons?|boulons?|dadi|dado|viti|vite|prigionieri|tuercas?|tornillos?)`;
const SERIES = String.raw`(?:b\.?\s?s\.?\s?f|b\.?\s?s\.?\s?w|b\.?\s?s\.?\s?c|c\.?\s?e\.?\s?i|u\.?\s?n\.?\s?[cf]|a\.?\s?n\.?\s?[cf]|n\.?\s?[cf]|s\.?\s?a\.?\s?e|whit(?:worth)?|cycle)\b\.?`;

/**
 * How each kind stands on a page, the first that fits wins its characters. A number with a unit of torque behind it is
 * never one of these but where the page itself puts it out of force.
 */
const PATTERNS: readonly (readonly [OtherNumberKind, RegExp])[] = [
  [
    'replaced',
    new RegExp(
      String.raw`\(?\b(?:in place of|instead of|in lieu of|formerly|previously|was|superseding|supersedes|statt|früher|au lieu de|invece di)\s+${RANGE}(?:${UNITS})?\s?\)?`,
      'giu',
    ),
  ],
  [
    'temperature',
    new RegExp(
      String.raw`(?:\b(?:at|bei|à|a)\s+)?-?${RANGE}\s*(?:°|deg(?:rees)?\.?|º)\s*[CF]\b(?:elsius|ahrenheit)?`,
      'giu',
    ),
  ],
  [
    'size',
    new RegExp(
      [
        String.raw`\bM\s?\d{1,2}(?:[.,]\d)?(?:\s*[x×]\s*\d(?:[.,]\d+)?)?(?![\d.,]*\d)(?!\s*[-–]?\s*${UNIT_WORD}\b)`,
        String.raw`(?:\d{1,2}\s+)?\d{1,2}/\d{1,2}\s*(?:in\b\.?|inch\b|["″”])?\s*${SERIES}`,
        String.raw`\d{1,2}/\d{1,2}\s*(?:in\b\.?|inch\b|["″”])\s*(?:dia(?:m(?:eter)?)?\b\.?\s*)?(?=${FASTENERS}\b)`,
        String.raw`(?<=\b${FASTENERS},?\s)\d{1,2}/\d{1,2}\s*(?:in\b\.?|inch\b|["″”])`,
        String.raw`\b\d{1,2}\s?b\.?\s?a\b\.?`,
      ].join('|'),
      'giu',
    ),
  ],
  [
    'engine-number',
    new RegExp(
      [
        String.raw`\b(?:engines?|eng|chassis|frames?|motor(?:en)?)\b\.?[^;:\d]{0,30}?\b(?:nos?|numbers?|nr|from|after|before|to|ab)\b\.?\s*(?:\p{Lu}{1,3}\s?)?\d{3,7}(?:\s*(?:to|-|–)\s*(?:\p{Lu}{1,3}\s?)?\d{3,7})?(?:\s*(?:onwards?|and (?:later|on)|upwards?))?`,
        String.raw`\b(?:from|after|before|up to|since|ab)\s+(?:nos?\b\.?\s*)?(?:\p{Lu}{1,3}\s?)?\d{4,7}\b${NO_UNIT}(?:\s*(?:onwards?|and (?:later|on)|upwards?))?`,
      ].join('|'),
      'giu',
    ),
  ],
  [
    'reference',
    new RegExp(
      String.raw`\b(?:fig(?:ure)?|page|item|ref|table|sheet|abb|bild|seite)\b\.?\s*(?:no\b\.?\s*)?\d+\p{L}?\b${NO_UNIT}|\bpp?\.\s*\d+\b${NO_UNIT}`,
      'giu',
    ),
  ],
  [
    'position',
    new RegExp(
      [
        String.raw`\bnos?\.?\s*\d{1,2}\b(?:\s*(?:to|-|–|,|and|&)\s*\d{1,2}\b)*${NO_UNIT}`,
        String.raw`(?<=\b(?:${FASTENERS}|positions?|mains?|caps?|cylinders?|bearings?)\s+)\d{1,2}\s*(?:to|-|–|and|&)\s*\d{1,2}\b${NO_UNIT}(?=\s*[,:;)]|\s+\p{L}|\s*$)`,
        String.raw`(?<=\b(?:nut|bolt|stud|screw|main|cap|cylinder|bearing)\s+)\d{1,2}(?=\s*[:)])`,
      ].join('|'),
      'giu',
    ),
  ],
  [
    'count',
    new RegExp(
      [
        String.raw`\(?[x×]?\s?\b\d{1,2}\s*off\b\)?`,
        String.raw`\b\d{1,2}\s*[x×]\s*(?=\d{1,2}/\d{1,2}|M\s?\d)`,
        String.raw`\b\d{1,2}\s+(?=(?:(?!${UNIT_WORD}\b)\p{L}+[\s-]+){0,3}?${FASTENERS}\b)`,
        String.raw`\b(?<=${FASTENERS}\s*)[x×]\s?\d{1,2}\b${NO_UNIT}`,
      ].join('|'),
      'giu',
    ),
  ],
  [
    'year',
    new RegExp(
      String.raw`\b19\d\d(?:\s*(?:-|–|to|/)\s*(?:19)?\d\d)?\b${NO_UNIT}(?:\s*(?:models?|engines?|onwards?|only)\b)?`,
      'giu',
    ),
  ],
];

const MAX_CHARACTERS = 400;

/**
 * The numbers on a printed line that are sizes, counts, positions, references, engine numbers, years, temperatures, or
 * figures that the page itself puts out of force, in the order of the text.
 * @example otherNumbers('3/8 in. B.S.F. 28 lb. ft.')[0].text // '3/8 in. B.S.F.'
 */
export function otherNumbers(text: string): readonly OtherNumber[] {
  if (text.length > MAX_CHARACTERS) return [];
  const found: OtherNumber[] = [];
  for (const [kind, pattern] of PATTERNS)
    for (const match of text.matchAll(pattern)) {
      const start = match.index + (match[0].length - match[0].trimStart().length);
      const end = match.index + match[0].trimEnd().length;
      if (end > start && found.every((one) => end <= one.start || start >= one.end))
        found.push({ kind, text: text.slice(start, end), start, end });
    }
  return found.sort((a, b) => a.start - b.start);
}

/** The line without them, every other character in its place. */
export const withoutOthers = (text: string, others: readonly OtherNumber[]): string =>
  others.reduce((rest, { start, end }) => rest.slice(0, start) + ' '.repeat(end - start) + rest.slice(end), text);

/** A count that the line gives of its fasteners. */
export function countOnLine(others: readonly OtherNumber[]): number | undefined {
  const counts = others.filter(({ kind }) => kind === 'count');
  const digits = counts.length === 1 ? /\d+/.exec(counts[0]?.text ?? '')?.[0] : undefined;
  return digits === undefined ? undefined : Number(digits);
}

/** A thread that the line names, as the tables name it: `3/8 in. B.S.F.` is `3/8 BSF`. */
export function threadOnLine(others: readonly OtherNumber[]): string | undefined {
  const sizes = others.filter(({ kind }) => kind === 'size');
  const [size] = sizes;
  if (!size || sizes.length > 1) return undefined;
  return size.text
    .replace(/\b(in|inch)\b\.?|["″”]/giu, ' ')
    .replace(/(\p{L})\.\s?(?=\p{L})/gu, '$1')
    .replace(/\./g, (stop, at: number, all: string) => (/\d/.test(all[at + 1] ?? '') ? stop : ''))
    .replace(/×/g, 'x')
    .replace(/\s+/g, ' ')
    .trim()
    .toUpperCase()
    .replace(/X/g, 'x');
}
