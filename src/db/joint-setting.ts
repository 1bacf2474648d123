import { DomainError } from '@/core/units';
import type { Leaf, Source } from './repositories/book-repository';
import type { Joint } from './repositories/joint-repository';
import type { Shelves } from './shelves';
import { shelvesOf } from './shelves-of-shop';
import type { Shop } from './shop';

/** A joint with everything its figure is made from. Plain rows in, core results out: nothing here touches a file. */
export interface JointSetting {
  readonly joint: Joint;
  readonly leaf: Leaf;
  readonly source: Source;
  readonly shelves: Shelves;
  /** For what is overdue, ms since 1970. */
  readonly now: number;
}

/** A joint with its leaf, source and the shelves. @throws DomainError not-found */
export function settingOf(shop: Shop, joint: Joint, now: number): JointSetting {
  const leaf = shop.book.findLeaf(joint.leafId);
  const source = leaf && shop.book.findSource(leaf.sourceId);
  const engine = shop.engines.find(joint.engineId);
  if (!leaf || !source || !engine) throw new DomainError('not-found', 'The leaf that this joint is made from is missing.', 'leafId');
  const shelves = shelvesOf(shop, engine);
  if (!shelves.wrenches.some((one) => one.id === joint.wrenchId)) throw new DomainError('not-found', 'That wrench is not on the shelf.', 'wrenchId');
  return { joint, leaf, source, shelves, now };
}
