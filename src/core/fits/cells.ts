import type { Part } from './conditions';
import type { FitKind } from './kinds';

export const METHODS = ['micrometer', 'strip', 'dial', 'feelers', 'length'] as const;
export type Method = (typeof METHODS)[number];

/** How a fit is to be read. */
export interface ReadingPlan {
  readonly kind: FitKind;
  readonly methods: readonly Method[];
  /** Stations along a part; repeats of a dial; places at which feelers are tried. */
  readonly stations: number;
  readonly angles: number;
}

/** One figure that is asked for. */
export interface Cell {
  readonly part: Part;
  readonly station: number;
  readonly angle: number;
}

export const cellKey = ({ part, station, angle }: Cell): string => `${part}.${station}.${angle}`;

const STRIP_ENDS = 2;

const grid = (part: Part, stations: number, angles: number): readonly Cell[] =>
  Array.from({ length: stations * angles }, (_, i) => ({ part, station: Math.floor(i / angles), angle: i % angles }));

const row = (parts: readonly Part[], stations: number): readonly Cell[] =>
  Array.from({ length: stations }, (_, station) => parts.map((part): Cell => ({ part, station, angle: 0 }))).flat();

/** What is asked for at one place, in groups that are read one after another: every journal before the first bore. */
export function cellGroups({ kind, methods, stations, angles }: ReadingPlan): readonly (readonly Cell[])[] {
  const by = (method: Method, ...groups: readonly (readonly Cell[])[]) => (methods.includes(method) ? groups : []);
  switch (kind.shape) {
    case 'pair':
      return [
        ...by('micrometer', grid('journal', stations, angles), grid('bore', stations, angles)),
        ...by('strip', grid('strip', STRIP_ENDS, 1)),
      ];
    case 'float':
      return [
        ...by('dial', row(['push', 'pull', 'zero'], stations)),
        ...by('feelers', row(['goes', 'stops'], stations)),
      ];
    case 'feelers':
      return [row(['goes', 'stops'], stations)];
    case 'length':
      return [grid('length', stations, 1)];
    case 'runout':
      return [row(['high', 'low'], stations)];
  }
}

/** The whole round in the order of the hand: each group at every place before the next group. */
export function entryOrder(plan: ReadingPlan, places: number): readonly (Cell & { readonly place: number })[] {
  return cellGroups(plan).flatMap((cells) =>
    Array.from({ length: places }, (_, place) => cells.map((cell) => ({ ...cell, place }))).flat(),
  );
}
