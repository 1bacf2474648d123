import { FOOT_M, INCH_M, KILOGRAM_FORCE_N, OUNCE_FORCE_N, POUND_FORCE_N } from './factors';

/** The torque units of period print, each in N·m. Exact. */
export const TORQUE_UNITS_NM = {
  'N·m': 1,
  'kgf·m': KILOGRAM_FORCE_N,
  'kgf·cm': KILOGRAM_FORCE_N / 100,
  'lbf·ft': POUND_FORCE_N * FOOT_M,
  'lbf·in': POUND_FORCE_N * INCH_M,
  'ozf·in': OUNCE_FORCE_N * INCH_M,
  'daN·m': 10,
  'cN·m': 0.01,
  'gf·cm': KILOGRAM_FORCE_N / 100_000,
  'N·mm': 0.001,
  'kN·m': 1000,
} as const;

export type TorqueUnit = keyof typeof TORQUE_UNITS_NM;

export const TORQUE_UNITS = Object.keys(TORQUE_UNITS_NM) as readonly TorqueUnit[];

/** Units so small that a comma before three digits is a thousand (`1,050 in lb`). */
export const SMALL_TORQUE_UNITS: ReadonlySet<TorqueUnit> = new Set([
  'lbf·in',
  'kgf·cm',
  'ozf·in',
  'gf·cm',
  'cN·m',
  'N·mm',
]);

export const torqueToSi = (value: number, unit: TorqueUnit): number => value * TORQUE_UNITS_NM[unit];
export const torqueFromSi = (value_Nm: number, unit: TorqueUnit): number => value_Nm / TORQUE_UNITS_NM[unit];
