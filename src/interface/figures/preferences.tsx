'use client';

import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { torqueFromSi, type TorqueUnit } from '@/core/units';
import { formatPlain, formatSignificant, type DecimalSign } from './format';
import { writePreference } from './preference-cookies';

export interface Preferences {
  readonly decimalSign: DecimalSign;
  /** True while the other unit system is shown. */
  readonly otherUnits: boolean;
  readonly contrast: 'normal' | 'high';
  /** False turns every single-key shortcut off. */
  readonly keys: boolean;
}

interface Held extends Preferences {
  readonly change: (part: Partial<Preferences>) => void;
}

const PreferencesContext = createContext<Held | undefined>(undefined);
const OwnUnitContext = createContext<TorqueUnit>('N·m');

/** Holds how this person wants figures and screens shown; kept in cookies so that the server draws the same. */
export function PreferencesProvider({ initial, children }: { readonly initial: Preferences; readonly children: ReactNode }) {
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
      torque: (value_Nm: number, digits = 3, as: TorqueUnit = unit) => `${formatSignificant(torqueFromSi(value_Nm, as), digits, decimalSign)} ${as}`,
      kilonewtons: (value_N: number, digits = 3) => `${formatSignificant(value_N / 1000, digits, decimalSign)} kN`,
    }),
    [decimalSign, unit],
  );
}
