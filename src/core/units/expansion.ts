/** Thermal expansion of the metals of an engine, µm/m·K. */
export const EXPANSIONS_UM_PER_MK = {
  steel: 11.5,
  'cast iron': 10.5,
  aluminium: 23,
  magnesium: 26,
  bronze: 18,
} as const;
export type ExpandingMetal = keyof typeof EXPANSIONS_UM_PER_MK;
