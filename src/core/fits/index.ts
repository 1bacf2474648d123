export { clearance, roundness, type Clearance, type ClearanceInput, type ClearanceRule, type Grid, type Roundness } from './clearance';
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
export { shims, type ShimChoice, type ShimInput } from './shims';
export type { Limits, Verdict } from './verdict';
