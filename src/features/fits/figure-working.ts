import type { Part, PlaceFigure, ShimChoice } from '@/core/fits';
import type { WorkingLine } from '@/core/joint';
import { stackOf_mm, type ShimDetail } from '@/model/fit/fit';
import { value20_mm } from '@/model/fit/value-at-20c';
import type { FitState, FitPlace } from '@/model/fit/place-state';
import type { Working } from '@/interface/shell/working-margin';

/** Figures of the margin in the system that is shown. */
export interface Told {
  readonly small: (mm: number) => string;
  readonly gap: (mm: number) => string;
  readonly size: (mm: number) => string;
  readonly span: (low_mm: number, high_mm: number) => string;
}

/** Two parts of a reading at each spot or time at which both were read, mm. */
function pairsOf(
  { current }: FitPlace,
  { fit }: FitState,
  first: Part,
  second: Part,
): readonly (readonly [number, number])[] {
  const lines = [...current.values()];
  return lines
    .filter(({ part }) => part === first)
    .sort((a, b) => a.station - b.station)
    .flatMap((one) => {
      const other = lines.find(({ part, station }) => part === second && station === one.station);
      return other ? [[value20_mm(one, fit), value20_mm(other, fit)] as const] : [];
    });
}

const differences = (pairs: readonly (readonly [number, number])[], { small }: Told) =>
  pairs.map(([low, high]) => `${small(high)} − ${low < 0 ? `(${small(low)})` : small(low)}`).join('; ');

function dialLine(figure: PlaceFigure, place: FitPlace, judged: FitState, told: Told): WorkingLine {
  const mean_mm = figure.uncrushed_mm ?? figure.mean_mm;
  const spread_mm = figure.uncrushed_mm === undefined ? figure.greatest_mm - figure.least_mm : 0;
  return {
    formula: 'float = pulled − pushed; their mean',
    figures: [
      `${differences(pairsOf(place, judged, 'push', 'pull'), told)}; mean ${told.gap(mean_mm)}${spread_mm > 1e-9 ? `, spread ${told.gap(spread_mm)}` : ''}`,
    ],
  };
}

function feelerLine(figure: PlaceFigure, place: FitPlace, judged: FitState, told: Told): WorkingLine {
  if (figure.uncrushed_mm !== undefined)
    return { formula: 'middle of what goes and what does not', figures: [told.gap(figure.uncrushed_mm)] };
  const spots = pairsOf(place, judged, 'goes', 'stops').map(([goes, stops]) => told.span(goes, stops));
  const each = spots.length > 1 ? `${spots.join('; ')}: ` : '';
  return {
    formula: 'between what goes and what does not',
    figures: [`${each}${told.span(figure.least_mm, figure.greatest_mm)}`],
  };
}

/** The full reading and its half, whichever of the two the limits are of. */
function runoutLines(figure: PlaceFigure, place: FitPlace, judged: FitState, told: Told): readonly WorkingLine[] {
  const full_mm = figure.greatest_mm * (judged.fit.wanted.as === 'eccentricity' ? 2 : 1);
  return [
    {
      formula: 'full indicator reading = highest − lowest',
      figures: [`${differences(pairsOf(place, judged, 'low', 'high'), told)} = ${told.gap(full_mm)} at most`],
    },
    { formula: 'eccentricity = half of it', figures: [`${told.small(full_mm)} / 2 = ${told.gap(full_mm / 2)}`] },
  ];
}

function crushLines({ uncrushed_mm }: PlaceFigure, { fit }: FitState, { small, gap }: Told): readonly WorkingLine[] {
  const crush = fit.detail.shim?.crush;
  if (uncrushed_mm === undefined || !crush) return [];
  return [
    {
      formula: 'less what the gasket loses, most and least',
      figures: [
        `${small(uncrushed_mm)} − ${small(crush.max_mm)} = ${gap(uncrushed_mm - crush.max_mm)}; ${small(uncrushed_mm)} − ${small(crush.min_mm)} = ${gap(uncrushed_mm - crush.min_mm)}`,
      ],
    },
  ];
}

/** How a figure came out of what was read, each reading put in. */
export function linesOfFigure(
  figure: PlaceFigure,
  place: FitPlace,
  judged: FitState,
  told: Told,
): readonly WorkingLine[] {
  switch (figure.method) {
    case 'dial':
      return [dialLine(figure, place, judged, told), ...crushLines(figure, judged, told)];
    case 'feelers':
      return [feelerLine(figure, place, judged, told), ...crushLines(figure, judged, told)];
    case 'runout':
      return runoutLines(figure, place, judged, told);
    case 'strip':
      return [{ formula: 'strip, both ends', figures: [told.span(figure.least_mm, figure.greatest_mm)] }];
    case 'length':
      return [{ formula: 'as read', figures: [told.span(figure.least_mm, figure.greatest_mm)] }];
    case 'micrometer':
      return [];
  }
}

/**
 * How much comes off a ring to reach the least gap, or 0: filing never closes a gap. Nothing where the fit is not one
 * to be filed.
 */
export function toFile_mm({ result: { figures, wanted } }: FitPlace, { remedies }: FitState['kind']): number {
  const [read] = figures;
  return read && wanted && remedies.includes('file') ? Math.max(0, wanted.hard.min_mm - read.least_mm) : 0;
}

export function fileLines(place: FitPlace, kind: FitState['kind'], { small, gap }: Told): readonly WorkingLine[] {
  const file_mm = toFile_mm(place, kind);
  const min_mm = place.result.wanted?.hard.min_mm ?? 0;
  if (file_mm === 0) return [];
  return [
    {
      formula: 'to file = least wanted − as read',
      figures: [`${small(min_mm)} − ${small(min_mm - file_mm)} = ${gap(file_mm)}, in this bore only`],
    },
  ];
}

interface Shimmed {
  readonly name: string;
  /** `float` or `height`, as read with the shims that are in, its gasket uncrushed. */
  readonly what: string;
  readonly read_mm: number;
  readonly in_mm: number;
  readonly shim: ShimDetail;
  readonly choice: ShimChoice;
}

/** What a choice of shims comes to, at full and at least crush of the gasket, which is counted once. */
export function workingOfShims({ name, what, read_mm, in_mm, shim, choice }: Shimmed, { small, gap }: Told): Working {
  const chosen_mm = stackOf_mm(choice.choice_mm);
  const { crush } = shim;
  const sum = `${small(read_mm)} + ${small(in_mm)} − ${small(chosen_mm)}`;
  const open_mm = read_mm + in_mm - chosen_mm;
  return {
    title: name,
    lines: crush
      ? [
          {
            formula: `${what} at full crush = read + in − chosen − most`,
            figures: [`${sum} − ${small(crush.max_mm)} = ${gap(open_mm - crush.max_mm)}`],
          },
          {
            formula: `${what} at least crush = read + in − chosen − least`,
            figures: [`${sum} − ${small(crush.min_mm)} = ${gap(open_mm - crush.min_mm)}`],
          },
        ]
      : [{ formula: `${what} = read + in − chosen`, figures: [`${sum} = ${gap(open_mm)}`] }],
    remarks: [
      ['Chosen', 'of every stack the drawer can make, the one nearest the target at middle crush; fewer shims first'],
      [
        'Crush',
        crush
          ? 'taken off once: the float was read with the gasket uncrushed'
          : 'none is given: the gasket was home when it was read, or there is none',
      ],
    ],
  };
}
