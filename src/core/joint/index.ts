export { clamp, torqueFor, type Clamp } from './clamp';
export { clampBand, type ClampBand, type ClampBandInput } from './clamp-band';
export { correct, type CorrectedFastener, type Correction, type TodaysFastener } from './correct';
export { ladder, type Ladder, type LadderInput, type RangeSchool, type Rung, type RungId } from './ladder';
export type { TurnedFastener } from './tightening-arm';
export type { Piece, WorkingLine } from './working';
