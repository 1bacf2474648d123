export { readLengthLine, readTorqueLine, type LengthLine, type TorqueLine } from './read-line';
export { countOnLine, threadOnLine, type OtherNumber, type OtherNumberKind } from './other-numbers';
export { readAfresh, readTorque, type TorqueCrossCheck, type TorquePrint, type TurnPrint } from './read-torque';
export type { TorqueReading } from './torque-readings';
export type { PrintedStage, PrintedTurn, StagePrint } from './stages';
export { readLength, PRINT_LENGTHS_MM, type LengthPrint, type PrintLengthUnit } from './read-length';
export { notesToAgree } from './agree';
export { bareFigure, isBare, typedNumber } from './bare';
export { typedLength, typedTorque } from './typed';
