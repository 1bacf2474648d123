import type { TorqueUnit } from '@/core/units';
import type { CalibrationPoint } from '@/core/wrench';

export interface Wrench {
  readonly id: string;
  readonly name: string;
  readonly unit: TorqueUnit;
  readonly min: number;
  readonly max: number;
  readonly graduation: number;
  readonly accuracy_pct: number;
  /** Points of its last check, in its own unit. */
  readonly calibration: readonly CalibrationPoint[];
  readonly checkedAt: string | null;
  /** The engine with whose build it came, for which alone it serves; null: it hangs here. */
  readonly cameWith: string | null;
  /** Why it is set aside; absent of one that is worked with. */
  readonly aside?: string;
  /** Rises with every change; a writer names the one it read. */
  readonly version: number;
  readonly createdAt: string;
}
