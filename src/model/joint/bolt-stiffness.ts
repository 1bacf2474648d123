/** Stiffness of a fastener of steel: 205 GPa over its length and one diameter more, for what gives in head and nut. */
export const boltStiffness = (stressArea_mm2: number, length_mm: number, major_mm: number): number =>
  (205e3 * stressArea_mm2) / (length_mm + major_mm);
