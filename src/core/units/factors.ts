/** Exact by definition: the international inch, foot, pound and standard gravity (CGPM 1901; yard and pound 1959). */
export const INCH_M = 0.0254;
export const INCH_MM = 25.4;
export const THOU_MM = 0.0254;
export const FOOT_M = 0.3048;
export const POUND_KG = 0.45359237;
const GRAVITY_M_PER_S2 = 9.80665;

export const KILOGRAM_FORCE_N = GRAVITY_M_PER_S2;
export const POUND_FORCE_N = POUND_KG * GRAVITY_M_PER_S2;
export const OUNCE_FORCE_N = POUND_FORCE_N / 16;
export const TON_FORCE_N = POUND_FORCE_N * 2240;
