import { INCH_MM } from '@/core/units';
import type { ThreadRow } from '../thread';
import { inchRow } from './inch-row';
import { METRIC_ROWS } from './metric';

// Threads that a page names and a caliper cannot tell from others: they are found by name, and never proposed.

const BRASS_SIZES = ['1/8', '3/16', '1/4', '5/16', '3/8', '7/16', '1/2', '9/16', '5/8', '3/4', '7/8', '1'];

/** Brass thread, once called gas: Whitworth form, 26 to the inch whatever the size. */
const BRASS_ROWS: readonly ThreadRow[] = BRASS_SIZES.map((nominal) => inchRow('Brass', nominal, 26));

/** Parallel pipe thread, named by the pipe's bore: outside diameter in mm, threads to the inch. @source ISO 228-1 */
const PIPE: readonly (readonly [string, number, number])[] = [
  ['1/8', 9.728, 28],
  ['1/4', 13.157, 19],
  ['3/8', 16.662, 19],
  ['1/2', 20.955, 14],
  ['5/8', 22.911, 14],
  ['3/4', 26.441, 14],
  ['1', 33.249, 11],
];
const PIPE_ROWS: readonly ThreadRow[] = PIPE.map(([nominal, major_mm, tpi]) =>
  inchRow('BSP', nominal, tpi, { major_in: major_mm / INCH_MM }),
);

/** The metric sizes with the root that they had before the ISO profile; `M10 pre-ISO`. */
const METRIC_BEFORE_ISO_ROWS: readonly ThreadRow[] = METRIC_ROWS.map((row) => ({
  ...row,
  designation: `${row.designation} pre-ISO`,
  series: 'M pre-ISO',
}));

export const NAMED_ONLY_ROWS: readonly ThreadRow[] = [...BRASS_ROWS, ...PIPE_ROWS, ...METRIC_BEFORE_ISO_ROWS];
