import type { Leaf } from './leaf';

/** The leaves that stand: those that no later one corrects. */
export function currentLeaves(leaves: readonly Leaf[]): readonly Leaf[] {
  const replaced = new Set(leaves.map(({ replacesId }) => replacesId));
  return leaves.filter(({ id }) => !replaced.has(id));
}
