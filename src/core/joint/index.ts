export { clamp, torqueFor, type Clamp } from './clamp';
export { assertBand, clampBand, type ClampBand, type ClampBandInput } from './clamp-band';
export { correct, type CorrectedFastener, type Correction, type TodaysFastener } from './correct';
export { guards } from './guards/guards';
export { LIMIT as YIELD_LIMIT, LOCKINGS, type Guard, type GuardInput, type Locking } from './guards/guard';
export { MILD_YIELD_MPA, leastArea } from './guards/strength-guards';
export { unknowns, type Unknown } from './guards/unknowns';
export { ladder, type ClampState, type FastenerLoad, type Ladder } from './ladder';
export {
  OVERRULED,
  RANGE_SCHOOLS,
  type LadderFastener,
  type LadderInput,
  type MakerFigure,
  type Override,
  type RangeSchool,
  type Rung,
  type RungId,
} from './rungs/rung';
export { spreadOf, type Spread, type SpreadRow } from './spread';
export {
  standardFigure,
  standardTorque,
  USUAL_PROOF_SHARE,
  type StandardFigure,
  type StandardTorque,
} from './standard-torque';
export { assertTurned, headArm, liftArm, threadArm, tighteningArm, type TurnedFastener } from './tightening-arm';
export { turnFurther, type TurnFurther, type TurnFurtherInput } from './turn-further';
export type { Piece, WorkingLine } from './working';
