import type { RangeSchool } from '@/core/joint';
import type { StageScheme } from '@/core/tightening';

/** What the figure of a fastener is made from, beside its facts: page, thread, face, films, stages and wrench. */
export interface FigureFields {
  readonly leafId: string;
  /** Designation of the thread that turns. */
  readonly thread: string;
  readonly bearingOuter_mm: number;
  readonly bearingInner_mm: number;
  /** False where the face is the usual one of the size, not measured on the nut. */
  readonly bearingMeasured: boolean;
  readonly originalFilm: string;
  readonly originalFilmReason: string;
  readonly todayFilm: string;
  readonly rangeSchool: RangeSchool;
  readonly stageScheme: StageScheme;
  readonly wrenchId: string;
}
