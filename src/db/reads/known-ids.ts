import type { Shop } from '../shop';

/** Tables whose rows come with an engine; each has its own ids. */
const TABLES = [
  'engine',
  'source',
  'leaf',
  'wrench',
  'joint',
  'tightening',
  'bench_event',
  'heat_event',
  'bolt_set',
  'bolt_reading',
  'fit',
  'fit_line',
  'engine_sheet',
  'shim',
  'note',
  'step',
  'part',
  'build_line',
] as const;

/** Which of these ids stand in the shop already, whatever they are the ids of. */
export function knownIds(shop: Shop, ids: readonly string[]): ReadonlySet<string> {
  const wanted = JSON.stringify(ids);
  const found = TABLES.map((table) =>
    shop.db
      .prepare<[string], { id: string }>(
        `SELECT ${table}.id FROM json_each(?) JOIN ${table} ON ${table}.id = json_each.value`,
      )
      .all(wanted),
  );
  return new Set(found.flat().map(({ id }) => id));
}
