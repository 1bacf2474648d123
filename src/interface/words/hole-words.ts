import { HOLE_ENDS, HOLE_MEETS, HOLE_THREADS, type Hole } from '@/model/joint/hole';
import { choices } from './choices';

const ENDS: Readonly<Record<Hole['end'], string>> = { through: 'goes through', blind: 'blind' };
const MEETS: Readonly<Record<Hole['meets'], string>> = {
  dry: 'reaches nothing',
  water: 'reaches water',
  oil: 'reaches oil',
};
const THREADS: Readonly<Record<Hole['thread'], string>> = {
  good: 'thread good',
  chased: 'thread chased',
  insert: 'thread insert',
  bad: 'thread bad',
};

export const HOLE_END_CHOICES = choices(HOLE_ENDS, ENDS);
export const HOLE_MEETS_CHOICES = choices(HOLE_MEETS, MEETS);
export const HOLE_THREAD_CHOICES = choices(HOLE_THREADS, THREADS);

/** `blind, reaches water, 22.00 mm deep, thread good, dry and clean` */
export const holeWords = (
  { end, meets, depth_mm, thread, isClear }: Omit<Hole, 'place'>,
  size: (mm: number) => string,
): string =>
  [
    ENDS[end],
    MEETS[meets],
    ...(depth_mm === null ? [] : [`${size(depth_mm)} of thread`]),
    THREADS[thread],
    isClear ? 'dry and clean' : 'not dry and clean yet',
  ].join(', ');
