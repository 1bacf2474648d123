import type { Locking, RangeSchool } from '@/core/joint';
import type { OrderSchool, PatternKind, StageScheme, UnitOfWork } from '@/core/tightening';
import type { Care, FastenerFacts, JointClass } from '@/model/joint/joint-detail';
import type { RetorqueSchool } from '@/model/joint/joint';

export interface Choice<T extends string> {
  readonly value: T;
  readonly label: string;
}

export const PATTERNS: readonly Choice<PatternKind>[] = [
  { value: 'rows', label: 'Two rows, as on a head' },
  { value: 'ring', label: 'A ring' },
  { value: 'caps', label: 'A line of caps, two fasteners each' },
];

export const RANGES: readonly Choice<RangeSchool>[] = [
  { value: 'low', label: 'Low end' },
  { value: 'middle', label: 'Middle' },
  { value: 'top', label: 'Top' },
  { value: 'bottom-then-middle', label: 'Bottom, turn the shaft, then middle' },
];

export const TURNS: readonly Choice<OrderSchool>[] = [
  { value: 'centre-out', label: 'From the middle out, crossing' },
  { value: 'spiral', label: 'From the middle out, round and round' },
  { value: 'star', label: 'Across and across' },
];

export const UNITS_OF_WORK: readonly Choice<UnitOfWork>[] = [
  { value: 'row', label: 'The whole row a stage' },
  { value: 'each', label: 'Each cap to its final figure' },
];

export const RETORQUES: readonly Choice<RetorqueSchool>[] = [
  { value: 'slacken', label: 'Cold; slacken each a little, pull again' },
  { value: 'straight', label: 'Cold; straight pull' },
  { value: 'warm', label: 'Warm, where the book says so' },
  { value: 'none', label: 'None: the gasket says not to' },
];

export const LOCKINGS: readonly Choice<Locking>[] = [
  { value: 'none', label: 'None' },
  { value: 'tab', label: 'Tab washer' },
  { value: 'compound', label: 'Compound' },
  { value: 'wire', label: 'Wire' },
  { value: 'polymer-nut', label: 'Nut with a polymer insert' },
  { value: 'metal-nut', label: 'All-metal locking nut' },
];

export const SOCKETS: readonly Choice<FastenerFacts['socket']>[] = [
  { value: 'not-tried', label: 'Not tried yet' },
  { value: 'takes', label: 'Tried: it gets at it, nothing fouls' },
  { value: 'fouls', label: 'It does not, or the head fouls' },
];

export const CLASSES: readonly Choice<JointClass>[] = [
  { value: 'inside', label: 'Inside the engine' },
  { value: 'outside', label: 'Outside it' },
  { value: 'trim', label: 'A cover or small fitting' },
];

export const CARES: readonly Choice<Care>[] = [
  { value: 'wrench', label: 'Always by wrench' },
  { value: 'importance', label: 'By importance' },
  { value: 'hand', label: 'By hand, recorded as by feel' },
];

export const NAMED_SCHEMES: readonly Choice<'halves' | 'thirds' | 'quarters' | 'typed'>[] = [
  { value: 'halves', label: 'Halves' },
  { value: 'thirds', label: 'Thirds' },
  { value: 'quarters', label: 'Quarters' },
  { value: 'typed', label: 'Figures as printed' },
];

/** Figures as a page lists them, in the wrench's unit, become shares of the last; undefined where they do not rise. */
export function schemeOfFigures(text: string): StageScheme | undefined {
  const figures = text
    .split(/[;/]|,\s|\s+/)
    .filter(Boolean)
    .map((part) => Number(part.replace(',', '.')));
  const last = figures.at(-1);
  const rises = figures.every((one, i) => one > 0 && (i === 0 || one > (figures[i - 1] ?? 0)));
  if (last === undefined || !rises || figures.length > 8) return undefined;
  return figures.map((one) => one / last);
}
