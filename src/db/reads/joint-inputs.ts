import { DomainError } from '@/core/units';
import { inputsOf } from '@/model/engine/engine-rows';
import type { Joint } from '@/model/joint/joint';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { Shelves } from '@/model/shelf/shelves';
import type { Shop } from '../shop';
import { shelvesOf } from './shelves-of-shop';

/** A joint with its leaf, source and the shelves, in four queries. @throws DomainError not-found */
export function jointInputs(shop: Shop, joint: Joint, now: number, shelves = shelvesOf(shop)): JointInputs {
  const leaf = shop.book.findLeaf(joint.leafId);
  const source = leaf && shop.book.findSource(leaf.sourceId);
  const engine = shop.engines.find(joint.engineId);
  if (!engine) throw new DomainError('not-found', 'That engine is no longer on a stand.', 'engineId');
  return inputsOf({ engine, leaves: leaf ? [leaf] : [], sources: source ? [source] : [] }, joint, shelves, now);
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
  const leaves = byId(shop.book.leavesByIds(ids(({ leafId }) => leafId)));
  const sources = byId(shop.book.sourcesByIds([...new Set([...leaves.values()].map(({ sourceId }) => sourceId))]));
  const engines = byId(shop.engines.byIds(ids(({ engineId }) => engineId)));
  return joints.flatMap((joint): readonly JointInputs[] => {
    const leaf = leaves.get(joint.leafId);
    const source = leaf && sources.get(leaf.sourceId);
    const engine = engines.get(joint.engineId);
    const whole = leaf && source && engine && shelves.wrenches.some(({ id }) => id === joint.wrenchId);
    return whole ? [inputsOf({ engine, leaves: [leaf], sources: [source] }, joint, shelves, now)] : [];
  });
}
