import type { StretchState } from '@/core/fastener';
import type { BoltReadingKind } from '@/model/bolt/bolt-set';

/** When a length was read, as a record says it. */
export const READ_WHEN: Readonly<Record<BoltReadingKind, string>> = {
  free: 'free length',
  tight: 'tightened',
  released: 'on release',
  another: 'another bolt in its place, free length',
};

/** Where a bolt stands by its stretch, in a few words. */
export const STRETCH_SAID: Readonly<Record<StretchState, string>> = {
  'free-length-wanted': 'free length not read',
  'to-pull': 'stretch not read',
  short: 'short of the stretch',
  inside: 'inside',
  over: 'past the stretch',
  'ceiling-without-stretch': 'at the ceiling without the stretch',
  'past-ceiling': 'past the ceiling',
  'stretch-without-torque': 'the stretch without the torque',
  grown: 'has grown: scrap',
};
