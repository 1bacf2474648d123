import type { AcrossFlats, ThreadRow } from '../thread';

/**
 * ISO 261 coarse series: diameter, pitch, mm. M9, M11 and M7 are not of the first choice and are met in old engines.
 */
const COARSE: readonly (readonly [number, number])[] = [
  [1.6, 0.35], [2, 0.4], [2.5, 0.45], [3, 0.5], [3.5, 0.6], [4, 0.7], [5, 0.8], [6, 1], [7, 1], [8, 1.25], [9, 1.25], [10, 1.5],
  [11, 1.5], [12, 1.75], [14, 2], [16, 2], [18, 2.5], [20, 2.5], [22, 2.5], [24, 3], [27, 3], [30, 3.5], [33, 3.5], [36, 4], [39, 4],
]; // prettier-ignore

/** ISO 261 fine pitches with those of pre-standard engines. */
const FINE: Readonly<Record<number, readonly number[]>> = {
  3: [0.35, 0.6], 4: [0.5, 0.75], 5: [0.5, 0.75, 0.9], 6: [0.5, 0.75], 7: [0.75], 8: [1, 0.75], 9: [1, 0.75], 10: [1.25, 1, 0.75],
  11: [1.25, 1], 12: [1.5, 1.25, 1], 13: [1.5, 1.25, 1], 14: [1.5, 1.25, 1], 15: [1.5, 1], 16: [1.5, 1.25, 1], 17: [1.5, 1],
  18: [2, 1.5, 1], 20: [2, 1.5, 1], 22: [2, 1.5, 1], 24: [2, 1.5, 1], 25: [2, 1.5, 1], 26: [1.5], 27: [2, 1.5, 1], 28: [2, 1.5],
  30: [3, 2, 1.5, 1], 32: [2, 1.5], 33: [3, 2, 1.5], 35: [1.5], 36: [3, 2, 1.5], 38: [1.5], 39: [3, 2, 1.5], 40: [3, 2, 1.5],
}; // prettier-ignore

/** Hexagons across flats, mm: old DIN 931 sizes and those of ISO 272. */
const FLATS: Readonly<Record<number, readonly (readonly [number, string])[]>> = {
  2: [[4, 'ISO 272']], 2.5: [[5, 'ISO 272']], 3: [[5.5, 'ISO 272']], 4: [[7, 'ISO 272']], 5: [[8, 'ISO 272'], [9, 'old DIN']],
  6: [[10, 'ISO 272'], [11, 'old DIN']], 7: [[11, 'ISO 272']], 8: [[13, 'ISO 272'], [14, 'old DIN']],
  10: [[16, 'ISO 272'], [17, 'old DIN']], 12: [[18, 'ISO 272'], [19, 'old DIN']], 14: [[21, 'ISO 272'], [22, 'old DIN']],
  16: [[24, 'ISO 272']], 18: [[27, 'ISO 272']], 20: [[30, 'ISO 272']], 22: [[34, 'ISO 272'], [32, 'old DIN']], 24: [[36, 'ISO 272']],
}; // prettier-ignore

const flatsOf = (diameter: number): readonly AcrossFlats[] | undefined =>
  FLATS[diameter]?.map(([mm, standard]) => ({ mm, standard }));

const row = (diameter: number, pitch: number, usual: boolean): ThreadRow => ({
  designation: usual ? `M${diameter}` : `M${diameter}×${pitch}`,
  nominal: `M${diameter}`,
  series: 'M',
  major_mm: diameter,
  pitch_mm: pitch,
  usual,
  acrossFlats_mm: flatsOf(diameter),
});

export const METRIC_ROWS: readonly ThreadRow[] = [
  ...COARSE.map(([diameter, pitch]) => row(diameter, pitch, true)),
  ...Object.entries(FINE).flatMap(([diameter, pitches]) => pitches.map((pitch) => row(Number(diameter), pitch, false))),
];
