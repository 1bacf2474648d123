'use client';

import type { TorqueUnit } from '@/core/units';
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { figuresFor, isInchUnit, lengthsFor, otherUnitOf, type Figures, type Lengths } from './figures';
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

export function useTorqueUnit(): TorqueUnit {
  const own = useContext(OwnUnitContext);
  return usePreferences().otherUnits ? otherUnitOf(own) : own;
}

/**
 * Writes lengths the way this person reads them: mm, or inches and thou; the other system is one key away.
 * @param whole true for figures as large as a size, which nobody tells in thou
 */
export function useLengths(whole = false): Lengths {
  const own = useContext(OwnUnitContext);
  const { decimalSign, otherUnits } = usePreferences();
  const inch = isInchUnit(own) !== otherUnits;
  return useMemo(() => lengthsFor({ decimalSign, inch }, whole), [decimalSign, inch, whole]);
}

/** Writes figures the way this person reads them. */
export function useFigures(): Figures {
  const { decimalSign } = usePreferences();
  const unit = useTorqueUnit();
  return useMemo(() => figuresFor({ decimalSign, unit }), [decimalSign, unit]);
}
