import { TORQUE_UNITS_NM, assertPositive, tidy, torqueFromSi, type TorqueUnit } from '../units';

/** A torque wrench as it is marked. */
export interface WrenchScale {
  readonly unit: TorqueUnit;
  readonly min: number;
  readonly max: number;
  readonly graduation: number;
}

export interface WrenchSetting {
  /** The figure wanted, in the wrench's unit, before rounding. */
  readonly setting: number;
  readonly rounded: number;
  readonly achieved_Nm: number;
  readonly roundingError_pct: number;
  readonly onScale: boolean;
}

/**
 * Where to set a wrench for a torque: the figure in its own unit, to its graduation.
 * @throws DomainError bad-field
 */
export function wrenchSetting(target_Nm: number, wrench: WrenchScale): WrenchSetting {
  assertPositive(target_Nm, 'target_Nm');
  assertPositive(wrench.graduation, 'wrench.graduation');
  const setting = torqueFromSi(target_Nm, wrench.unit);
  const rounded = tidy(Math.round(setting / wrench.graduation) * wrench.graduation);
  const achieved_Nm = rounded * TORQUE_UNITS_NM[wrench.unit];
  return {
    setting,
    rounded,
    achieved_Nm,
    roundingError_pct: (achieved_Nm / target_Nm - 1) * 100,
    onScale: rounded >= wrench.min && rounded <= wrench.max && rounded > 0,
  };
}
