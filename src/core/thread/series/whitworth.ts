import type { ThreadRow } from '../thread';
import { flatsInInches, inchRow } from './inch-row';

/** BS 84: threads to the inch. */
const BSW: readonly (readonly [string, number])[] = [
  ['1/8', 40], ['3/16', 24], ['1/4', 20], ['5/16', 18], ['3/8', 16], ['7/16', 14], ['1/2', 12], ['9/16', 12], ['5/8', 11],
  ['11/16', 11], ['3/4', 10], ['7/8', 9], ['1', 8],
]; // prettier-ignore
const BSF: readonly (readonly [string, number])[] = [
  ['3/16', 32], ['7/32', 28], ['1/4', 26], ['9/32', 26], ['5/16', 22], ['3/8', 20], ['7/16', 18], ['1/2', 16], ['9/16', 16],
  ['5/8', 14], ['11/16', 14], ['3/4', 12], ['7/8', 11], ['1', 10],
]; // prettier-ignore

/** One spanner, two names: BS 190 (large) for Whitworth, BS 1083 (small) for BSF, and for BSW from 1941. Inches. */
export const WHITWORTH_HEXAGONS_IN: Readonly<Record<string, number>> = {
  '3/16': 0.445, '1/4': 0.525, '5/16': 0.6, '3/8': 0.71, '7/16': 0.82, '1/2': 0.92, '9/16': 1.01, '5/8': 1.1, '3/4': 1.3,
}; // prettier-ignore
export const BSF_HEXAGONS_IN: Readonly<Record<string, number>> = {
  '3/16': 0.324, '1/4': 0.445, '5/16': 0.525, '3/8': 0.6, '7/16': 0.71, '1/2': 0.82, '9/16': 0.92, '5/8': 1.01, '11/16': 1.1,
  '3/4': 1.2, '7/8': 1.3,
}; // prettier-ignore

const pairs = (rows: readonly (readonly [number | undefined, string])[]) => {
  const known = rows.filter((row): row is readonly [number, string] => row[0] !== undefined);
  return known.length > 0 ? flatsInInches(...known) : undefined;
};

export const WHITWORTH_ROWS: readonly ThreadRow[] = [
  ...BSW.map(([nominal, tpi]) =>
    inchRow('BSW', nominal, tpi, {
      flats: pairs([
        [WHITWORTH_HEXAGONS_IN[nominal], 'BS 190, before 1941'],
        [BSF_HEXAGONS_IN[nominal], 'BS 1083, from 1941'],
      ]),
    }),
  ),
  ...BSF.map(([nominal, tpi]) =>
    inchRow('BSF', nominal, tpi, { flats: pairs([[BSF_HEXAGONS_IN[nominal], 'BS 1083']]) }),
  ),
];
