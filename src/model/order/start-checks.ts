/** What is looked at by hand before an engine is started for the first time, in the order in which it is done. */
export const START_CHECKS = [
  'oil',
  'primed',
  'water',
  'fuel',
  'timing',
  'covers',
  'turned',
  'extinguisher',
  'doors',
  'watch',
] as const;
export type StartCheck = (typeof START_CHECKS)[number];

/** How a line of the sheet was answered: done, nothing of the kind on this engine, or left out with a reason. */
export const START_ANSWERS = ['done', 'none', 'left-out'] as const;
export type StartAnswer = (typeof START_ANSWERS)[number];

/** What an engine may be without. */
export const MAY_BE_NONE: ReadonlySet<StartCheck> = new Set(['water']);
