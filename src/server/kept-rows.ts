import { engineRows } from '@/db/reads/engine-rows';
import type { EngineAtStamp } from '@/db/repositories/engine-repository';
import type { Shop } from '@/db/shop';
import type { EngineRows } from '@/model/engine/engine-rows';

interface Kept {
  readonly stamp: number;
  readonly rows: EngineRows;
}

/** Engines somebody is at work on; an engine of twenty joints and eighty going-rounds takes about 2 MB. */
const MAX_KEPT = 12;

const shops = new WeakMap<Shop, Map<string, Kept>>();

const keptOf = (shop: Shop): Map<string, Kept> => {
  const known = shops.get(shop) ?? new Map<string, Kept>();
  shops.set(shop, known);
  return known;
};

/** The engine looked at longest ago makes room. */
function keep(kept: Map<string, Kept>, engineId: string, one: Kept): void {
  kept.delete(engineId);
  kept.set(engineId, one);
  const [oldest] = kept.keys();
  if (kept.size > MAX_KEPT && oldest !== undefined) kept.delete(oldest);
}

/**
 * Everything written of an engine, read once for every stamp of it: the file raises the stamp with every row written,
 * whoever writes it, so that rows of the same stamp are the same rows. The stamp is read before them: what another
 * process writes between the two is read anew the next time.
 */
export function keptRows(shop: Shop, { engine, stamp }: EngineAtStamp): EngineRows {
  const kept = keptOf(shop);
  const known = kept.get(engine.id);
  // What a transaction writes may yet be taken back, and its stamp and its lines' numbers given again to other rows.
  if (shop.db.inTransaction) return engineRows(shop, engine, known?.rows);
  const rows = known?.stamp === stamp ? known.rows : engineRows(shop, engine, known?.rows);
  keep(kept, engine.id, { stamp, rows });
  return rows;
}
