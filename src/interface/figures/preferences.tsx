'use client';

import { INCH_MM, THOU_MM, torqueFromSi, type TorqueUnit } from '@/core/units';
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { formatFixed, formatPlain, formatSignificant } from './format';
import { writePreference, type Preferences } from './preference-cookies';

interface Held extends Preferences {
  readonly change: (part: Partial<Preferences>) => void;
}

const PreferencesContext = createContext<Held | undefined>(undefined);
const OwnUnitContext = createContext<TorqueUnit>('N·m');

/** Holds how this person wants figures and screens shown; kept in cookies so that the server draws the same. */
export function PreferencesProvider({
  initial,
  children,
}: {
  readonly initial: Preferences;
  readonly children: ReactNode;
}) {
  const [preferences, setPreferences] = useState(initial);
  const change = useCallback((part: Partial<Preferences>) => {
    setPreferences((before) => ({ ...before, ...part }));
    for (const [name, value] of Object.entries(part)) writePreference(name as keyof Preferences, String(value));
    if (part.contrast) document.documentElement.dataset.contrast = part.contrast;
  }, []);
  const held = useMemo(() => ({ ...preferences, change }), [preferences, change]);
  return <PreferencesContext value={held}>{children}</PreferencesContext>;
}

/** The unit in which the engine at hand is spoken of. */
export const OwnUnit = ({ unit, children }: { readonly unit: TorqueUnit; readonly children: ReactNode }) => (
  <OwnUnitContext value={unit}>{children}</OwnUnitContext>
);

export function usePreferences(): Held {
  const held = useContext(PreferencesContext);
  if (!held) throw new Error('usePreferences: no PreferencesProvider above this component');
  return held;
}

/** The unit of the other system: lbf·ft for a metric shop, N·m for the rest. */
export const otherUnitOf = (unit: TorqueUnit): TorqueUnit => (unit === 'N·m' ? 'lbf·ft' : 'N·m');

export function useTorqueUnit(): TorqueUnit {
  const own = useContext(OwnUnitContext);
  return usePreferences().otherUnits ? otherUnitOf(own) : own;
}

const isInchShop = (unit: TorqueUnit) => unit.startsWith('lbf') || unit.startsWith('ozf');

/**
 * Writes lengths the way this person reads them: mm, or inches and thou; the other system is one key away.
 * @param whole true for figures as large as a size, which nobody tells in thou
 */
export function useLengths(whole = false) {
  const own = useContext(OwnUnitContext);
  const { decimalSign, otherUnits } = usePreferences();
  const inch = isInchShop(own) !== otherUnits;
  return useMemo(() => {
    const size = (value_mm: number) =>
      inch ? `${formatFixed(value_mm / INCH_MM, 4, decimalSign)} in` : `${formatFixed(value_mm, 3, decimalSign)} mm`;
    const smallUnit = inch ? (whole ? 'in' : 'thou') : 'mm';
    const small = (value_mm: number) => {
      if (!inch) return formatFixed(value_mm, 3, decimalSign);
      return whole ? formatFixed(value_mm / INCH_MM, 4, decimalSign) : formatFixed(value_mm / THOU_MM, 2, decimalSign);
    };
    return {
      inch,
      /** What a clearance or a float is told in. */
      smallUnit,
      /** A clearance or a float, without its unit: `1.50`, `0.038`. */
      small,
      /** `1.50 thou`, `0.038 mm` */
      gap: (value_mm: number) => `${small(value_mm)} ${smallUnit}`,
      /** `1.00 to 1.50 thou` */
      span: (low_mm: number, high_mm: number) =>
        small(low_mm) === small(high_mm)
          ? `${small(low_mm)} ${smallUnit}`
          : `${small(low_mm)} to ${small(high_mm)} ${smallUnit}`,
      /** A size, to a tenth of a thou or a thousandth of a mm: `1.9685 in`, `50.000 mm`. */
      size,
    };
  }, [decimalSign, inch, whole]);
}

/** Writes figures the way this person reads them. */
export function useFigures() {
  const { decimalSign } = usePreferences();
  const unit = useTorqueUnit();
  return useMemo(
    () => ({
      decimalSign,
      unit,
      significant: (value: number, digits = 3) => formatSignificant(value, digits, decimalSign),
      plain: (value: number) => formatPlain(value, decimalSign),
      torque: (value_Nm: number, digits = 3, as: TorqueUnit = unit) =>
        `${formatSignificant(torqueFromSi(value_Nm, as), digits, decimalSign)} ${as}`,
      kilonewtons: (value_N: number, digits = 3) => `${formatSignificant(value_N / 1000, digits, decimalSign)} kN`,
    }),
    [decimalSign, unit],
  );
}
