import type { Friction } from '@/core/film';
import type { Note } from '@/core/units';
import { wrenchSetting, type WrenchSetting } from '@/core/wrench';
import { clampBand, type ClampBand } from './clamp-band';
import { preloadOf, tighteningStress } from './clamp';
import { filmRung, fastenerRung, lockingRung, makerRung } from './rungs/change-rungs';
import { conditionRung, printedRung, rangeRung, rangeTorque, unitRung } from './rungs/page-rungs';
import { inFilms, prevailingOf, type LadderInput, type Rung, type RungId } from './rungs/rung';
import { adaptorRung, calibrationRung, wrenchRung } from './rungs/wrench-rungs';

/** How hard the fastener is loaded, at one friction. */
export interface FastenerLoad {
  readonly preload_N: number;
  /** Tension alone. */
  readonly stress_MPa: number;
  readonly equivalent_MPa: number;
  readonly utilisation?: number;
}

/**
 * What the torque does. `nothing`: the nut's own torque may take all of it up. `beyond-steel`: more than class 12.9
 * bears, whatever is said of the grade.
 */
export type ClampState = 'clamps' | 'nothing' | 'beyond-steel';

/** Yield of ISO 898-1 class 12.9, the strongest class there is. */
export const STRONGEST_YIELD_MPA = 1100;

export interface Ladder {
  /** Where it is not `clamps`, no clamp load is told: band, load and designed load are nought. */
  readonly clamp: ClampState;
  /** From the printed figure at the bottom to the setting at the top. */
  readonly rungs: readonly Rung[];
  /** What the page says, by the range school. */
  readonly printed_Nm: number;
  /** What the fastener should get. */
  readonly target_Nm: number;
  /** The least clamp load that the book's own figure would leave: 5th percentile at the low end of its range. */
  readonly least_N: number;
  /** Clamp load that the printed figure gave the original in the book’s film. */
  readonly designed_N: number;
  readonly setting: WrenchSetting;
  readonly band: ClampBand;
  /** The friction that the band was reckoned with. */
  readonly friction: { readonly thread: Friction; readonly head: Friction; readonly shared: boolean };
  readonly prevailing_Nm: number;
  /** At the middle of the film; and at the 95th percentile of the clamp load, a locking nut running easiest. */
  readonly load: { readonly middle: FastenerLoad; readonly most: FastenerLoad };
  readonly notes: readonly Note[];
}

/** Puts an override in place of what a rung came to: taken out it changes nothing, overruled it is the typed figure. */
function overruled(rung: Rung, before_Nm: number, input: LadderInput): Rung {
  const override = input.overrides[rung.id];
  if (!override) return rung;
  const value_Nm = override.value_Nm ?? before_Nm;
  return { ...rung, value_Nm, factor: value_Nm / before_Nm, override };
}

/** The changes between the page and the fastener, each from the value the one before it left. */
function climb(input: LadderInput): { readonly rungs: readonly Rung[]; readonly target_Nm: number } {
  const printed = [printedRung(input), unitRung(input)];
  const middle = (input.reading.min_Nm + input.reading.max_Nm) / 2;
  const steps: readonly ((value: number) => Rung | undefined)[] = [
    () => rangeRung(input),
    (value) => conditionRung(input, value),
    (value) => filmRung(input, value),
    (value) => fastenerRung(input, value),
    (value) => lockingRung(input, value),
    (value) => makerRung(input, value),
  ];
  return steps.reduce<{ rungs: readonly Rung[]; target_Nm: number }>(
    ({ rungs, target_Nm }, step) => {
      const made = step(target_Nm);
      if (!made) return { rungs, target_Nm };
      const rung = overruled(made, target_Nm, input);
      return { rungs: [...rungs, rung], target_Nm: rung.value_Nm };
    },
    { rungs: printed, target_Nm: middle },
  );
}

/** The rungs of the wrench: adaptor, check, marks. A rung taken out is left out of the setting as well. */
function wrenchRungs(input: LadderInput, target_Nm: number) {
  const out = (id: RungId) => input.overrides[id] !== undefined;
  const adaptor = out('adaptor') ? undefined : input.adaptor;
  const calibration = out('calibration') ? undefined : input.wrench.calibration;
  const wrench = calibration ? input.wrench : { ...input.wrench, calibration: undefined };
  const setting = wrenchSetting(target_Nm, wrench, input.window, adaptor);
  const kept = { ...input, wrench, adaptor };
  const made: Rung[] = [];
  const value = () => made.at(-1)?.value_Nm ?? target_Nm;
  const onAdaptor = adaptorRung(input, target_Nm);
  if (onAdaptor)
    made.push(
      out('adaptor') ? overruled(onAdaptor, target_Nm, { ...input, overrides: takenOut(input, 'adaptor') }) : onAdaptor,
    );
  const check = calibrationRung(input, value(), setting);
  if (check)
    made.push(
      out('calibration') ? overruled(check, value(), { ...input, overrides: takenOut(input, 'calibration') }) : check,
    );
  made.push(wrenchRung(kept, value(), setting));
  return { rungs: made, setting };
}

/** On the wrench a rung can only be taken out: a typed figure there would break the tie to the clamp load. */
const takenOut = ({ overrides }: LadderInput, id: RungId): LadderInput['overrides'] => {
  const own = overrides[id];
  return own ? { [id]: { ...own, value_Nm: null } } : {};
};

const NO_LOAD: FastenerLoad = { preload_N: 0, stress_MPa: 0, equivalent_MPa: 0 };
const NO_BAND: ClampBand = { p5_N: 0, p50_N: 0, p95_N: 0, mean_N: 0 };

function loadOf({ today, threadFilm, headFilm }: LadderInput, preload_N: number, end: 'middle' | 'low', tp: number) {
  const fastener = {
    ...inFilms(today, threadFilm, headFilm),
    muThread: threadFilm.thread[end],
    muHead: headFilm.head[end],
    prevailing_Nm: tp,
  };
  const { stress_MPa, equivalent_MPa } = tighteningStress(fastener, preload_N, today.shank_mm);
  return today.yield_MPa === undefined
    ? { preload_N, stress_MPa, equivalent_MPa }
    : { preload_N, stress_MPa, equivalent_MPa, utilisation: equivalent_MPa / today.yield_MPa };
}

// What a workshop's wrench of the time was good for.
const BOOK_WRENCH_PCT = 4;

/** What the book's own figure would leave at the least, on the original, in the book's own film. */
function leastWanted({ original, originalFilm, reading }: LadderInput): number {
  const { low_Nm = 0, high_Nm = 0 } = original.prevailing ?? {};
  if (!(reading.min_Nm > high_Nm)) return 0;
  return clampBand({
    thread: original.thread,
    bearing: original.bearing,
    torque_Nm: reading.min_Nm,
    muThread: originalFilm.thread,
    muHead: originalFilm.head,
    prevailing_Nm: prevailingOf(original),
    prevailingSpread_Nm: high_Nm - low_Nm,
    wrenchAccuracy_pct: BOOK_WRENCH_PCT,
  }).p5_N;
}

/** The clamp load of a torque on today's fastener, and how hard it loads it. */
function clampedBy(input: LadderInput, torque_Nm: number): Pick<Ladder, 'clamp' | 'band' | 'load'> {
  const { today, threadFilm, headFilm } = input;
  const { low_Nm = 0, high_Nm = 0 } = today.prevailing ?? {};
  const none = { band: NO_BAND, load: { middle: NO_LOAD, most: NO_LOAD } };
  // What a wrench that reads low leaves has to be more than the nut takes.
  if (!(torque_Nm * (1 - input.wrench.accuracy_pct / 100) > high_Nm)) return { clamp: 'nothing', ...none };
  const of = {
    thread: today.thread,
    bearing: today.bearing,
    torque_Nm,
    muThread: threadFilm.thread,
    muHead: headFilm.head,
    wrenchAccuracy_pct: input.wrench.accuracy_pct,
    sharedFilm: threadFilm.id === headFilm.id,
  };
  const band = clampBand({ ...of, prevailing_Nm: prevailingOf(today), prevailingSpread_Nm: high_Nm - low_Nm });
  const easiest = high_Nm > 0 ? clampBand({ ...of, prevailing_Nm: low_Nm }) : band;
  const middle = loadOf(input, band.p50_N, 'middle', prevailingOf(today));
  if (middle.equivalent_MPa > STRONGEST_YIELD_MPA) return { clamp: 'beyond-steel', ...none };
  return { clamp: 'clamps', band, load: { middle, most: loadOf(input, easiest.p95_N, 'low', low_Nm) } };
}

/** Where a maker's figure stands, its own film is what is on the thread. */
const filmsInForce = (input: LadderInput): LadderInput =>
  input.maker && !input.overrides.maker
    ? { ...input, threadFilm: input.maker.film, headFilm: input.maker.film }
    : input;

/**
 * The whole way from the figure on the page to the figure on the wrench, one rung a change, at equal clamp load.
 * @throws DomainError bad-field
 */
export function ladder(given: LadderInput): Ladder {
  const { rungs, target_Nm } = climb(given);
  const input = filmsInForce(given);
  const onWrench = wrenchRungs(input, target_Nm);
  const { today, original, threadFilm, headFilm } = input;
  const printed_Nm = rangeTorque(input.reading, input.rangeSchool);
  const book = { ...inFilms(original, input.originalFilm, input.originalFilm), prevailing_Nm: prevailingOf(original) };
  const clamped = clampedBy(input, onWrench.setting.achieved_Nm);
  return {
    ...clamped,
    rungs: [...rungs, ...onWrench.rungs],
    printed_Nm,
    target_Nm,
    designed_N: clamped.clamp === 'clamps' ? Math.max(0, preloadOf(book, printed_Nm)) : 0,
    least_N: clamped.clamp === 'clamps' ? leastWanted(given) : 0,
    setting: onWrench.setting,
    friction: { thread: threadFilm.thread, head: headFilm.head, shared: threadFilm.id === headFilm.id },
    prevailing_Nm: prevailingOf(today),
    notes: onWrench.setting.notes,
  };
}
