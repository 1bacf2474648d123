export { deliveredAt, type CalibrationPoint } from './calibration';
export { chooseWrench, type PassedOver, type ShelfWrench, type WrenchChoice } from './choose';
export {
  WRENCH_WINDOWS,
  adaptorRatio,
  windowFloor,
  wrenchSetting,
  type Adaptor,
  type WrenchScale,
  type WrenchSetting,
  type WrenchWindow,
} from './setting';
