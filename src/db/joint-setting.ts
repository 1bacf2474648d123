import { DomainError } from '@/core/units';
import type { JointSetting } from './joint-working';
import type { Joint } from './repositories/joint-repository';
import type { Shop } from './shop';

/** A joint with its leaf, source and wrench. @throws DomainError not-found */
export function settingOf(shop: Shop, joint: Joint): JointSetting {
  const leaf = shop.book.findLeaf(joint.leafId);
  const source = leaf && shop.book.findSource(leaf.sourceId);
  const wrench = shop.wrenches.find(joint.wrenchId);
  if (!leaf || !source) throw new DomainError('not-found', 'The leaf that this joint is made from is missing.', 'leafId');
  if (!wrench) throw new DomainError('not-found', 'That wrench is not on the shelf.', 'wrenchId');
  return { joint, leaf, source, wrench };
}
