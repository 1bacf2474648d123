import { dictionary } from '@/core/units';

/** Words on limits and on the state of the thread, taken out of the text before the figures are read. */
export type Limit = 'upper-limit' | 'lower-limit' | 'approximate';

const EDGE = '(?<![\\p{L}])';
const END = '(?![\\p{L}])';
const words = (pattern: string): RegExp => new RegExp(`${EDGE}(?:${pattern})${END}\\.?`, 'gu');

const LIMIT_MARKS: readonly (readonly [RegExp, string])[] = [
  [words('(?:not|no|never)(?: to be)? (?:less|under|below|lower)(?: than)?'), '⌊'],
  [
    words(
      '(?:do |must |should )?(?:not|never)(?: to| be)? (?:(?:be )?tighten(?:ed)? |torqued? |be |go |pull )?(?:over|above|beyond|past|exceed(?:ing)?|more than|greater than|higher than)',
    ),
    '⌈',
  ],
  [
    words(
      'no more than|less than|lower than|below|under|at (?:the )?(?:very )?most|up to|upper limit|limit(?:ed)?(?: to| of)?|not to exceed|exceed(?:ing)? not|' +
        'nicht (?:über|mehr als|überschreiten)|höchstens|weniger als|unter|bis zu|grenzwert|au plus|(?:ne (?:pas|jamais) )?dépasser|ne pas dépasser|moins de|limite|' +
        'non (?:oltre|superare|più di)|al massimo|meno di|no (?:exceder|sobrepasar|más de)|como máximo|menos de|hasta|högst|max\\.? tillåtet|överskrid(?:s|as) (?:ej|inte)|mindre än|ten hoogste|niet (?:boven|meer dan)|hoogstens|nejvýše|nepřekroč(?:it|te)|maximálně|højst|maks|maksimum',
    ),
    '⌈',
  ],
  [words('maximum|maximal|maximale|maxi|max|massimo|massima|mass|máximo|máxima|máx|maximalt|maximaal'), '⌈'],
  [/≤|<=|</g, '⌈'],
  [
    words(
      'at (?:the )?(?:very )?least|or (?:more|over|above)|and (?:over|above|up)|upwards|more than|over|above|exceeding|lower limit|' +
        'mindestens|wenigstens|oder mehr|mehr als|über|au moins|ou plus|plus de|almeno|al minimo|o più|più di|oltre|al menos|por lo menos|o más|más de|minst|eller mer|mer än|ten minste|tenminste|of meer|meer dan|nejméně|mindst',
    ),
    '⌊',
  ],
  [words('minimum|minimal|minimale|mini|min|minimo|minima|mínimo|mínima|mín|minimaal'), '⌊'],
  [/≥|>=|>/g, '⌊'],
  [
    words(
      'approximately|approx|abt|about|around|roughly|say|nearly|circa|ca|environ|env|etwa|ungefähr|rund|zirka|cca|asi|aprox|aproximadamente|unos|ungefär|ungeveer|omkring|około|ok',
    ),
    '≈',
  ],
  [/~/g, '≈'],
];

/** Writes each limit word as one mark: ⌈ upper, ⌊ lower, ≈ approximate. */
export const markLimits = (folded: string): string =>
  LIMIT_MARKS.reduce((text, [pattern, mark]) => text.replace(pattern, ` ${mark} `), folded);

export const LIMIT_OF_MARK = dictionary<Limit>({
  '⌈': 'upper-limit',
  '⌊': 'lower-limit',
  '≈': 'approximate',
});
