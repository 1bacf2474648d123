import {
  DomainError,
  TORQUE_UNITS_NM,
  assertFinite,
  assertNotNegative,
  assertPositive,
  tidy,
  torqueFromSi,
  wrongInput,
  type Note,
  type TorqueUnit,
} from '@/core/units';
import { deliveredAt, settingFor, sortedCalibration, type CalibrationPoint } from './calibration';

/** A torque wrench as it is marked, with its last check where it has one. */
export interface WrenchScale {
  readonly unit: TorqueUnit;
  readonly min: number;
  readonly max: number;
  readonly graduation: number;
  readonly calibration?: readonly CalibrationPoint[];
}

/**
 * A crowfoot or other adaptor on the square: lengths from the wrench's square, angle 0 in line with the handle. Turned
 * back towards the hand its length is below nothing, or its angle beyond a right one.
 */
export interface Adaptor {
  readonly wrenchLength_mm: number;
  readonly extension_mm: number;
  readonly angle_deg: number;
}

/** In which part of its scale a wrench is trusted. */
export const WRENCH_WINDOWS = ['upper-two-thirds', 'iso-20-100', 'whole'] as const;
export type WrenchWindow = (typeof WRENCH_WINDOWS)[number];

export interface WrenchSetting {
  /** The figure wanted, in the wrench's unit, before rounding. */
  readonly setting: number;
  readonly rounded: number;
  /** What the fastener gets at the rounded figure. */
  readonly achieved_Nm: number;
  readonly roundingError_pct: number;
  readonly onScale: boolean;
  readonly inWindow: boolean;
  readonly notes: readonly Note[];
}

/** What the wrench must deliver for a torque at the fastener: L/(L + E·cos θ). @throws DomainError bad-field */
export function adaptorRatio(adaptor: Adaptor | undefined): number {
  if (!adaptor) return 1;
  const { wrenchLength_mm, extension_mm, angle_deg } = adaptor;
  assertPositive(wrenchLength_mm, 'adaptor.wrenchLength_mm');
  assertFinite(extension_mm, 'adaptor.extension_mm');
  assertFinite(angle_deg, 'adaptor.angle_deg');
  const whole = wrenchLength_mm + extension_mm * Math.cos((angle_deg * Math.PI) / 180);
  if (!(whole > 0))
    throw new DomainError(
      'bad-field',
      'The adaptor reaches back past the hand: it is longer than the wrench.',
      'adaptor.extension_mm',
    );
  return wrenchLength_mm / whole;
}

const WINDOW_FLOOR: Readonly<Record<WrenchWindow, (scale: WrenchScale) => number>> = {
  'upper-two-thirds': ({ min, max }) => min + (max - min) / 3,
  'iso-20-100': ({ max }) => 0.2 * max,
  whole: ({ min }) => min,
};

/** The lowest figure at which this window trusts the wrench, in its unit. */
export const windowFloor = (scale: WrenchScale, window: WrenchWindow): number => WINDOW_FLOOR[window](scale);

function assertScale(scale: WrenchScale, window: WrenchWindow): void {
  assertNotNegative(scale.min, 'wrench.min');
  assertPositive(scale.max, 'wrench.max');
  assertPositive(scale.graduation, 'wrench.graduation');
  if (!(scale.max > scale.min))
    throw wrongInput('wrench.max', `mark must be above the lowest (${scale.min}), got ${scale.max}.`);
  if (!WRENCH_WINDOWS.includes(window))
    throw wrongInput('window', `must be one of ${WRENCH_WINDOWS.join(', ')}, got ${JSON.stringify(window)}.`);
}

const EXTRAPOLATED: Note = {
  code: 'calibration-extrapolated',
  message: 'The setting lies outside the points at which the wrench was checked; the nearest point’s ratio was taken.',
};

const SLACK = 1e-9;

/**
 * Where to set a wrench for a torque at the fastener: through the adaptor and the last check, in its own unit, to its
 * graduation.
 * @throws DomainError bad-field
 */
export function wrenchSetting(
  target_Nm: number,
  wrench: WrenchScale,
  window: WrenchWindow = 'whole',
  adaptor?: Adaptor,
): WrenchSetting {
  assertPositive(target_Nm, 'target_Nm');
  assertScale(wrench, window);
  const points = sortedCalibration(wrench.calibration ?? []);
  const ratio = adaptorRatio(adaptor);
  const { value: setting, outside } = settingFor(torqueFromSi(target_Nm * ratio, wrench.unit), points);
  const rounded = tidy(Math.round(setting / wrench.graduation) * wrench.graduation);
  const achieved_Nm = (deliveredAt(rounded, points) * TORQUE_UNITS_NM[wrench.unit]) / ratio;
  const onScale = rounded > 0 && rounded >= wrench.min - SLACK && rounded <= wrench.max + SLACK;
  return {
    setting,
    rounded,
    achieved_Nm,
    roundingError_pct: (achieved_Nm / target_Nm - 1) * 100,
    onScale,
    inWindow: onScale && setting >= windowFloor(wrench, window) - SLACK * wrench.max,
    notes: outside ? [EXTRAPOLATED] : [],
  };
}
