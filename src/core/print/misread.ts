import { isDigit } from './characters';

/** A text in which a sign may have been misread from the page, mended in the likeliest ways. */
export interface Mended {
  readonly texts: readonly string[];
}

type Repair = readonly [pattern: RegExp, replacements: readonly string[]];

/** Letters that stand where a figure must, and figures that stand where a letter must. */
const REPAIRS: readonly Repair[] = [
  // `3O`, `1OO`
  [/(?<=\d)[oO]+(?=[\d.,]|\s|$)/g, ['0']],
  // `l0`, `I2`: an ell or an eye before a figure
  [/(?<![\p{L}\d])[lI](?=\d)/gu, ['1']],
  // `3l lb ft`
  [/(?<=\d)[lI](?=\s|$)/g, ['1']],
  // `5% mkg`: a small fraction that came out as a sign
  [/(?<=\d)\s?%(?=\s*\p{L})/gu, ['½', '¾', '']],
  // `38 1b. ft.`, `38 Ib ft`, `ft 1b`
  [/(?<=\s|\d|-|\.)[1I](?=bs?\b)/g, ['l']],
  [/(?<![\p{L}\d])Ib(?=s?\b)/gu, ['lb']],
];

const [PERCENT, ONE, BIG_I, BIG_O, SMALL_B, SMALL_L, SMALL_O] = [37, 49, 73, 79, 98, 108, 111];

/** Each of the repairs needs a letter beside a digit, `1b`, `Ib` or `%`: most print has none of them. */
function mayBeMisread(text: string): boolean {
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if (code === PERCENT) return true;
    const isLike1 = code === SMALL_L || code === BIG_I;
    if (isLike1 && isDigit(text.charCodeAt(at + 1))) return true;
    if (!isLike1 && code !== SMALL_O && code !== BIG_O && code !== SMALL_B) continue;
    const before = text.charCodeAt(at - 1);
    if (code === SMALL_B ? before === ONE || before === BIG_I : isDigit(before)) return true;
  }
  return false;
}

const SMALL_SIGN = /(?<=±\s?\d[\d.,]*\s?|[+-]\s?\d[\d.,]*\s?)%/;

/**
 * The ways in which a text may be meant where a sign of it looks misread, likeliest first; undefined where nothing
 * does. A sign is mended only where it cannot be read as it stands.
 */
export function mended(text: string): Mended | undefined {
  if (!mayBeMisread(text)) return undefined;
  let texts: readonly string[] = [text];
  for (const [pattern, replacements] of REPAIRS) {
    if (pattern.source.includes('%') && SMALL_SIGN.test(text)) continue;
    texts = texts.flatMap((one) => {
      pattern.lastIndex = 0;
      if (!pattern.test(one)) return [one];
      return replacements.map((replacement) =>
        one.replace(pattern, (found) => (replacement === '0' ? '0'.repeat(found.length) : replacement)),
      );
    });
  }
  return texts.length === 1 && texts[0] === text ? undefined : { texts };
}

const UNKNOWN_MARK = /[^\p{L}\p{N}\s.,;:()[\]{}/\\÷⁄+\-±×x*%°"'=<>≤≥~≈&#@!·…⌈⌊_]/u;
const TOUCHES = new RegExp(`\\d\\s?(?:${UNKNOWN_MARK.source})|(?:${UNKNOWN_MARK.source})\\d`, 'u');

/** Nothing but marks that can be read. */
const ALL_KNOWN = /^[a-z\d .,;:()/\-+"'°⁄±x=]*$/;

/** Whether a mark that nobody can read touches a figure: what is left of it is not the figure. */
export const isDamaged = (folded: string): boolean => !ALL_KNOWN.test(folded) && TOUCHES.test(folded);
