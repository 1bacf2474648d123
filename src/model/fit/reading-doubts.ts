import { cellKey, dialDoubts, feelerDoubts, readingDoubts, type Cell, type Part } from '@/core/fits';
import type { Note } from '@/core/units';
import type { FitState } from './place-state';

export type PlacedCell = Cell & { readonly place: number };

const OPPOSITE: Partial<Record<Part, Part>> = { journal: 'bore', bore: 'journal' };
const mean = (values: readonly number[]) =>
  values.length === 0 ? undefined : values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * What is doubtful about a value in a cell, by what else has been read. The screen, the door and the table ask the
 * same.
 */
export function doubtsOf(state: FitState, cell: PlacedCell, value_mm: number, resolution_mm: number): readonly Note[] {
  const { kind, fit, places } = state;
  const here = places[cell.place];
  const read = (part: Part) => here?.current.get(cellKey({ ...cell, part }))?.value_mm;
  if (cell.part === 'pull') return dialDoubts(read('push'), value_mm, undefined, resolution_mm);
  if (cell.part === 'zero') return dialDoubts(read('push'), undefined, value_mm, resolution_mm);
  const others_mm = places.flatMap((place) =>
    [...place.current.values()].flatMap((line) =>
      line.part === cell.part && !(place.place === cell.place && cellKey(line) === cellKey(cell))
        ? [line.value_mm]
        : [],
    ),
  );
  const opposite = OPPOSITE[cell.part];
  const opposite_mm =
    opposite &&
    mean([...(here?.current.values() ?? [])].flatMap((line) => (line.part === opposite ? [line.value_mm] : [])));
  const isInner = cell.part === 'journal';
  const feelers =
    cell.part === 'goes'
      ? feelerDoubts(value_mm, read('stops'))
      : cell.part === 'stops'
        ? feelerDoubts(read('goes'), value_mm)
        : [];
  const order =
    cell.part === 'stops' && value_mm <= (read('goes') ?? -1)
      ? [{ code: 'go-not-below-stop', message: 'It does not go, yet a thicker one goes: one of them was read wrong.' }]
      : [];
  return [
    ...order,
    ...feelers,
    ...readingDoubts({
      part: cell.part,
      value_mm,
      ...(fit.detail.nominal_mm !== undefined && kind.shape === 'pair' && { nominal_mm: fit.detail.nominal_mm }),
      others_mm: kind.shape === 'pair' && cell.part !== 'strip' ? others_mm : [],
      opposite_mm,
      ...(opposite &&
        !kind.along && { mustBe: isInner !== kind.interference ? ('smaller' as const) : ('larger' as const) }),
      oppositeName: kind.sides[isInner ? 1 : 0].toLowerCase(),
      limits: here?.result.wanted?.hard ?? fit.wanted.limits,
    }),
  ];
}
