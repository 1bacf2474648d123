export const HEAD_METALS = ['iron', 'aluminium'] as const;
export type HeadMetal = (typeof HEAD_METALS)[number];

/**
 * How far above the air a head may still be to count as cold, in K.
 * An aluminium head on steel studs gains about 100 N a kelvin, so ±5 K holds the clamp within 2 %;
 * an iron head grows as its studs do, and evenness of temperature rules instead.
 */
export const COLD_WITHIN_K: Readonly<Record<HeadMetal, number>> = { aluminium: 5, iron: 10 };

/** Time constants to start from before an engine has shown its own, in minutes. Judgement, not measurement. */
export const USUAL_TAU_MIN = { car: 180, motorcycle: 75 } as const;

export const coldTarget = (ambient_C: number, metal: HeadMetal): number => ambient_C + COLD_WITHIN_K[metal];
