/** What can be taken away where nothing hangs on it. */
export const REMOVABLE_KINDS = [
  'engine',
  'source',
  'leaf',
  'joint',
  'fit',
  'wrench',
  'trial',
  'bolt-set',
  'note',
  'step',
  'part',
] as const;
export type RemovableKind = (typeof REMOVABLE_KINDS)[number];
