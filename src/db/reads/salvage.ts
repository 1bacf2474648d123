import type { Shop } from '../shop';

const OF_ENGINE = 'engine_id = @id';
const OF_JOINT = 'joint_id IN (SELECT id FROM joint WHERE engine_id = @id)';
const OF_FIT = 'fit_id IN (SELECT id FROM fit WHERE engine_id = @id)';

/** Every table that reaches an engine, and which of its rows do. */
const REACHING: Readonly<Record<string, string>> = {
  engine: 'id = @id',
  engine_aside: OF_ENGINE,
  engine_source: OF_ENGINE,
  source: 'id IN (SELECT source_id FROM engine_source WHERE engine_id = @id)',
  leaf: OF_ENGINE,
  joint: OF_ENGINE,
  tightening: OF_JOINT,
  plan: `digest IN (SELECT plan_digest FROM tightening WHERE ${OF_JOINT})`,
  bench_event: `tightening_id IN (SELECT id FROM tightening WHERE ${OF_JOINT})`,
  heat_event: OF_ENGINE,
  bolt_set: OF_JOINT,
  bolt_reading: `set_id IN (SELECT id FROM bolt_set WHERE ${OF_JOINT})`,
  fit: OF_ENGINE,
  fit_hold: OF_FIT,
  fit_line: OF_FIT,
  engine_sheet: OF_ENGINE,
  note: OF_ENGINE,
  step: OF_ENGINE,
  part: OF_ENGINE,
  build_line: OF_ENGINE,
  set_aside: OF_ENGINE,
  note_photo: 'note_id IN (SELECT id FROM note WHERE engine_id = @id)',
};

/** Everything of a row, but for what no person could read of it. */
const columnsOf = (table: string): string => (table === 'plan' ? 'digest, clamp_n, unpacked(body) AS body' : '*');

/** An engine's rows as they lie on disk, read by nothing that could refuse them; a table that fails says why. */
export function salvage(shop: Shop, engineId: string): Readonly<Record<string, unknown>> {
  const rowsOf = (table: string, which: string): unknown => {
    try {
      return shop.db.prepare(`SELECT ${columnsOf(table)} FROM ${table} WHERE ${which}`).all({ id: engineId });
    } catch (error) {
      return { unreadable: error instanceof Error ? error.message : 'it cannot be read' };
    }
  };
  return Object.fromEntries(Object.entries(REACHING).map(([table, which]) => [table, rowsOf(table, which)]));
}
