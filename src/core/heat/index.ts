export { celsiusOf } from './celsius';
export { coldWithin, type ColdWithinInput } from './cold-within';
export { cooling, type Cooling, type CoolingInput, type HeadReading } from './cooling';
export { HEAD_METALS, allowedOver, type ColdRule, type HeadMetal } from './cold';
export { coolingWindow, type CoolingWindow } from './cooling-window';
export { heatCycles, type NoCycle } from './heat-cycles';
export {
  STOOD,
  isHeatCycle,
  minutesAt,
  type CycleFact,
  type HeadReadingFact,
  type LeastCycle,
  type Stood,
} from './heat-facts';
export {
  RETORQUE_SCHOOLS,
  headDoubts,
  retorqueState,
  type AnsweredCycle,
  type NextRetorque,
  type RetorqueSchool,
  type RetorqueState,
} from './retorque';
export {
  settlement,
  settlementByBreakAway,
  slopeOfStiffness,
  slopeRead,
  type MovedNut,
  type Settlement,
  type SlopeReading,
  type UnmovedNut,
} from './settlement';
export { MOST_STAGES, assertStages, passedAt, type RetorqueStage, type StageAsk, type StageMeasure } from './stages';
export {
  DISTANCE_UNITS,
  KM_PER_MILE,
  METER_UNITS,
  meterStep,
  travelled,
  type DistanceUnit,
  type MeterFact,
  type MeterUnit,
} from './travelled';
export { recordedRun, thinned, type Recorded, type RecordedRun } from './recorded-run';
