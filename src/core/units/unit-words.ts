/** Words that print uses for a force, a mass meant as a force, or a length, each with the unit it stands for. */
export type ForceWord = 'N' | 'daN' | 'cN' | 'kN' | 'kgf' | 'gf' | 'lbf' | 'ozf';
export type LengthWord = 'm' | 'cm' | 'mm' | 'ft' | 'in';

const spread = <T extends string>(table: Record<T, string>): ReadonlyMap<string, T> =>
  new Map(
    (Object.entries(table) as [T, string][]).flatMap(([unit, words]) =>
      words.split(' ').map((word): [string, T] => [word, unit]),
    ),
  );

export const FORCE_WORDS: ReadonlyMap<string, ForceWord> = spread<ForceWord>({
  N: 'n newton newtons',
  daN: 'dan decanewton decanewtons dekanewton dekanewtons',
  cN: 'cn centinewton centinewtons',
  kN: 'kn kilonewton kilonewtons',
  kgf:
    'kg kgs kgf kgsf kgp kp kilo kilos kilogram kilograms kilogramm kilogramme kilogrammes kilogramforce kilogramsforce kilogrammeforce ' +
    'kilopond kiloponds kilogrammo kilogrammi chilo chilogram chili chilogrammo chilogrammi',
  gf: 'g gf gm gms gr grs gram grams gramm gramme grammes gramforce gramsforce grammo grammi',
  lbf: 'lb lbs lbf lbsf lbfs pound pounds poundforce poundsforce livre livres libbra libbre pfund',
  ozf: 'oz ozs ozf ozfs ounce ounces ounceforce ouncesforce',
});

export const LENGTH_WORDS: ReadonlyMap<string, LengthWord> = spread<LengthWord>({
  m: 'm metre metres meter meters metern mtr mtrs mètre mètres metro metri',
  cm: 'cm cms centimetre centimetres centimeter centimeters centimètre centimètres zentimeter centimetro centimetri',
  mm: 'mm mms millimetre millimetres millimeter millimeters millimètre millimètres millimetro millimetri',
  ft: 'ft fts foot feet pied pieds fuss fuß',
  in: 'in ins inch inches pouce pouces zoll pollice pollici',
});

export const FORCE_N: Record<ForceWord, number> = {
  N: 1,
  daN: 10,
  cN: 0.01,
  kN: 1000,
  kgf: 9.80665,
  gf: 0.00980665,
  lbf: 0.45359237 * 9.80665,
  ozf: (0.45359237 * 9.80665) / 16,
};

export const LENGTH_M: Record<LengthWord, number> = { m: 1, cm: 0.01, mm: 0.001, ft: 0.3048, in: 0.0254 };
