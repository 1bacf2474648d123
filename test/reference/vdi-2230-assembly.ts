/** Friction of the columns, thread and head alike. */
export const VDI_FRICTION = [0.08, 0.1, 0.12, 0.14, 0.16, 0.2];

export interface AssemblyRow {
  readonly thread: string;
  readonly grade: string;
  readonly yield_MPa: number;
  readonly bearing: { readonly outer_mm: number; readonly inner_mm: number };
  /** kN, to 0.1 */
  readonly preload_kN: readonly number[];
  readonly torque_Nm: readonly number[];
  /** Half the last printed digit of the torques. */
  readonly torqueHalf: number;
}

const M8 = { outer_mm: 11.63, inner_mm: 9 };
const M10 = { outer_mm: 14.63, inner_mm: 11 };
const M12 = { outer_mm: 16.63, inner_mm: 13.5 };

/** VDI 2230, assembly preload and tightening torque at 90 % of yield. */
export const VDI_2230_ASSEMBLY: readonly AssemblyRow[] = [
  { thread: 'M8', grade: '8.8', yield_MPa: 640, bearing: M8, preload_kN: [19.5, 19.1, 18.6, 18.1, 17.6, 16.5], torque_Nm: [18.5, 21.6, 24.6, 27.3, 29.8, 34.3], torqueHalf: 0.05 },
  { thread: 'M8', grade: '10.9', yield_MPa: 940, bearing: M8, preload_kN: [28.7, 28.0, 27.3, 26.6, 25.8, 24.3], torque_Nm: [27.2, 31.8, 36.1, 40.1, 43.8, 50.3], torqueHalf: 0.05 },
  { thread: 'M8', grade: '12.9', yield_MPa: 1100, bearing: M8, preload_kN: [33.6, 32.8, 32.0, 31.1, 30.2, 28.4], torque_Nm: [31.8, 37.2, 42.2, 46.9, 51.2, 58.9], torqueHalf: 0.05 },
  { thread: 'M10', grade: '8.8', yield_MPa: 640, bearing: M10, preload_kN: [31.0, 30.3, 29.6, 28.8, 27.9, 26.3], torque_Nm: [36, 43, 48, 54, 59, 68], torqueHalf: 0.5 },
  { thread: 'M10', grade: '10.9', yield_MPa: 940, bearing: M10, preload_kN: [45.6, 44.5, 43.4, 42.2, 41.0, 38.6], torque_Nm: [53, 63, 71, 79, 87, 100], torqueHalf: 0.5 },
  { thread: 'M10', grade: '12.9', yield_MPa: 1100, bearing: M10, preload_kN: [53.3, 52.1, 50.8, 49.4, 48.0, 45.2], torque_Nm: [62, 73, 83, 93, 101, 116], torqueHalf: 0.5 },
  { thread: 'M12', grade: '8.8', yield_MPa: 640, bearing: M12, preload_kN: [45.2, 44.1, 43.0, 41.9, 40.7, 38.3], torque_Nm: [63, 73, 84, 93, 102, 117], torqueHalf: 0.5 },
  { thread: 'M12', grade: '10.9', yield_MPa: 940, bearing: M12, preload_kN: [66.3, 64.8, 63.2, 61.5, 59.8, 56.3], torque_Nm: [92, 108, 123, 137, 149, 172], torqueHalf: 0.5 },
  { thread: 'M12', grade: '12.9', yield_MPa: 1100, bearing: M12, preload_kN: [77.6, 75.9, 74.0, 72.0, 70.0, 65.8], torque_Nm: [108, 126, 144, 160, 175, 201], torqueHalf: 0.5 },
]; // prettier-ignore
