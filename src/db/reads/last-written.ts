import type { Shop } from '../shop';

const LAST = ['bench_event', 'fit_line', 'heat_event']
  .map((table) => `SELECT * FROM (SELECT recorded_at FROM ${table} ORDER BY seq DESC LIMIT 1)`)
  .join(' UNION ALL ');

const STANDS_FOR_MS = 60_000;
const asked = new WeakMap<Shop, { readonly at: number; readonly last: string | undefined }>();

/**
 * When the line was written that was written last, by the server's clock of then; undefined in an empty shop. Asked of
 * the file once a minute, by a watch that cannot be set.
 */
export function lastWritten(shop: Shop): string | undefined {
  const known = asked.get(shop);
  const watch = performance.now();
  if (known && watch - known.at < STANDS_FOR_MS) return known.last;
  const sql = `SELECT max(recorded_at) AS at FROM (${LAST})`;
  const last = shop.db.prepare<[], { at: string | null }>(sql).get()?.at ?? undefined;
  asked.set(shop, { at: watch, last });
  return last;
}
