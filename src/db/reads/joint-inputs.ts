import { DomainError } from '@/core/units';
import { inputsOf } from '@/model/engine/engine-rows';
import type { Leaf } from '@/model/book/leaf';
import type { Joint } from '@/model/joint/joint';
import { leafIdsOf } from '@/model/joint/fastener-kind';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { Shelves } from '@/model/shelf/shelves';
import type { Shop } from '../shop';
import { shelvesOf } from './shelves-of-shop';

/** A joint with its leaf, source and the shelves, in four queries. @throws DomainError not-found */
export function jointInputs(shop: Shop, joint: Joint, now: number, shelves = shelvesOf(shop)): JointInputs {
  const leaves = shop.book.leavesByIds([...new Set(leafIdsOf(joint))]);
  const sources = shop.book.sourcesByIds([...new Set(leaves.map(({ sourceId }) => sourceId))]);
  const engine = shop.engines.find(joint.engineId);
  if (!engine) throw new DomainError('not-found', 'That engine is no longer on a stand.', 'engineId');
  return inputsOf({ engine, leaves, sources }, joint, shelves, now);
}

/** Inputs of joints of the whole shop, in three queries however many they are; joints that lack a row are left out. */
export function inputsOfJoints(
  shop: Shop,
  joints: readonly Joint[],
  shelves: Shelves,
  now: number,
): readonly JointInputs[] {
  const ids = (of: (joint: Joint) => string) => [...new Set(joints.map(of))];
  const byId = <T extends { readonly id: string }>(rows: readonly T[]) => new Map(rows.map((row) => [row.id, row]));
  const leaves = shop.book.leavesByIds([...new Set(joints.flatMap(leafIdsOf))]);
  const sources = shop.book.sourcesByIds([...new Set(leaves.map(({ sourceId }) => sourceId))]);
  const [known, from] = [byId(leaves), byId(sources)];
  const sourcesOf = (own: readonly Leaf[]) => own.flatMap(({ sourceId }) => from.get(sourceId) ?? []);
  const engines = byId(shop.engines.byIds(ids(({ engineId }) => engineId)));
  return joints.flatMap((joint): readonly JointInputs[] => {
    const own = leafIdsOf(joint).flatMap((id) => known.get(id) ?? []);
    const leaf = known.get(joint.leafId);
    const engine = engines.get(joint.engineId);
    const whole = leaf && from.has(leaf.sourceId) && shelves.wrenches.some(({ id }) => id === joint.wrenchId);
    return whole && engine ? [inputsOf({ engine, leaves: own, sources: sourcesOf(own) }, joint, shelves, now)] : [];
  });
}
