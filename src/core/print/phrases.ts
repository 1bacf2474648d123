/** Words on limits and on the state of the thread, taken out of the text before the figures are read. */
export type Limit = 'upper-limit' | 'lower-limit' | 'approximate';

const EDGE = '(?<![\\p{L}])';
const END = '(?![\\p{L}])';
const words = (pattern: string): RegExp => new RegExp(`${EDGE}(?:${pattern})${END}\\.?`, 'gu');

const LIMIT_MARKS: readonly (readonly [RegExp, string])[] = [
  // Before the limits from above: one of those is the plain word “limit”.
  [words('(?:not|no|never)(?: to be)? (?:less|under|below|lower)(?: than)?|lower limit(?: of)?'), '⌊'],
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
      'at (?:the )?(?:very )?least|or (?:more|over|above)|and (?:over|above|up)|upwards|more than|over|above|exceeding|' +
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

/** How the words above begin, and their marks: a text without any of these has no limit in it, and is looked through once. */
export const MAY_LIMIT = new RegExp(
  `[≤≥<>~]|${EDGE}(?:o(?!\\p{L})|${(
    'no ne do mu sh le lo be un at up li ex ni hö we bi gr au dé mo al me co ha ma öv mi te ho hø má or an ov ab od üb ou ' +
    'pl pi ol po el of mí ap ar ro sa ci ca en et ru zi cc as om ok'
  )
    .split(' ')
    .join('|')})`,
  'u',
);

/** Writes each limit word as one mark: ⌈ upper, ⌊ lower, ≈ approximate. */
export const markLimits = (folded: string): string =>
  MAY_LIMIT.test(folded)
    ? LIMIT_MARKS.reduce((text, [pattern, mark]) => text.replace(pattern, ` ${mark} `), folded)
    : folded;

export const LIMIT_OF_MARK: ReadonlyMap<string, Limit> = new Map([
  ['⌈', 'upper-limit'],
  ['⌊', 'lower-limit'],
  ['≈', 'approximate'],
]);
