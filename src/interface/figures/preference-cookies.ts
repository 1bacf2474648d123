import { WHO_COOKIE, initialsIn } from '@/model/initials';
import type { DecimalSign } from './format';

/** How this person wants figures and screens shown. */
export interface Preferences {
  readonly decimalSign: DecimalSign;
  /** True while the other unit system is shown. */
  readonly otherUnits: boolean;
  readonly contrast: 'normal' | 'high';
  /** False turns every single-key shortcut off. */
  readonly keys: boolean;
  /** Initials of whoever works at this device; empty where they are not wanted, left out before anybody was asked. */
  readonly who?: string;
}

const COOKIES: Readonly<Record<keyof Preferences, string>> = {
  decimalSign: 'spanner-decimal',
  otherUnits: 'spanner-other-units',
  contrast: 'spanner-contrast',
  keys: 'spanner-keys',
  who: WHO_COOKIE,
};

const YEAR_S = 31_536_000;

export const writePreference = (name: keyof Preferences, value: string): void => {
  document.cookie = `${COOKIES[name]}=${encodeURIComponent(value)}; path=/; max-age=${YEAR_S}; samesite=lax`;
};

/** Reads the preferences out of cookies, by name. */
export function preferencesFrom(cookie: (name: string) => string | undefined): Preferences {
  const kept = cookie(COOKIES.who);
  const who = kept === undefined ? undefined : initialsIn(kept);
  // Empty was an answer too; what is no initials was none.
  const isAnswered = kept === '' || (who !== undefined && who !== '');
  return {
    decimalSign: cookie(COOKIES.decimalSign) === ',' ? ',' : '.',
    otherUnits: cookie(COOKIES.otherUnits) === 'true',
    contrast: cookie(COOKIES.contrast) === 'high' ? 'high' : 'normal',
    keys: cookie(COOKIES.keys) !== 'false',
    ...(isAnswered && { who }),
  };
}
