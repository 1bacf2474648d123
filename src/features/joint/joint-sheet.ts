import type { Guard } from '@/core/joint';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { RankedLeaf } from '@/model/book/source-precedence';
import type { Leaf } from '@/model/book/leaf';
import type { PulledWith } from '@/model/joint/sheet-changes';
import type { AsPulled } from './clamp-works';
import type { AnswerSource } from './known-elsewhere';
import type { JointPage, OtherShape, Resume } from './queries';

/** What the sheet of a joint is drawn from. */
export interface JointSheet {
  readonly inputs: JointInputs;
  /** A going-round that was begun and can be gone on with. */
  readonly resume?: Resume;
  /** True where it is tight at its final figure already. */
  readonly tight: boolean;
  readonly status: string;
  readonly ranked: readonly RankedLeaf[];
  readonly otherLeaves: readonly Leaf[];
  /** What the engine’s fits say to closing it up. */
  readonly against: readonly Guard[];
  readonly uses: JointPage['uses'];
  readonly stretch: { readonly href: string; readonly line: string };
  readonly answers: AnswerSource;
  /** Entries of the book that give a torque, each with its source. */
  readonly torques: JointInputs['kindLeaves'];
  readonly pulledWith?: PulledWith;
  /** A nut of it was pulled; the last round is not done yet. */
  readonly pulled: boolean;
  readonly halfPulled: boolean;
  readonly others: readonly OtherShape[];
  readonly slopes: JointPage['slopes'];
  /** The last round for good as it was pulled, where the clamp map knows enough to draw it. */
  readonly asPulled?: AsPulled;
  /** The engine and its number, as they stand at the head of a printed page. */
  readonly engineLine: string;
}
