import { isDigit } from './characters';

const FRACTION_SLASH = 0x2044;
const MAX_KNOWN = 4000;
const [FIRST_SIGN_AFTER_LETTERS, TIMES, DIVIDED, MICRO] = [0x250, 0xd7, 0xf7, 0xb5];

/** `<`, `>` and `~` say as much as a word. */
const isSaying = (code: number) => code === 60 || code === 62 || code === 126;
const isLetter = (code: number) =>
  (code >= 97 && code <= 122) ||
  code === MICRO ||
  (code >= 0xc0 && code < FIRST_SIGN_AFTER_LETTERS && code !== TIMES && code !== DIVIDED);

/** A bit, and whether one word, with what stands at once after it where that is a digit, may say what it stands for. */
export type MaySay = readonly [bit: number, says: (word: string) => boolean];

/**
 * Makes what tells of a folded text by its words alone which things it may say, the bits of all of them together. Each
 * word is looked at once in the life of the program, so that most print is spared the closer look at all of it; a text
 * with signs that are not told apart here may say everything.
 */
export function askingWords(things: readonly MaySay[]): (folded: string) => number {
  const everything = things.reduce((all, [bit]) => all | bit, 0);
  const known = new Map<string, number>();
  const ofWord = (word: string): number => {
    const before = known.get(word);
    if (before !== undefined) return before;
    const may = things.reduce((all, [bit, says]) => (says(word) ? all | bit : all), 0);
    if (known.size < MAX_KNOWN) known.set(word, may);
    return may;
  };
  return (folded) => {
    let may = 0;
    for (let at = 0; at < folded.length;) {
      const code = folded.charCodeAt(at);
      if (isLetter(code)) {
        let end = at + 1;
        while (isLetter(folded.charCodeAt(end))) end++;
        may |= ofWord(folded.slice(at, isDigit(folded.charCodeAt(end)) ? end + 1 : end));
        at = end;
      } else if ((code >= FIRST_SIGN_AFTER_LETTERS && code !== FRACTION_SLASH) || isSaying(code)) return everything;
      else at++;
    }
    return may;
  };
}
