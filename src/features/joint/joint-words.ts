import { plainFigure } from '@/core/units';
import { choices, type Choice } from '@/interface/words/choices';
import { RETORQUE_WORDS } from '@/interface/words/retorque-words';
import { RETORQUE_SCHOOLS } from '@/core/heat';
import { LOCKINGS, RANGE_SCHOOLS } from '@/core/joint';
import {
  NAMED_SCHEMES,
  TURN_SCHOOLS,
  PATTERN_KINDS,
  UNITS_OF_WORK,
  type NamedScheme,
  type StageScheme,
} from '@/core/tightening';
import { TEST_PURPOSES } from '@/model/joint/tightening';
import { CARES } from '@/model/joint/care';
import { SOCKET_FITS } from '@/model/joint/fastener-facts';
import { JOINT_CLASSES } from '@/model/joint/joint-detail';

export const PATTERNS = choices(PATTERN_KINDS, {
  rows: 'Two rows, as on a head',
  staggered: 'Two rows, staggered',
  line: 'One line',
  ring: 'A ring',
  caps: 'A line of caps, two fasteners each',
  free: 'In no pattern: each place by itself',
});

export const TEST_ROUNDS = choices(TEST_PURPOSES, {
  trial: 'to try it',
  sizing: 'to size what lies between',
  measuring: 'to read a bore or a gap',
  strip: 'to crush a strip, the crank held',
});

export const RANGES = choices(RANGE_SCHOOLS, {
  low: 'Low end',
  middle: 'Middle',
  top: 'Top',
  'bottom-then-middle': 'Bottom, turn the crank, then middle',
});

export const TURNS = choices(TURN_SCHOOLS, {
  'centre-out': 'From the middle out, crossing',
  spiral: 'From the middle out, round and round',
  star: 'Across and across',
  'as-printed': 'As the book has it',
});

export const WORK_UNITS = choices(UNITS_OF_WORK, {
  row: 'The whole row a stage',
  each: 'Each cap to its final figure',
});

export const RETORQUES = choices(RETORQUE_SCHOOLS, RETORQUE_WORDS);

export const LOCKING_CHOICES = choices(LOCKINGS, {
  unsaid: 'Not said yet',
  none: 'None',
  tab: 'Tab washer',
  compound: 'Compound',
  wire: 'Wire',
  pin: 'Slotted nut and pin',
  'polymer-nut': 'Nut with a polymer insert',
  'metal-nut': 'All-metal locking nut',
});

export const SOCKETS = choices(SOCKET_FITS, {
  'not-tried': 'Not tried yet',
  takes: 'Tried: it gets at it, nothing fouls',
  fouls: 'It does not, or the head fouls',
});

export const CLASSES = choices(JOINT_CLASSES, {
  inside: 'Inside the engine',
  outside: 'Outside it',
  trim: 'A cover or small fitting',
});

export const CARE_CHOICES = choices(CARES, {
  wrench: 'Always by wrench',
  importance: 'By importance',
  hand: 'By hand, recorded as by feel',
});

export const SCHEMES: readonly Choice<NamedScheme | 'typed'>[] = [
  ...choices(NAMED_SCHEMES, { halves: 'Halves', thirds: 'Thirds', quarters: 'Quarters' }),
  { value: 'typed', label: 'Figures as printed' },
];

/** Figures as a page lists them, in the wrench's unit, become shares of the last; undefined where they do not rise. */
export function schemeOfFigures(text: string): StageScheme | undefined {
  const figures = text
    .split(/[;/]|,\s|\s+/)
    .filter(Boolean)
    .map((part) => plainFigure(part) ?? 0);
  const last = figures.at(-1);
  const rises = figures.every((one, i) => one > 0 && (i === 0 || one > (figures[i - 1] ?? 0)));
  if (last === undefined || !rises || figures.length > 8) return undefined;
  return figures.map((one) => one / last);
}
