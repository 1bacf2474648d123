export { signedPercent } from './percent';
export { dictionary } from './dictionary';
export { DomainError, atField, isDomainError, type Note } from './domain-error';
export { wrongInput } from './input-words';
export { assertFinite, assertNotNegative, assertPositive, assertPositiveUpTo, assertWithin, tidy } from './guards';
export {
  SMALL_TORQUE_UNITS,
  TORQUE_UNITS,
  TORQUE_UNITS_NM,
  torqueFromSi,
  torqueToSi,
  type TorqueUnit,
} from './torque-units';
export { torqueUnitFromLetters } from './torque-unit-name';
export { FORCE_N, FORCE_WORDS, LENGTH_M, LENGTH_WORDS, type ForceWord, type LengthWord } from './unit-words';
export { convert, imperialNotes } from './convert';
export { INCH_MM, THOU_MM } from './factors';
export { READING_UNITS_MM, type ReadingUnit } from './reading-units';
export { figureWithThousands, plainFigure } from './plain-figure';
export type { Checked } from './checked';
export { EXPANSIONS_UM_PER_MK, type ExpandingMetal } from './expansion';
