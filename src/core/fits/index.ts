export {
  IMBALANCE_UNITS,
  balanced,
  imbalance_gmm,
  type BalancedPlane,
  type ImbalanceUnit,
  type PlaneImbalance,
} from './balance';
export { METHODS, cellGroups, cellKey, entryOrder, type Cell, type Method, type ReadingPlan } from './cells';
export { clearance, roundness, type Clearance, type ClearanceInput, type Grid, type Roundness } from './clearance';
export { GAP_MARKS, angleBetween, clockingDoubts, evenClocking, type ClockingInput, type GapMark } from './clocking';
export {
  ANSWERS,
  CHANGES,
  CONDITIONS,
  PARTS,
  REMEDIES,
  isVoidedBy,
  unmetCondition,
  type Answer,
  type Answers,
  type ChangeId,
  type ConditionId,
  type Part,
  type RemedyId,
} from './conditions';
export { dialDoubts, feelerDoubts, readingDoubts, type DoubtInput } from './doubts';
export {
  bearingSize,
  compression,
  displacement,
  matchPieces,
  matchRods,
  ringGap,
  type CompressionInput,
  type Displacement,
  type RingGap,
  type RodWeight,
} from './engine';
export { at20C, endFloat, feelers, type EndFloat, type FloatReading } from './gauges';
export { FIT_KINDS, fitKind, placesOf, type EngineMake, type FitKind, type FitShape } from './kinds';
export type { PlaceReading } from './measures';
export { judgeInterval, placeResult, worstVerdict, type PlaceFacts, type PlaceFigure, type PlaceResult } from './place';
export { isSigned, readReading, type TypedReading } from './reading';
export { ruleLimits, type ClearanceRule } from './rule';
export { runout, type Runout } from './runout';
export { shims, type ShimChoice, type ShimInput } from './shims';
export { sizeAt20C } from './size-at-20c';
export { canTellInside, type Limits, type Verdict } from './verdict';
export {
  RUNOUT_SENSES,
  assertWanted,
  wantedFigures,
  type Wanted,
  type WantedFigures,
  type RunoutSense,
} from './wanted';
