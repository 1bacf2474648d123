import type { ThreadRow, ThreadSeries } from '../thread';
import { flatsInInches, inchRow, inches } from './inch-row';

/** ASME B1.1: threads to the inch. */
const UNC: Readonly<Record<string, number>> = {
  '1/4': 20, '5/16': 18, '3/8': 16, '7/16': 14, '1/2': 13, '9/16': 12, '5/8': 11, '3/4': 10, '7/8': 9, '1': 8,
}; // prettier-ignore
const UNF: Readonly<Record<string, number>> = {
  '1/4': 28, '5/16': 24, '3/8': 24, '7/16': 20, '1/2': 20, '9/16': 18, '5/8': 18, '3/4': 16, '7/8': 14, '1': 12,
}; // prettier-ignore
/** Numbered sizes: major diameter 0.060 + 0.013 · N inches. */
const UNC_NUMBERS: Readonly<Record<number, number>> = {
  1: 64,
  2: 56,
  3: 48,
  4: 40,
  5: 40,
  6: 32,
  8: 32,
  10: 24,
  12: 24,
};
const UNF_NUMBERS: Readonly<Record<number, number>> = {
  0: 80,
  1: 72,
  2: 64,
  3: 56,
  4: 48,
  5: 44,
  6: 40,
  8: 36,
  10: 32,
  12: 28,
};

/** ASME B18.2.1 hexagon bolts and B18.2.2 nuts, inches. */
const FLATS: Readonly<Record<string, readonly [bolt: number, nut: number]>> = {
  '1/4': [7 / 16, 7 / 16], '5/16': [1 / 2, 1 / 2], '3/8': [9 / 16, 9 / 16], '7/16': [5 / 8, 11 / 16], '1/2': [3 / 4, 3 / 4],
  '9/16': [13 / 16, 7 / 8], '5/8': [15 / 16, 15 / 16], '3/4': [9 / 8, 9 / 8],
}; // prettier-ignore

const flatsOf = (nominal: string) => {
  const [bolt, nut] = FLATS[nominal] ?? [];
  if (bolt === undefined || nut === undefined) return undefined;
  return bolt === nut
    ? flatsInInches([bolt, 'ASME B18.2'])
    : flatsInInches([bolt, 'ASME B18.2.1 bolt'], [nut, 'ASME B18.2.2 nut']);
};

const fractions = (series: ThreadSeries, table: Readonly<Record<string, number>>): readonly ThreadRow[] =>
  Object.entries(table)
    .sort(([a], [b]) => inches(a) - inches(b))
    .map(([nominal, tpi]) => inchRow(series, nominal, tpi, { flats: flatsOf(nominal) }));

const numbers = (series: ThreadSeries, table: Readonly<Record<number, number>>): readonly ThreadRow[] =>
  Object.entries(table).map(([size, tpi]) =>
    inchRow(series, `No. ${size}`, tpi, { major_in: 0.06 + 0.013 * Number(size) }),
  );

export const UNIFIED_ROWS: readonly ThreadRow[] = [
  ...numbers('UNC', UNC_NUMBERS),
  ...numbers('UNF', UNF_NUMBERS),
  ...fractions('UNC', UNC),
  ...fractions('UNF', UNF),
];
