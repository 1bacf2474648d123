import type { Film } from '@/core/film';
import type { BearingFace } from '@/core/fastener';
import type { TorqueReading } from '@/core/print';
import type { Thread } from '@/core/thread';
import type { Adaptor, WrenchScale, WrenchWindow } from '@/core/wrench';
import type { TurnedFastener } from '../tightening-arm';
import { figure, type WorkingLine } from '../working';

/** What a printed range becomes. `bottom-then-middle` is pulled to the bottom, the shaft turned, then to the middle. */
export const RANGE_SCHOOLS = ['low', 'middle', 'top', 'bottom-then-middle'] as const;
export type RangeSchool = (typeof RANGE_SCHOOLS)[number];

export type RungId =
  | 'printed'
  | 'unit'
  | 'range'
  | 'condition'
  | 'film'
  | 'fastener'
  | 'locking'
  | 'maker'
  | 'adaptor'
  | 'calibration'
  | 'wrench';

/** Rungs that a person may take out or overrule, with a reason. */
export const OVERRULED: readonly RungId[] = ['range', 'film', 'fastener', 'locking', 'maker', 'adaptor', 'calibration'];

/** A rung set aside: taken out (`value_Nm` null) or overruled by a figure. The reason is printed in the record. */
export interface Override {
  readonly value_Nm: number | null;
  readonly reason: string;
}

/** One step of the ladder: what went out, by what factor, and why. */
export interface Rung {
  readonly id: RungId;
  readonly title: string;
  readonly value_Nm: number;
  readonly factor?: number;
  readonly working: readonly WorkingLine[];
  readonly source: string;
  readonly school: string;
  readonly spread: string;
  readonly override?: Override;
}

/** A fastener as the ladder needs it: what turns, what it is made of, and a locking nut's own torque. */
export interface LadderFastener {
  readonly name: string;
  readonly thread: Thread;
  readonly bearing: BearingFace;
  readonly bearingSource: string;
  readonly yield_MPa?: number;
  readonly grade?: string;
  /** Of a waisted shank, where it is thinner than the thread. */
  readonly shank_mm?: number;
  readonly prevailing?: { readonly low_Nm: number; readonly high_Nm: number };
}

export interface MakerFigure {
  readonly reading: TorqueReading;
  readonly printedText: string;
  readonly film: Film;
  readonly source: string;
}

export interface LadderInput {
  readonly reading: TorqueReading;
  readonly printedText: string;
  readonly page: string;
  readonly rangeSchool: RangeSchool;
  readonly rangeReason: string;
  readonly original: LadderFastener;
  /** The same object as `original` where nothing was substituted. */
  readonly today: LadderFastener;
  readonly originalFilm: Film;
  /** How the original film came to be taken: the page's words, or the shop's school where the page says nothing. */
  readonly originalFilmReason: string;
  /** The two films that an unsaid condition lies between; absent where the page says. */
  readonly extremes?: readonly [Film, Film];
  readonly threadFilm: Film;
  readonly headFilm: Film;
  readonly maker?: MakerFigure;
  readonly adaptor?: Adaptor;
  readonly wrench: WrenchScale & { readonly name: string; readonly accuracy_pct: number };
  readonly window: WrenchWindow;
  readonly overrides: Partial<Record<RungId, Override>>;
}

/** A fastener in its films, at the middle of their friction. */
export const inFilms = ({ thread, bearing }: LadderFastener, threadFilm: Film, headFilm: Film): TurnedFastener => ({
  thread,
  bearing,
  muThread: threadFilm.thread.middle,
  muHead: headFilm.head.middle,
});

/** The middle of a locking nut's own torque. */
export const prevailingOf = ({ prevailing }: LadderFastener): number =>
  prevailing ? (prevailing.low_Nm + prevailing.high_Nm) / 2 : 0;

export const rangeText = (low: number, high: number, unit: string, digits = 4): WorkingLine['figures'] =>
  low === high ? [figure(low, digits), ` ${unit}`] : [figure(low, digits), ' to ', figure(high, digits), ` ${unit}`];

export const spreadOf = (low: number, high: number) =>
  low === high ? 'none printed' : `the page allows ±${(((high - low) / (high + low)) * 100).toFixed(1)} %`;
