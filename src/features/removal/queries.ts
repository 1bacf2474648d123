import type { Shop } from '@/db/shop';
import type { AsideKind, SetAside } from '@/model/set-aside';

/** What of an engine was set aside, of one kind, in one query. */
export const asidesOf = (shop: Shop, engineId: string, kind: AsideKind): readonly SetAside[] =>
  shop.asides.ofEngine(engineId).filter((one) => one.kind === kind);
