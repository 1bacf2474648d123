import { DomainError } from '@/core/units';
import type { Shop } from '@/db/shop';
import { jointStateOf } from '@/model/engine/engine-rows';
import type { Joint } from '@/model/joint/joint';
import { engineRowsNow } from '@/server/engine-now';

/**
 * How many fasteners there are, and how they lie, stands while a round is half pulled; after that another number or
 * pattern is one for the next round. A round that was begun and not pulled in goes, for its plan has other fasteners.
 * The sheet asks here, and taking an act back.
 * @throws DomainError half-pulled
 */
export function assertShapeMayChange(shop: Shop, joint: Joint): void {
  shop.tightenings.dropUnpulled(joint.id);
  const { halfPulled } = jointStateOf(engineRowsNow({ shop }, joint.engineId), joint);
  if (halfPulled)
    throw new DomainError(
      'half-pulled',
      'A round of this joint is half pulled: how many there are, and how they lie, stands until it is done or its pulls are undone at the bench.',
      'fasteners',
    );
}
