import { currentLeaves } from '@/model/book/current-leaves';
import type { Leaf } from '@/model/book/leaf';
import { sameSubject } from '@/model/book/source-precedence';
import type { Joint } from '@/model/joint/joint';

/** The leaves that stand and give a torque. */
export const torqueLeaves = (leaves: readonly Leaf[]): readonly Leaf[] =>
  currentLeaves(leaves).filter(({ kind }) => kind === 'torque' || kind === 'lever-pull');

/** Every leaf that speaks of a joint: under the same subject, or said to. */
export function leavesOfJoint(leaves: readonly Leaf[], joint: Joint): readonly Leaf[] {
  const own = leaves.find(({ id }) => id === joint.leafId);
  return currentLeaves(leaves).filter(
    (leaf) =>
      leaf.id === joint.leafId ||
      joint.detail.alsoLeaves.includes(leaf.id) ||
      (own !== undefined && sameSubject(leaf.subject, own.subject)),
  );
}
