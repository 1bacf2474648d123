import type { RetorqueSchool } from '@/core/heat';
import type { RangeSchool } from '@/core/joint';
import type { PatternKind, StageScheme, TurnSchool, UnitOfWork } from '@/core/tightening';
import type { JointDetail } from './joint-detail';

export interface Joint {
  readonly id: string;
  readonly engineId: string;
  readonly leafId: string;
  readonly name: string;
  readonly pattern: PatternKind;
  readonly fasteners: number;
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
  readonly orderSchool: TurnSchool;
  readonly unitOfWork: UnitOfWork;
  readonly turnShaft: boolean;
  readonly wrenchId: string;
  readonly retorqueSchool: RetorqueSchool;
  readonly detail: JointDetail;
  /** Rises with every change; a writer names the one it read. */
  readonly version: number;
  readonly createdAt: string;
}
