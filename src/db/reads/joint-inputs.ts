import { DomainError } from '@/core/units';
import type { Joint } from '@/model/joint/joint';
import { shelvesOf } from './shelves-of-shop';
import type { Shop } from '../shop';
import type { JointInputs } from '@/model/joint/joint-inputs';

/** A joint with its leaf, source and the shelves. @throws DomainError not-found */
export function jointInputs(shop: Shop, joint: Joint, now: number): JointInputs {
  const leaf = shop.book.findLeaf(joint.leafId);
  const source = leaf && shop.book.findSource(leaf.sourceId);
  const engine = shop.engines.find(joint.engineId);
  if (!leaf || !source || !engine)
    throw new DomainError('not-found', 'The leaf that this joint is made from is missing.', 'leafId');
  const shelves = shelvesOf(shop, engine);
  if (!shelves.wrenches.some((one) => one.id === joint.wrenchId))
    throw new DomainError('not-found', 'That wrench is not on the shelf.', 'wrenchId');
  return { joint, leaf, source, shelves, now };
}
