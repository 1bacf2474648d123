/** Whether that is the code of one of the ten plain digits. */
export const isDigit = (code: number): boolean => code >= 48 && code <= 57;

// Ligature fractions become n⁄d with the fraction slash, so that ½ is never mistaken for a range “1/2”.
const VULGAR: Readonly<Record<string, string>> = {
  '½': '1⁄2',
  '⅓': '1⁄3',
  '⅔': '2⁄3',
  '¼': '1⁄4',
  '¾': '3⁄4',
  '⅕': '1⁄5',
  '⅖': '2⁄5',
  '⅗': '3⁄5',
  '⅘': '4⁄5',
  '⅙': '1⁄6',
  '⅚': '5⁄6',
  '⅛': '1⁄8',
  '⅜': '3⁄8',
  '⅝': '5⁄8',
  '⅞': '7⁄8',
  '⅑': '1⁄9',
  '⅒': '1⁄10',
};

const FULL_WIDTH = 0xfee0;

const [BACKTICK, PLUS, QUOTE] = [96, 43, 39];

/** Most print is plain: letters, digits, stops and hyphens need no folding. */
function isPlain(text: string): boolean {
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if (code < 32 || code > 126 || code === BACKTICK || code === PLUS) return false;
    if (code === QUOTE && text.charCodeAt(at + 1) === QUOTE) return false;
    // `plus` may be half of a sign, in any case of its letters.
    if ((code | 32) === 112 && (text.charCodeAt(at + 1) | 32) === 108) return false;
  }
  return true;
}

const REPLACEMENTS: readonly (readonly [RegExp, string])[] = [
  [/㎏/g, 'kg'],
  [/㎜/g, 'mm'],
  [/㎝/g, 'cm'],
  [/[〜～]/g, '-'],
  [/[\u00a0\u2000-\u200a\u202f\u205f\u3000]/g, ' '],
  [/[\u200b-\u200d\u2060\ufeff\u00ad]/g, ''],
  [/[‐‑‒–—―−⁻－]/g, '-'],
  // A bullet before a figure is no point: what stood there cannot be told.
  [/[•∙](?=\d)/g, '■'],
  [/[·⋅∙•‧・]/g, '.'],
  [/×|✕|✖/g, 'x'],
  [/''|[″“”„]/g, '"'],
  [/[′‘’´`]/g, "'"],
  [/[º˚]/g, '°'],
  [/\u03bc/g, 'µ'],
  [/[…]/g, '...'],
  [/±|\+\s*\/?\s*-(?!\s*\d+\s*\/?\s*\+)|\bplus\s*(?:or|\/|-)\s*minus\b/gi, '±'],
];

/** What a sign becomes wherever it stands: the rest of the list below looks at what is beside it. */
const PLAINLY: ReadonlyMap<string, string> = new Map([
  ...Object.entries(VULGAR).map(([sign, parts]): [string, string] => [sign, ` ${parts}`]),
  ...'\u00a0\u2000\u2001\u2002\u2003\u2004\u2005\u2006\u2007\u2008\u2009\u200a\u202f\u205f\u3000'
    .split('')
    .map((sign): [string, string] => [sign, ' ']),
  ...'‐‑‒–—―−⁻－〜～'.split('').map((sign): [string, string] => [sign, '-']),
  ...'·⋅‧・'.split('').map((sign): [string, string] => [sign, '.']),
  ...'×✕✖'.split('').map((sign): [string, string] => [sign, 'x']),
  ...'″“”„'.split('').map((sign): [string, string] => [sign, '"']),
  ...'′‘’´`'.split('').map((sign): [string, string] => [sign, "'"]),
  ['º', '°'],
  ['˚', '°'],
  ['°', '°'],
  ['\u03bc', 'µ'],
  ['µ', 'µ'],
  ['…', '...'],
  ['±', '±'],
]);
/** Two primes are one sign, and a plus may be half of one. */
const PAIRED = /''|\+|\bplus\b/i;

/** Folds a text whose signs are all of those that become the same wherever they stand; undefined where one is not. */
function foldPlainly(text: string): string | undefined {
  if (PAIRED.test(text)) return undefined;
  let folded = '';
  let from = 0;
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if (code >= 32 && code <= 126 && code !== BACKTICK) continue;
    const plain = PLAINLY.get(text[at] ?? '');
    if (plain === undefined) {
      // Letters of Europe that are whole: there is nothing to put together.
      if (code < 0xc0 || code > 0x17f || code === 0xd7 || code === 0xf7) return undefined;
      continue;
    }
    folded += text.slice(from, at) + plain;
    from = at + 1;
  }
  return (folded + text.slice(from)).toLowerCase();
}

/**
 * Folds the many characters of print onto few: dashes, dots, spaces, primes and fractions.
 * The printed text itself is kept elsewhere, untouched.
 */
export function foldCharacters(text: string): string {
  if (isPlain(text)) return text.toLowerCase();
  const plainly = foldPlainly(text);
  if (plainly !== undefined) return plainly;
  let folded = text
    .normalize('NFC')
    .replace(/[\uff01-\uff5d]/g, (wide) => String.fromCharCode(wide.charCodeAt(0) - FULL_WIDTH));
  folded = folded.replace(
    /(\d?)([½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞⅑⅒])/g,
    (_, before: string, sign: string) => `${before} ${VULGAR[sign]}`,
  );
  for (const [pattern, replacement] of REPLACEMENTS) folded = folded.replace(pattern, replacement);
  return folded.toLowerCase();
}
