/** `unsaid` until somebody looked at it. */
export const HEAD_METALS = ['unsaid', 'iron', 'aluminium'] as const;
export type HeadMetal = (typeof HEAD_METALS)[number];

/**
 * How far above the air a head may still be to count as cold, in K.
 * An aluminium head on steel studs gains about 100 N a kelvin, so ±5 K holds the clamp within 2 %;
 * an iron head grows as its studs do, and evenness of temperature rules instead. One of which nobody said what it is made
 * of has to be as cold as either.
 */
export const COLD_WITHIN_K: Readonly<Record<HeadMetal, number>> = { unsaid: 5, aluminium: 5, iron: 10 };

/** Time constants to start from before an engine has shown its own, in minutes. Judgement, not measurement. */
export const USUAL_TAU_MIN = { car: 180, motorcycle: 75 } as const;

/**
 * When a head counts as cold, where not by its metal: within so many kelvins of the air, or so many hours after it was
 * stopped.
 */
export type ColdRule = { readonly within_K: number } | { readonly hours: number };

/**
 * After its hours a head may be so far above the air and no more, in K: twice what its metal allows. By then head, block
 * and studs are even; one that is still warm was not left to stand. Judgement, not measurement.
 */
const AFTER_HOURS = 2;

/** How far above the air a head may be, K. */
export const allowedOver = (metal: HeadMetal, rule?: ColdRule): number =>
  rule === undefined ? COLD_WITHIN_K[metal] : 'within_K' in rule ? rule.within_K : AFTER_HOURS * COLD_WITHIN_K[metal];

export const coldTarget = (ambient_C: number, metal: HeadMetal, rule?: ColdRule): number =>
  ambient_C + allowedOver(metal, rule);
