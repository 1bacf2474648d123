export { celsiusOf } from './celsius';
export { coldWithin, type ColdWithinInput } from './cold-within';
export { cooling, type Cooling, type CoolingInput, type HeadReading } from './cooling';
export { COLD_WITHIN_K, HEAD_METALS, type HeadMetal } from './cold';
export {
  RETORQUE_SCHOOLS,
  coolingWindow,
  headDoubts,
  retorqueState,
  type CoolingWindow,
  type CycleFact,
  type HeadReadingFact,
  type LeastCycle,
  type RetorqueSchool,
  type RetorqueState,
} from './retorque';
export {
  settlement,
  slopeOfStiffness,
  slopeRead,
  type MovedNut,
  type Settlement,
  type SlopeReading,
  type UnmovedNut,
} from './settlement';
