import type { Shelves } from '@/model/shelf/shelves';
import type { Leaf } from '@/model/book/leaf';
import type { Source } from '@/model/book/source';
import type { Joint } from './joint';

/** A joint with everything its figure is made from. Plain rows in, core results out: nothing here touches a file. */
export interface JointInputs {
  readonly joint: Joint;
  readonly leaf: Leaf;
  readonly source: Source;
  /** The entries that its kinds of fastener are made from, each with its source. */
  readonly kindLeaves: readonly { readonly leaf: Leaf; readonly source: Source }[];
  readonly shelves: Shelves;
  /** For what is overdue, ms since 1970. */
  readonly now: number;
}
