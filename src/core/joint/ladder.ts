import type { Film } from '../film';
import type { BearingFace } from '../fastener';
import type { TorqueReading } from '../print';
import type { Thread } from '../thread';
import { DomainError, FORCE_N, LENGTH_M, TORQUE_UNITS_NM, type Note } from '../units';
import { wrenchSetting, type WrenchScale, type WrenchSetting } from '../wrench';
import { clampBand, type ClampBand } from './clamp-band';
import { correct, type Correction } from './correct';
import { headArm, liftArm, threadArm, tighteningArm, type TurnedFastener } from './tightening-arm';
import { figure, type WorkingLine } from './working';

/** What a printed range becomes. */
export type RangeSchool = 'low' | 'middle' | 'top';

export type RungId = 'printed' | 'unit' | 'range' | 'film' | 'wrench';

/** One step of the ladder: what came in, what went out, by what factor, and why. */
export interface Rung {
  readonly id: RungId;
  readonly title: string;
  readonly value_Nm: number;
  readonly factor?: number;
  readonly working: readonly WorkingLine[];
  readonly source: string;
  readonly school: string;
  readonly spread: string;
}

export interface LadderInput {
  readonly reading: TorqueReading;
  readonly printedText: string;
  readonly page: string;
  readonly rangeSchool: RangeSchool;
  readonly thread: Thread;
  readonly bearing: BearingFace;
  readonly bearingSource: string;
  readonly originalFilm: Film;
  /** How the original film came to be taken: the page's words, or the shop's school where the page says nothing. */
  readonly originalFilmReason: string;
  readonly todayFilm: Film;
  readonly wrench: WrenchScale & { readonly name: string; readonly accuracy_pct: number };
}

export interface Ladder {
  /** From the printed figure at the bottom to the setting at the top. */
  readonly rungs: readonly Rung[];
  readonly printed_Nm: number;
  readonly target_Nm: number;
  readonly setting: WrenchSetting;
  readonly correction: Correction;
  readonly band: ClampBand;
  readonly notes: readonly Note[];
}

const SCHOOL_WORDS: Readonly<Record<RangeSchool, string>> = {
  low: 'the low end of the range',
  middle: 'the middle of the range',
  top: 'the top of the range',
};

const rangeText = (low: number, high: number, unit: string, digits = 4): WorkingLine['figures'] =>
  low === high ? [figure(low, digits), ` ${unit}`] : [figure(low, digits), ' to ', figure(high, digits), ` ${unit}`];

const spreadOf = (low: number, high: number) =>
  low === high ? 'none printed' : `the page allows ±${(((high - low) / (high + low)) * 100).toFixed(1)} %`;

function printedRung({ reading, printedText, page }: LadderInput): Rung {
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
      figures: [...rangeText(printedMin, printedMax, ''), '× ', figure(TORQUE_UNITS_NM[unit], 7), ' = ', ...rangeText(min_Nm, max_Nm, 'N·m')],
    };
  if (!force || !lever) throw new DomainError('bad-field', 'A reading without a unit must be a pull on a lever.', 'reading');
  return {
    formula: 'T = F × L',
    figures: [
      ...rangeText(force.min, force.max, force.unit), ' × ', figure(FORCE_N[force.unit], 6), ' × ', figure(lever.length, 4),
      ` ${lever.unit} × `, figure(LENGTH_M[lever.unit], 4), ' = ', ...rangeText(min_Nm, max_Nm, 'N·m'),
    ],
  }; // prettier-ignore
}

function unitRung({ reading }: LadderInput): Rung {
  return {
    id: 'unit',
    title: 'Unit',
    value_Nm: (reading.min_Nm + reading.max_Nm) / 2,
    factor: reading.unit
      ? TORQUE_UNITS_NM[reading.unit]
      : reading.force && reading.lever
        ? FORCE_N[reading.force.unit] * LENGTH_M[reading.lever.unit] * reading.lever.length
        : 1,
    working: [unitWorking(reading)],
    source: 'exact: pound 0.45359237 kg, inch 25.4 mm, g 9.80665 m/s²',
    school: 'no choice to make',
    spread: 'none: the factor is exact',
  };
}

function rangeRung({ reading, rangeSchool }: LadderInput, printed_Nm: number): Rung {
  const { min_Nm, max_Nm } = reading;
  const sharp = min_Nm === max_Nm;
  const formula = sharp ? 'one figure, nothing to choose' : { low: 'T = T low', middle: 'T = (T low + T top)/2', top: 'T = T top' }[rangeSchool];
  const middle = rangeSchool === 'middle' && !sharp;
  return {
    id: 'range',
    title: 'Range',
    value_Nm: printed_Nm,
    factor: printed_Nm / ((min_Nm + max_Nm) / 2),
    working: [
      {
        formula,
        figures: middle ? ['(', figure(min_Nm), ' + ', figure(max_Nm), ')/2 = ', figure(printed_Nm), ' N·m'] : [figure(printed_Nm), ' N·m'],
      },
    ],
    source: 'house practice',
    school: sharp ? 'the page prints one figure' : SCHOOL_WORDS[rangeSchool],
    spread: spreadOf(min_Nm, max_Nm),
  };
}

const turned = ({ thread, bearing }: LadderInput, film: Film): TurnedFastener => ({
  thread,
  bearing,
  muThread: film.thread.middle,
  muHead: film.head.middle,
});

const armWorking = (name: string, fastener: TurnedFastener): WorkingLine => ({
  formula: `${name} = P/2π + μt·d2/(2 cos β) + μh·Dm/2`,
  figures: [
    figure(liftArm(fastener.thread)), ' + ', figure(fastener.muThread, 3), ' × ', figure(threadArm(fastener.thread)), ' + ',
    figure(fastener.muHead, 3), ' × ', figure(headArm(fastener.bearing)), ' = ', figure(tighteningArm(fastener)), ' mm',
  ],
}); // prettier-ignore

function filmRung(input: LadderInput, printed_Nm: number, correction: Correction, band: ClampBand): Rung {
  const [from, to] = [turned(input, input.originalFilm), turned(input, input.todayFilm)];
  const share = (n: number) => `${Math.abs(((n - band.p50_N) / band.p50_N) * 100).toFixed(0)} %`;
  return {
    id: 'film',
    title: 'Film',
    value_Nm: correction.torque_Nm,
    factor: correction.ratio,
    working: [
      armWorking('c printed', from),
      armWorking('c today', to),
      {
        formula: 'F = T / c printed',
        figures: [figure(printed_Nm), ' N·m × 1000 / ', figure(tighteningArm(from)), ' mm = ', figure(correction.preload_N), ' N'],
      },
      {
        formula: 'T today = F · c today',
        figures: [figure(correction.preload_N), ' N × ', figure(tighteningArm(to)), ' mm / 1000 = ', figure(correction.torque_Nm), ' N·m'],
      },
    ],
    source: `${input.todayFilm.source} Face: ${input.bearingSource}`,
    school: `equal clamp load; ${input.originalFilmReason}`,
    spread: `clamp load −${share(band.p5_N)} to +${share(band.p95_N)} (5th to 95th percentile, film and wrench)`,
  };
}

function wrenchRung({ wrench }: LadderInput, target_Nm: number, setting: WrenchSetting): Rung {
  return {
    id: 'wrench',
    title: 'Wrench',
    value_Nm: setting.achieved_Nm,
    factor: setting.achieved_Nm / target_Nm,
    working: [
      {
        formula: `setting = T / ${wrench.unit} in N·m, to the nearest mark`,
        figures: [
          figure(target_Nm),
          ' / ',
          figure(TORQUE_UNITS_NM[wrench.unit], 7),
          ' = ',
          figure(setting.setting),
          ' → ',
          figure(setting.rounded, 6),
          ` ${wrench.unit}`,
        ],
      },
    ],
    source: wrench.name,
    school: `to the wrench's graduation of ${wrench.graduation} ${wrench.unit}`,
    spread: `wrench ±${wrench.accuracy_pct} %; rounding ${setting.roundingError_pct.toFixed(1)} %`,
  };
}

function notesFor(input: LadderInput, setting: WrenchSetting): readonly Note[] {
  const { wrench } = input;
  if (setting.onScale) return [];
  const message = `${setting.rounded} ${wrench.unit} is off the scale of ${wrench.name} (${wrench.min} to ${wrench.max} ${wrench.unit}). Take another wrench.`;
  return [{ code: 'off-scale', message }];
}

/** The torque that a printed range stands for, by school. */
const rangeTorque = ({ min_Nm, max_Nm }: Pick<TorqueReading, 'min_Nm' | 'max_Nm'>, school: RangeSchool): number =>
  ({ low: min_Nm, middle: (min_Nm + max_Nm) / 2, top: max_Nm })[school];

/**
 * The whole way from the figure on the page to the figure on the wrench, one rung a change, at equal clamp load.
 * @throws DomainError bad-field
 */
export function ladder(input: LadderInput): Ladder {
  const printed_Nm = rangeTorque(input.reading, input.rangeSchool);
  const slippery = { muThread: input.todayFilm.thread.low, muHead: input.todayFilm.head.low };
  const correction = correct(printed_Nm, turned(input, input.originalFilm), { ...turned(input, input.todayFilm), slippery });
  const setting = wrenchSetting(correction.torque_Nm, input.wrench);
  const band = clampBand({
    thread: input.thread,
    bearing: input.bearing,
    torque_Nm: Math.max(setting.achieved_Nm, Number.EPSILON),
    muThread: input.todayFilm.thread,
    muHead: input.todayFilm.head,
    wrenchAccuracy_pct: input.wrench.accuracy_pct,
  });
  return {
    rungs: [
      printedRung(input),
      unitRung(input),
      rangeRung(input, printed_Nm),
      filmRung(input, printed_Nm, correction, band),
      wrenchRung(input, correction.torque_Nm, setting),
    ],
    printed_Nm,
    target_Nm: correction.torque_Nm,
    setting,
    correction,
    band,
    notes: [...correction.notes, ...notesFor(input, setting)],
  };
}
