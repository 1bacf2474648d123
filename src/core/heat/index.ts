export { cooling, type Cooling, type CoolingInput, type HeadReading } from './cooling';
export type { HeadMetal } from './cold';
export {
  coolingWindow,
  retorqueState,
  type CoolingWindow,
  type CycleFact,
  type HeadReadingFact,
  type RetorqueState,
} from './retorque';
