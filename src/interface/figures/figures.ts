import { INCH_MM, THOU_MM, torqueFromSi, type TorqueUnit } from '@/core/units';
import { formatFixed, formatPlain, formatSignificant } from './format';
import type { Preferences } from './preference-cookies';

/** How somebody reads figures. Plain functions of it, so that what is written outside a screen reads the same. */
export interface ReaderOfFigures extends Pick<Preferences, 'decimalSign'> {
  readonly unit: TorqueUnit;
}

/** The unit of the other system: lbf·ft for a metric shop, N·m for the rest. */
export const otherUnitOf = (unit: TorqueUnit): TorqueUnit => (unit === 'N·m' ? 'lbf·ft' : 'N·m');

/** Whether a shop that speaks of torque in this unit speaks of lengths in inches. */
export const isInchUnit = (unit: TorqueUnit): boolean => unit.startsWith('lbf') || unit.startsWith('ozf');

export type Lengths = ReturnType<typeof lengthsFor>;

/**
 * Writes lengths as this person reads them.
 * @param whole true for figures as large as a size, which nobody tells in thou
 */
export function lengthsFor(
  { decimalSign, inch }: Pick<Preferences, 'decimalSign'> & { readonly inch: boolean },
  whole = false,
) {
  const size = (value_mm: number) =>
    inch ? `${formatFixed(value_mm / INCH_MM, 4, decimalSign)} in` : `${formatFixed(value_mm, 3, decimalSign)} mm`;
  const smallUnit = inch ? (whole ? 'in' : 'thou') : 'mm';
  const [unit_mm, finest] = inch ? (whole ? [INCH_MM, 4] : [THOU_MM, 2]) : [1, 3];
  const small = (value_mm: number, decimals = finest) => formatFixed(value_mm / unit_mm, decimals, decimalSign);
  return {
    inch,
    /** What a clearance or a float is told in. */
    smallUnit,
    /** A clearance or a float, without its unit: `1.50`, `0.038`. */
    small: (value_mm: number) => small(value_mm),
    /** `1.50 thou`, `0.038 mm` */
    gap: (value_mm: number) => `${small(value_mm)} ${smallUnit}`,
    /** `1.00 to 1.50 thou` */
    span: (low_mm: number, high_mm: number) =>
      small(low_mm) === small(high_mm)
        ? `${small(low_mm)} ${smallUnit}`
        : `${small(low_mm)} to ${small(high_mm)} ${smallUnit}`,
    /**
     * A figure out of readings, with no digit finer than what its instrument reads to: `0.15 mm`, `5.9 to 6.3 thou`.
     * @param resolution_mm 0 where nobody said
     */
    read: (low_mm: number, high_mm: number, resolution_mm: number) => {
      const own = resolution_mm > 0 ? Math.ceil(-Math.log10(resolution_mm / unit_mm) - 1e-9) : finest;
      const [low, high] = [low_mm, high_mm].map((one) => small(one, Math.min(finest, Math.max(0, own))));
      return low === high ? `${low} ${smallUnit}` : `${low} to ${high} ${smallUnit}`;
    },
    /** A size, to a tenth of a thou or a thousandth of a mm: `1.9685 in`, `50.000 mm`. */
    size,
  };
}

export type Figures = ReturnType<typeof figuresFor>;

/** Writes figures as this person reads them. */
export const figuresFor = ({ decimalSign, unit }: ReaderOfFigures) => ({
  decimalSign,
  unit,
  significant: (value: number, digits = 3) => formatSignificant(value, digits, decimalSign),
  plain: (value: number) => formatPlain(value, decimalSign),
  torque: (value_Nm: number, digits = 3, as: TorqueUnit = unit) =>
    `${formatSignificant(torqueFromSi(value_Nm, as), digits, decimalSign)} ${as}`,
  kilonewtons: (value_N: number, digits = 3) => `${formatSignificant(value_N / 1000, digits, decimalSign)} kN`,
});
