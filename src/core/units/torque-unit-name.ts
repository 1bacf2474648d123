import type { TorqueUnit } from './torque-units';
import { FORCE_WORDS, LENGTH_WORDS, type ForceWord, type LengthWord } from './unit-words';

const PRODUCTS: Readonly<Record<string, TorqueUnit>> = {
  'N m': 'N·m',
  'N cm': 'cN·m',
  'N mm': 'N·mm',
  'kN m': 'kN·m',
  'daN m': 'daN·m',
  'cN m': 'cN·m',
  'kgf m': 'kgf·m',
  'kgf cm': 'kgf·cm',
  'lbf ft': 'lbf·ft',
  'lbf in': 'lbf·in',
  'ozf in': 'ozf·in',
  'gf cm': 'gf·cm',
};

/** The torque unit made by a force and a length, or undefined where print knows none. */
const torqueProduct = (force: ForceWord, length: LengthWord): TorqueUnit | undefined => PRODUCTS[`${force} ${length}`];

const pair = (first: string, second: string): TorqueUnit | undefined => {
  const force = FORCE_WORDS.get(first) ?? FORCE_WORDS.get(second);
  const length = LENGTH_WORDS.get(first) ?? LENGTH_WORDS.get(second);
  return force && length && torqueProduct(force, length);
};

/**
 * Reads one run-together or two-word torque unit: `mkg`, `kgfm`, `ftlbs`, `newtonmetres`, in either order.
 * The text must be lower case with stops, hyphens and spaces already gone.
 */
export function torqueUnitFromLetters(letters: string): TorqueUnit | undefined {
  if (known.has(letters)) return known.get(letters);
  const unit = letters.length > LONGEST ? undefined : split(letters);
  if (known.size < MAX_KNOWN) known.set(letters, unit);
  return unit;
}

const LONGEST = 40;
const MAX_KNOWN = 2000;
// The same few words come again and again; most tries are words that are half a unit.
const known = new Map<string, TorqueUnit | undefined>();

function split(letters: string): TorqueUnit | undefined {
  for (let cut = 1; cut < letters.length; cut++) {
    const unit = pair(letters.slice(0, cut), letters.slice(cut));
    if (unit) return unit;
  }
  return letters.endsWith('s') ? split(letters.slice(0, -1)) : undefined;
}
