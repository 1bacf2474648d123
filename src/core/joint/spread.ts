import type { Film, Friction } from '@/core/film';
import { clampBand, type ClampBand } from './clamp-band';
import { tighteningStress, torqueOf } from './clamp';
import type { Ladder } from './ladder';
import { inFilms, prevailingOf, type LadderInput } from './rungs/rung';

/** One way of tightening the joint to the same clamp load, with the band that it leaves. */
export interface SpreadRow {
  readonly id: string;
  readonly name: string;
  /** Absent for stretch, which needs no torque. */
  readonly torque_Nm?: number;
  readonly band: ClampBand;
}

export interface Spread {
  readonly rows: readonly SpreadRow[];
  /**
   * The least clamp that the book's own figure would leave, in the book's own film: 5th percentile at the low end of
   * the page's range.
   */
  readonly least_N: number;
  /**
   * The preload at which the fastener reaches its yield while turning, at the middle of today's film; absent where
   * its grade is not known.
   */
  readonly yield_N?: number;
}

const STRETCH_PCT = 5;

/** Tightening by stretch: ±5 % between the 5th and 95th percentile, whatever the film. */
const byStretch = (wanted_N: number): ClampBand => ({
  p5_N: wanted_N * (1 - STRETCH_PCT / 100),
  p50_N: wanted_N,
  p95_N: wanted_N * (1 + STRETCH_PCT / 100),
  mean_N: wanted_N,
});

/**
 * The band of clamp load as it is set today, beside the same clamp load in other films and by stretch. For a ladder
 * that clamps.
 * @throws DomainError bad-field
 */
export function spreadOf(input: LadderInput, ladder: Ladder, films: readonly Film[]): Spread {
  const { today, wrench } = input;
  const wanted_N = ladder.band.p50_N;
  const prevailing_Nm = ladder.prevailing_Nm;
  const prevailingSpread_Nm = (today.prevailing?.high_Nm ?? 0) - (today.prevailing?.low_Nm ?? 0);
  const inFilm = (film: Film): SpreadRow => {
    const torque_Nm = torqueOf({ ...inFilms(today, film, film), prevailing_Nm }, wanted_N);
    const friction = { muThread: film.thread, muHead: film.head };
    const { thread, bearing } = today;
    return {
      id: film.id,
      name: film.name,
      torque_Nm,
      band: clampBand({
        thread,
        bearing,
        torque_Nm,
        ...friction,
        prevailing_Nm,
        prevailingSpread_Nm,
        wrenchAccuracy_pct: wrench.accuracy_pct,
      }),
    };
  };
  return {
    rows: [
      { id: 'today', name: 'As set today', torque_Nm: ladder.setting.achieved_Nm, band: ladder.band },
      ...films.map(inFilm),
      { id: 'stretch', name: 'By stretch', band: byStretch(wanted_N) },
    ],
    least_N: ladder.least_N,
    ...(today.yield_MPa !== undefined && { yield_N: yieldPreload(input, ladder.friction, today.yield_MPa) }),
  };
}

/**
 * Stress rises in proportion to preload where no locking nut twists the shank; one that does is taken at its middle.
 */
function yieldPreload(
  { today }: LadderInput,
  friction: { readonly thread: Friction; readonly head: Friction },
  yield_MPa: number,
): number {
  const fastener = {
    ...today,
    muThread: friction.thread.middle,
    muHead: friction.head.middle,
    prevailing_Nm: prevailingOf(today),
  };
  let [low, high] = [0, yield_MPa * today.thread.stressArea_mm2];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (tighteningStress(fastener, middle, today.shank_mm).equivalent_MPa < yield_MPa) low = middle;
    else high = middle;
  }
  return low;
}
