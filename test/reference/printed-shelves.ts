/**
 * A second copy of the figures that ship on the shelves, as they stand in print, so that a slip in either is seen.
 * Friction: 5th, middle and 95th percentile. Grades: tensile, yield, proof, in the unit of their norm.
 */
export const PRINTED_FRICTION: Readonly<Record<string, readonly [number, number, number]>> = {
  'dry-bare': [0.18, 0.24, 0.35], 'as-received': [0.12, 0.15, 0.19], 'engine-oil': [0.1, 0.13, 0.16],
  'tallow-graphite': [0.09, 0.12, 0.15], 'moly-paste': [0.06, 0.085, 0.11], 'anti-seize': [0.08, 0.11, 0.14],
  'wax-ptfe': [0.05, 0.08, 0.11], 'thread-locker': [0.11, 0.15, 0.2], 'ptfe-sealant': [0.09, 0.12, 0.15],
  'cadmium-dry': [0.08, 0.11, 0.15], 'zinc-dry': [0.12, 0.17, 0.24], 'zinc-oiled': [0.1, 0.14, 0.18],
  'phosphate-oil': [0.08, 0.12, 0.16], 'stainless-dry': [0.2, 0.26, 0.35],
}; // prettier-ignore

/** ISO 898-1, MPa. */
export const PRINTED_ISO_898 = `
4.6 400/240/225
4.8 420/340/310
5.6 500/300/280
5.8 520/420/380
6.8 600/480/440
8.8-to-16-mm 800/640/580
8.8-above-16-mm 830/660/600
9.8 900/720/650
10.9 1040/940/830
12.9 1220/1100/970`;

/** SAE J429, ksi. */
export const PRINTED_SAE_J429 = `
1 60/36/33
2-to-3-4-in 74/57/55
2-above-3-4-in 60/36/33
5-to-1-in 120/92/85
5-above-1-in 105/81/74
8 150/130/120`;

/** Old DIN 267, MPa, tensile and yield. */
export const PRINTED_DIN_267 = `
4d 392/235
5d 490/275
5s 490/392
6d 588/353
6s 588/471
6g 588/530
8g 785/628
10k 981/883
12k 1177/1059`;

/** British letters, tonf/in², with the share of it that is usually taken as the yield. */
export const PRINTED_BRITISH: Readonly<Record<string, readonly [tons: number, share: number]>> = {
  a: [28, 0.55], b: [28, 0.55], p: [35, 0.7], q: [40, 0.7], r: [45, 0.8], s: [50, 0.8], t: [55, 0.8], u: [60, 0.8],
  v: [65, 0.8], w: [70, 0.8], x: [75, 0.8],
}; // prettier-ignore

/** Shear strength and surface pressure, MPa, low and high, and the least engagement in diameters. */
export const PRINTED_METALS: Readonly<Record<string, readonly number[]>> = {
  'grey-iron': [180, 230, 600, 800, 1.5],
  'aluminium-cast': [80, 105, 140, 220, 2],
  'aluminium-treated': [130, 180, 200, 300, 2],
  magnesium: [90, 120, 140, 200, 2],
  'mild-steel': [230, 280, 400, 490, 1],
};
