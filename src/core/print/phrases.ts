import { dictionary } from '@/core/units';

/** Words on limits and on the state of the thread, taken out of the text before the figures are read. */
export type Limit = 'upper-limit' | 'lower-limit' | 'approximate';

const LIMIT_MARKS: readonly (readonly [RegExp, string])[] = [
  [
    /\b(?:do |must |should )?(?:not|never)(?: to| be)? (?:be )?(?:over|above|exceed(?:ing)?|more than|greater than|higher than|beyond)\b/g,
    '⌈',
  ],
  [
    /\b(?:no more than|at (?:the )?most|up to|nicht (?:über|mehr als)|höchstens|au plus|non oltre|al massimo)(?![\p{L}])/gu,
    '⌈',
  ],
  [/\b(?:maximum|maximal|maxi|max|massimo|mass)\b\.?/g, '⌈'],
  [/≤|<=|</g, '⌈'],
  [/\b(?:not|no|never)(?: to be)? (?:less|under|below|lower)(?: than)?\b/g, '⌊'],
  [/\b(?:at (?:the )?least|mindestens|au moins|almeno|al minimo|wenigstens)\b/g, '⌊'],
  [/\b(?:minimum|minimal|mini|min|minimo)\b\.?/g, '⌊'],
  [/≥|>=|>/g, '⌊'],
  [/\b(?:approximately|approx|about|around|roughly|circa|ca|environ|env|etwa|ungefähr|rund|cca)\b\.?/g, '≈'],
  [/~/g, '≈'],
];

// One look decides whether any limit word can be there at all.
const MAY_LIMIT =
  /[<>≤≥~]|\b(?:no|not|never|nicht|non|at|au|al|up|max|mass|min|mindest|wenigst|höchst|approx|about|around|rough|circa|ca|env|etwa|ungef|rund|cca|do|must|should)/;

/** Writes each limit word as one mark: ⌈ upper, ⌊ lower, ≈ approximate. */
export const markLimits = (folded: string): string =>
  !MAY_LIMIT.test(folded)
    ? folded
    : LIMIT_MARKS.reduce((text, [pattern, mark]) => text.replace(pattern, ` ${mark} `), folded);

export const LIMIT_OF_MARK = dictionary<Limit>({
  '⌈': 'upper-limit',
  '⌊': 'lower-limit',
  '≈': 'approximate',
});

const ADVERBS = '(?:(?:lightly|slightly|well|very lightly|freshly|engine|motor|clean|light)[ -])?';
const STATES =
  'in (?:clean )?(?:engine |motor )?oil|unlubricated|un-oiled|unoiled|oiled|dry|lubricated|greased|graphited|waxed|molybdenum (?:disulphide|paste|grease)|moly(?: paste| grease)?|' +
  'anti-?seize|copper paste|thread ?locker|thread lock|locking compound|tallow(?: and graphite)?|graphite(?: grease| paste)?|oil|grease|' +
  'leicht geölt|geölt|trocken|gefettet|graissées?|graissés?|huilées?|huilés?|à sec|secs?|sèches?|oliat[aoei]|ingrassat[aoei]|lubrificat[aoei]|secc[aoh]i?e?';
const LEAD =
  '(?:(?:with|(?<=[,(]\\s*)in|when|if|filets?|gewinde|filetti|filetto)\\s+)?(?:(?:the\\s+)?(?:clean(?: and|,)?\\s+)?(?:stud |bolt )?threads?(?:\\s+(?:and faces?|and washers?))?\\s*(?:to be |are |is |being |:|-)?\\s*)?(?:clean(?: and|,)\\s+)?';
const TAIL = '(?:\\s+(?:stud |bolt )?threads?|\\s+condition|\\s+and clean)?';
const CONDITION = new RegExp(`(?<![\\p{L}])${LEAD}(${ADVERBS}(?:${STATES}))${TAIL}(?![\\p{L}])`, 'u');

const MAY_SAY_CONDITION =
  /oil|dry|lubri|greas|graph|wax|mol|seize|copper|lock|tallow|öl|trocken|fett|graiss|huil|sec|sèch|oliat|ingrass/;

/** Takes the printed words on the thread (`oiled`, `dry`, …) out of the text. */
export function takeCondition(folded: string): { readonly rest: string; readonly condition?: string } {
  if (!MAY_SAY_CONDITION.test(folded)) return { rest: folded };
  const found = CONDITION.exec(folded);
  if (!found?.[1]) return { rest: folded };
  return { rest: folded.replace(found[0], ' , '), condition: found[1].trim().replace(/^in /, '') };
}
