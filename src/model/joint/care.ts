/** How a joint is brought to its figure: by wrench always, where it matters, or by hand and recorded as by feel. */
export const CARES = ['wrench', 'importance', 'hand'] as const;
export type Care = (typeof CARES)[number];
