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

/** Each of the repairs needs one of these: most print has none of them, and is looked through once. */
const MAY_BE_MISREAD = /\d[oOlI]|[lI]\d|%|[1I]bs?\b/;

const SMALL_SIGN = /(?<=±\s?\d[\d.,]*\s?|[+-]\s?\d[\d.,]*\s?)%/;

/**
 * The ways in which a text may be meant where a sign of it looks misread, likeliest first; undefined where nothing
 * does. A sign is mended only where it cannot be read as it stands.
 */
export function mended(text: string): Mended | undefined {
  if (!MAY_BE_MISREAD.test(text)) return undefined;
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
