import { DomainError } from '@/core/units';
import type { Shop } from '@/db/shop';
import type { AsideKind } from '@/model/set-aside';

/** What was set aside is on no list and keeps nothing open: nothing is written of it. @throws DomainError set-aside */
export function assertWorkedWith(shop: Shop, kind: AsideKind, id: string): void {
  if (shop.asides.has(kind, id))
    throw new DomainError(
      'set-aside',
      'That was set aside in the meantime: bring it back before going on with it.',
      'id',
    );
}
