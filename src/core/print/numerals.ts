import type { Numeral, Token } from './tokens';

const ONES =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = ['twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];
const DENOMINATORS: ReadonlyMap<string, number> = new Map(
  Object.entries({
    half: 2,
    halves: 2,
    third: 3,
    thirds: 3,
    quarter: 4,
    quarters: 4,
    fourth: 4,
    fourths: 4,
    sixth: 6,
    sixths: 6,
    eighth: 8,
    eighths: 8,
    sixteenth: 16,
    sixteenths: 16,
    demi: 2,
    quart: 4,
    halbe: 2,
    viertel: 4,
    mezzo: 2,
  }),
);
const CARDINALS = new Map<string, number>([
  ...ONES.map((word, i): [string, number] => [word, i]),
  ...TENS.map((word, i): [string, number] => [word, 20 + 10 * i]),
]);

const NUMBER_WORDS: ReadonlySet<string> = new Set([...DENOMINATORS.keys(), ...CARDINALS.keys()]);

const LONE_DENOMINATORS = new Set([2, 3, 4, 8, 16, 32, 64]);
const MIXED_DENOMINATORS = new Set([2, 3, 4, 5, 6, 8, 9, 10, 12, 16, 32, 64]);
// Always a part, never a range: 5/100 mm.
const DECIMAL_DENOMINATORS = new Set([100, 1000]);
const MOST_EITHER = 16;
/** Two thirds or two to three: where the figures follow one another, both are printed. */
const isEither = (top: number, bottom: number) => bottom === top + 1 && bottom <= MOST_EITHER;

const numberAt = (tokens: readonly Token[], i: number): Numeral | undefined => {
  const token = tokens[i];
  return token?.kind === 'number' ? token : undefined;
};
const textAt = (tokens: readonly Token[], i: number) => {
  const token = tokens[i];
  return token && token.kind !== 'number' ? token.text : undefined;
};
const isWhole = (n: Numeral | undefined): n is Numeral => n !== undefined && Number.isInteger(n.value) && !n.comma;

/** A fraction that is one; `alsoRange` where it may be two figures as well, `rangeFirst` where that is likelier. */
const fraction = (
  top: number,
  bottom: number,
  spaceBefore: boolean,
  alsoRange?: readonly [number, number],
  rangeFirst?: boolean,
): Numeral => ({
  kind: 'number',
  value: top / bottom,
  half: 0.5 / bottom,
  comma: false,
  fraction: true,
  bottom,
  spaceBefore,
  alsoRange,
  rangeFirst,
});

const eitherOf = (top: number, bottom: number) => (isEither(top, bottom) ? ([top, bottom] as const) : undefined);

const coprime = (a: number, b: number): boolean => (b === 0 ? a === 1 : coprime(b, a % b));

/** How a page of this kind prints fractions. */
export interface FractionHabits {
  /** `5/6 mkg` may be five to six, or five sixths. */
  readonly either?: boolean;
  /** `2/10 mm` is two tenths. */
  readonly tenths?: boolean;
}

/** A fraction in digits at i, such as `1/2`; `after` tells whether a whole number stands before it. */
function digitFraction(
  tokens: readonly Token[],
  i: number,
  after: boolean,
  { either = false, tenths = false }: FractionHabits,
): Numeral | undefined {
  const slash = textAt(tokens, i + 1);
  if (slash !== '/' && slash !== '⁄') return undefined;
  const top = numberAt(tokens, i);
  const bottom = numberAt(tokens, i + 2);
  if (!isWhole(top) || !isWhole(bottom) || top.value >= bottom.value || top.value < 1) return undefined;
  if (slash === '⁄') return fraction(top.value, bottom.value, top.spaceBefore);
  const alsoRange = eitherOf(top.value, bottom.value);
  if (!after && (DECIMAL_DENOMINATORS.has(bottom.value) || (tenths && bottom.value === 10)))
    return fraction(top.value, bottom.value, top.spaceBefore, alsoRange);
  const fits = after || top.value === 1 ? MIXED_DENOMINATORS : LONE_DENOMINATORS;
  if (either && !after && !fits.has(bottom.value) && alsoRange)
    return fraction(top.value, bottom.value, top.spaceBefore, alsoRange, true);
  if (!fits.has(bottom.value) || !coprime(bottom.value, top.value)) return undefined;
  return fraction(top.value, bottom.value, top.spaceBefore, alsoRange);
}

const mixed = (whole: Numeral, part: Numeral): Numeral => ({
  kind: 'number',
  value: whole.value + part.value,
  half: part.half,
  comma: part.comma,
  fraction: part.fraction,
  bottom: part.bottom,
  spaceBefore: whole.spaceBefore,
  alsoRange: undefined,
  rangeFirst: part.rangeFirst,
});

interface Taken {
  readonly token: Token;
  readonly next: number;
}

function takeDigits(tokens: readonly Token[], i: number, habits: FractionHabits): Taken | undefined {
  const lone = digitFraction(tokens, i, false, habits);
  if (lone) return { token: lone, next: i + 3 };
  const whole = numberAt(tokens, i);
  if (!whole) return undefined;
  if (isWhole(whole)) {
    const start = textAt(tokens, i + 1) === '-' ? i + 2 : i + 1;
    const part = digitFraction(tokens, start, true, habits);
    if (part) return { token: mixed(whole, part), next: start + 3 };
  }
  return { token: whole, next: i + 1 };
}

const skipHyphen = (tokens: readonly Token[], i: number) => (textAt(tokens, i) === '-' ? i + 1 : i);

/** `one half`, `three-quarters`, `one and a half`, `thirty-eight`, `half`. */
function takeWords(tokens: readonly Token[], i: number): Taken | undefined {
  const first = textAt(tokens, i) ?? '';
  const spaceBefore = tokens[i]?.spaceBefore ?? false;
  const part = DENOMINATORS.get(first);
  if (part !== undefined) return { token: fraction(1, part, spaceBefore, eitherOf(1, part)), next: i + 1 };
  let count = CARDINALS.get(first);
  if (count === undefined) return undefined;
  let next = i + 1;
  const unit = CARDINALS.get(textAt(tokens, skipHyphen(tokens, next)) ?? '');
  if (count >= 20 && unit !== undefined && unit > 0 && unit < 10) {
    count += unit;
    next = skipHyphen(tokens, next) + 1;
  }
  const bottom = DENOMINATORS.get(textAt(tokens, skipHyphen(tokens, next)) ?? '');
  if (bottom !== undefined)
    return {
      token: fraction(count, bottom, spaceBefore, eitherOf(count, bottom)),
      next: skipHyphen(tokens, next) + 1,
    };
  return { token: { kind: 'number', value: count, half: 0.5, comma: false, fraction: false, spaceBefore }, next };
}

/** `one and a half`, `3 and one quarter`: a whole number, `and`, and a fraction. */
function takeAndFraction(tokens: readonly Token[], whole: Taken): Taken {
  const { token } = whole;
  if (textAt(tokens, whole.next) !== 'and' || token.kind !== 'number' || !isWhole(token)) return whole;
  let at = whole.next + 1;
  if (['a', 'an'].includes(textAt(tokens, at) ?? '')) at++;
  const part = takeWords(tokens, at) ?? takeDigits(tokens, at, {});
  const isPart = part?.token.kind === 'number' && part.token.fraction && part.token.value < 1;
  return isPart ? { token: mixed(token, part.token), next: part.next } : whole;
}

/** Joins fractions, mixed numbers and numbers in words into single figures. */
export function joinNumerals(tokens: readonly Token[], habits: FractionHabits = {}): readonly Token[] {
  const joined: Token[] = [];
  for (let i = 0; i < tokens.length;) {
    const token = tokens[i] as Token;
    if (token.kind !== 'number' && !NUMBER_WORDS.has(token.text)) {
      joined.push(token);
      i++;
      continue;
    }
    const taken = token.kind === 'number' ? takeDigits(tokens, i, habits) : takeWords(tokens, i);
    const whole = taken && takeAndFraction(tokens, taken);
    joined.push(whole ? whole.token : token);
    i = whole ? whole.next : i + 1;
  }
  return joined;
}
