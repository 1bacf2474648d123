import type { Locking } from '@/core/joint';
import type { Joint } from './joint';

/** How the fasteners of a joint are locked today by its sheet, those of other kinds each under the kind's name. */
export const locksOfSheet = ({ detail }: Pick<Joint, 'detail'>): readonly { name: string; locking: Locking }[] =>
  [{ name: '', detail }, ...detail.kinds].map(({ name, detail: { today, original } }) => ({
    name,
    locking: (today ?? original).locking,
  }));
