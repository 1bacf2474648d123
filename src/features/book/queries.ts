import { currentLeaves } from '@/model/book/current-leaves';
import type { Leaf } from '@/model/book/leaf';
import type { Source } from '@/model/book/source';
import type { EngineRows } from '@/model/engine/engine-rows';
import type { Shop } from '@/db/shop';

/** A leaf with the leaves that it corrects, newest first. */
export interface LeafWithHistory extends Leaf {
  readonly earlier: readonly Leaf[];
  readonly jointNames: readonly string[];
  readonly photoIds: readonly string[];
}

export interface BookSource extends Source {
  readonly leaves: readonly LeafWithHistory[];
}

function earlierOf(leaf: Leaf, byId: ReadonlyMap<string, Leaf>): readonly Leaf[] {
  const before = leaf.replacesId === null ? undefined : byId.get(leaf.replacesId);
  return before ? [before, ...earlierOf(before, byId)] : [];
}

/** An engine's book: its sources, each with the leaves that stand; in one query beside its rows. */
export function bookOf(shop: Shop, { engine, leaves, sources, joints }: EngineRows): readonly BookSource[] {
  const byId = new Map(leaves.map((leaf) => [leaf.id, leaf]));
  const photos = shop.book.photoIds(engine.id);
  const current = currentLeaves(leaves);
  return sources.map((source) => ({
    ...source,
    leaves: current
      .filter((leaf) => leaf.sourceId === source.id)
      .map((leaf) => ({
        ...leaf,
        earlier: earlierOf(leaf, byId),
        photoIds: photos.get(leaf.id) ?? [],
        jointNames: joints.filter((joint) => joint.leafId === leaf.id).map((joint) => joint.name),
      })),
  }));
}
