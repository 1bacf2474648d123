export { clamp, torqueFor, type Clamp } from './clamp';
export { assertBand, clampBand, type ClampBand, type ClampBandInput } from './clamp-band';
export { correct, type CorrectedFastener, type Correction, type TodaysFastener } from './correct';
export { ladder, type Ladder, type LadderInput, type RangeSchool, type Rung, type RungId } from './ladder';
export { standardTorque, USUAL_PROOF_SHARE, type StandardTorque } from './standard-torque';
export { headArm, liftArm, threadArm, tighteningArm, type TurnedFastener } from './tightening-arm';
export type { Piece, WorkingLine } from './working';
