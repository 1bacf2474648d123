import type { RetorqueSchool } from '@/core/heat';
import type { PatternKind, TurnSchool, UnitOfWork } from '@/core/tightening';
import type { FigureFields } from './figure-fields';
import type { JointDetail } from './joint-detail';

export interface Joint extends FigureFields {
  readonly id: string;
  readonly engineId: string;
  readonly name: string;
  readonly pattern: PatternKind;
  readonly fasteners: number;
  readonly orderSchool: TurnSchool;
  readonly unitOfWork: UnitOfWork;
  readonly turnShaft: boolean;
  readonly retorqueSchool: RetorqueSchool;
  readonly detail: JointDetail;
  /** Rises with every change; a writer names the one it read. */
  readonly version: number;
  readonly createdAt: string;
}
