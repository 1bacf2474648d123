import type { Film } from './film';

const SOURCE =
  'Ranges commonly quoted; within friction classes A to D of VDI 2230. Not checked against a second print.';

/** Starting values: [id, name, 5th, 50th, 95th percentile of μ], thread and face alike unless measured. */
const ROWS: readonly (readonly [string, string, number, number, number])[] = [
  ['dry-bare', 'Dry, degreased bare steel', 0.18, 0.24, 0.35],
  ['as-received', 'As received, traces of oil', 0.12, 0.15, 0.19],
  ['engine-oil', 'Engine oil, threads and face', 0.1, 0.13, 0.16],
  ['tallow-graphite', 'Tallow and graphite (period)', 0.09, 0.12, 0.15],
  ['moly-paste', 'Molybdenum disulphide paste', 0.06, 0.085, 0.11],
  ['anti-seize', 'Copper or graphite anti-seize', 0.08, 0.11, 0.14],
  ['wax-ptfe', 'Wax or PTFE', 0.05, 0.08, 0.11],
  ['thread-locker', 'Liquid thread locker, wet', 0.11, 0.15, 0.2],
  ['ptfe-sealant', 'PTFE thread sealant', 0.09, 0.12, 0.15],
  ['cadmium-dry', 'Cadmium plate, dry', 0.08, 0.11, 0.15],
  ['zinc-dry', 'Zinc plate, dry', 0.12, 0.17, 0.24],
  ['zinc-oiled', 'Zinc plate, oiled', 0.1, 0.14, 0.18],
  ['phosphate-oil', 'Phosphate and oil', 0.08, 0.12, 0.16],
  ['stainless-dry', 'Stainless, dry (galls)', 0.2, 0.26, 0.35],
];

export const SHELF_FILMS: readonly Film[] = ROWS.map(([id, name, low, middle, high]) => ({
  id,
  name,
  thread: { low, middle, high },
  head: { low, middle, high },
  provenance: 'typical',
  source: SOURCE,
}));
