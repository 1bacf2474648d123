import type { BoltReadingKind } from '@/model/bolt/bolt-set';

/** When a length was read. */
export const READ_WHEN: Readonly<Record<BoltReadingKind, string>> = {
  free: 'Free length',
  tight: 'Tightened',
  released: 'On release',
  another: 'Another bolt in its place, free length',
};
