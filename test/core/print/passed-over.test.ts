import { describe, expect, test } from '@jest/globals';
import { readTorque } from '@/core/print';
import { markLimits } from '@/core/print/phrases';
import { foldCharacters } from '@/core/print/characters';
import { isDamaged, mended } from '@/core/print/misread';

// What has none of their beginnings is passed over at once: each word by which a page sets a limit has to get through.
const LIMITS: Readonly<Record<'⌈' | '⌊' | '≈', string>> = {
  '⌈': 'not over|never exceed|do not exceed|must not exceed|should not be more than|no more than|less than|lower than|below|under|at most|at the very most|up to|upper limit|limited to|not to exceed|nicht über|nicht mehr als|höchstens|weniger als|unter|bis zu|grenzwert|au plus|ne pas dépasser|dépasser|moins de|limite|non oltre|non superare|al massimo|meno di|no exceder|no más de|como máximo|menos de|hasta|högst|max. tillåtet|överskrids ej|mindre än|ten hoogste|niet boven|hoogstens|nejvýše|nepřekročit|maximálně|højst|maks|maximum|max|maxi|massimo|máximo|maximalt|maximaal|≤|<',
  '⌊': 'not less than|never below|at least|at the very least|or more|or over|and above|upwards|more than|over|above|exceeding|lower limit|mindestens|wenigstens|oder mehr|mehr als|über|au moins|ou plus|plus de|almeno|al minimo|o più|più di|oltre|al menos|por lo menos|o más|más de|minst|eller mer|mer än|ten minste|tenminste|of meer|meer dan|nejméně|mindst|minimum|min|mini|minimo|mínimo|minimaal|≥|>',
  '≈': 'approximately|approx|abt|about|around|roughly|say|nearly|circa|ca|environ|env|etwa|ungefähr|rund|zirka|cca|asi|aprox|aproximadamente|unos|ungefär|ungeveer|omkring|około|ok|~',
};

describe('a text that is looked through once has nothing in it that is looked for', () => {
  test.each(Object.entries(LIMITS).flatMap(([mark, words]) => words.split('|').map((word) => [word, mark] as const)))(
    '%s is a limit, %s, before the figure and behind it',
    (word, mark) => {
      expect(markLimits(`${word} 40 lb ft`)).toContain(mark);
      expect(markLimits(`40 lb ft ${word}`)).toContain(mark);
    },
  );

  test.each([
    ['5½ mkg', '5 1⁄2 mkg'],
    ['36–40 lb·ft', '36-40 lb.ft'],
    ['2 × 40 Nm', '2 x 40 nm'],
    ['38 ± 2 lb ft', '38 ± 2 lb ft'],
    ['38 plus or minus 2 lb ft', '38 ± 2 lb ft'],
    ['38 +/- 2', '38 ± 2'],
    ["3'' bar", '3" bar'],
    ['3′′ bar', "3'' bar"],
    ['10″ spanner', '10" spanner'],
    ['4\u202f500 cm kg', '4 500 cm kg'],
    ['e\u0301crou ½', 'écrou  1⁄2'],
    ['３６ lb ft', '36 lb ft'],
    ['•5 mkg', '■5 mkg'],
    ['5•5 mkg', '5■5 mkg'],
    ['90º', '90°'],
    ['ÖL', 'öl'],
  ])('%s is folded to %s, by the short way or the long one', (text, folded) =>
    expect(foldCharacters(text)).toBe(folded),
  );

  test('what may be misread is looked at; what cannot be is not', () => {
    for (const text of ['3O lb ft', 'l0 lb ft', 'I2 mkg', '3l lb ft', '5% mkg', '38 1b. ft.', '38 Ib ft'])
      expect(mended(text)).toBeDefined();
    for (const text of ['38 lb ft', 'oiled, 38 lb ft', '10-12 mkg', '1 lb in']) expect(mended(text)).toBeUndefined();
    expect(isDamaged('3■ lb ft')).toBe(true);
    expect(isDamaged('3 lb ft, geölt ½')).toBe(false);
  });

  test('labels of every kind are taken out all the same', () => {
    for (const text of [
      '(10 off) 36 lb ft',
      '10 pcs. 36 lb ft',
      '1st stage 36 lb ft',
      'stage 1: 36 lb ft',
      'Stufe 1: 36 lb ft',
      'fase 1: 36 lb ft',
      'M8x1.25 36 lb ft',
      '3/8 BSF 36 lb ft',
      '7/16 UNF 36 lb ft',
    ])
      expect(readTorque(text).readings[0]?.printedMin).toBe(36);
  });
});
