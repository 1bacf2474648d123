import type { TorqueReading } from '@/core/print';
import { DomainError, FORCE_N, LENGTH_M, TORQUE_UNITS_NM } from '@/core/units';
import type { Film } from '@/core/film';
import { preloadOf, torqueOf } from '../clamp';
import { figure, type WorkingLine } from '../working';
import { inFilms, prevailingOf, rangeText, spreadOf, type LadderInput, type RangeSchool, type Rung } from './rung';

/** The torque that a printed range stands for, by school. */
export const rangeTorque = (
  { min_Nm, max_Nm }: Pick<TorqueReading, 'min_Nm' | 'max_Nm'>,
  school: RangeSchool,
): number =>
  ({ low: min_Nm, middle: (min_Nm + max_Nm) / 2, top: max_Nm, 'bottom-then-middle': (min_Nm + max_Nm) / 2 })[school];

export function printedRung({ reading, printedText, page }: LadderInput): Rung {
  const unit = reading.unit ?? `${reading.force?.unit ?? ''}`;
  return {
    id: 'printed',
    title: 'Printed',
    value_Nm: (reading.min_Nm + reading.max_Nm) / 2,
    working: [{ formula: `“${printedText}”`, figures: rangeText(reading.printedMin, reading.printedMax, unit) }],
    source: page,
    school: 'as printed, never altered',
    spread: spreadOf(reading.min_Nm, reading.max_Nm),
  };
}

function unitWorking({ unit, printedMin, printedMax, min_Nm, max_Nm, force, lever }: TorqueReading): WorkingLine {
  if (unit)
    return {
      formula: `T = n × ${unit} in N·m`,
      figures: [
        ...rangeText(printedMin, printedMax, ''),
        '× ',
        figure(TORQUE_UNITS_NM[unit], 7),
        ' = ',
        ...rangeText(min_Nm, max_Nm, 'N·m'),
      ],
    };
  if (!force || !lever)
    throw new DomainError('bad-field', 'A reading without a unit must be a pull on a lever.', 'reading');
  return {
    formula: 'T = F × L',
    figures: [
      ...rangeText(force.min, force.max, force.unit),
      ' × ',
      figure(FORCE_N[force.unit], 6),
      ' × ',
      figure(lever.length, 4),
      ` ${lever.unit} × `,
      figure(LENGTH_M[lever.unit], 4),
      ' = ',
      ...rangeText(min_Nm, max_Nm, 'N·m'),
    ],
  };
}

function unitFactor({ unit, force, lever }: TorqueReading): number {
  if (unit) return TORQUE_UNITS_NM[unit];
  return force && lever ? FORCE_N[force.unit] * LENGTH_M[lever.unit] * lever.length : 1;
}

export const unitRung = ({ reading }: LadderInput): Rung => ({
  id: 'unit',
  title: 'Unit',
  value_Nm: (reading.min_Nm + reading.max_Nm) / 2,
  factor: unitFactor(reading),
  working: [unitWorking(reading)],
  source: 'exact: pound 0.45359237 kg, inch 25.4 mm, g 9.80665 m/s²',
  school: 'no choice to make',
  spread: 'none: the factor is exact',
});

const FORMULAS: Readonly<Record<RangeSchool, string>> = {
  low: 'T = T low',
  middle: 'T = (T low + T top)/2',
  top: 'T = T top',
  'bottom-then-middle': 'T low first, turn the crank, then T = (T low + T top)/2',
};

export function rangeRung({ reading, rangeSchool, rangeReason }: LadderInput): Rung {
  const { min_Nm, max_Nm } = reading;
  const sharp = min_Nm === max_Nm;
  const value_Nm = rangeTorque(reading, rangeSchool);
  const middle = !sharp && (rangeSchool === 'middle' || rangeSchool === 'bottom-then-middle');
  return {
    id: 'range',
    title: 'Range',
    value_Nm,
    factor: value_Nm / ((min_Nm + max_Nm) / 2),
    working: [
      {
        formula: sharp ? 'one figure, nothing to choose' : FORMULAS[rangeSchool],
        figures: middle
          ? ['(', figure(min_Nm), ' + ', figure(max_Nm), ')/2 = ', figure(value_Nm), ' N·m']
          : [figure(value_Nm), ' N·m'],
      },
    ],
    source: 'house practice',
    school: sharp ? 'the page prints one figure' : rangeReason,
    spread: spreadOf(min_Nm, max_Nm),
  };
}

/** What the figure would be had the book meant the one extreme or the other; the figure itself does not move here. */
export function conditionRung(input: LadderInput, value_Nm: number): Rung | undefined {
  const { extremes, original, threadFilm, headFilm } = input;
  if (!extremes) return undefined;
  const turned = (inThread: Film, underHead: Film) => ({
    ...inFilms(original, inThread, underHead),
    prevailing_Nm: prevailingOf(original),
  });
  const today = turned(threadFilm, headFilm);
  const lines = extremes.map((film): WorkingLine => {
    const torque = torqueOf(today, preloadOf(turned(film, film), value_Nm));
    return { formula: `had the book meant: ${film.name}`, figures: [figure(torque), ' N·m in today’s lubricant'] };
  });
  return {
    id: 'condition',
    title: 'Threads',
    value_Nm,
    factor: 1,
    working: lines,
    source: `${input.page}: nothing is said of the threads`,
    school: input.originalFilmReason,
    spread: 'the two figures above are the extremes',
  };
}
