import type { Statement } from 'better-sqlite3';
import type { Engine } from '@/model/engine/engine';
import type { EngineRows } from '@/model/engine/engine-rows';
import { ASIDE, toAside } from '../repositories/aside-repository';
import { BOLT_ROWS, toMeasured } from '../repositories/bolt-repository';
import { SOURCE } from '../repositories/book-repository';
import { BUILD_ROWS, toBuildRows } from '../repositories/build-repository';
import { NOTE, PHOTO_IDS } from '../repositories/note-repository';
import type { Shop } from '../shop';
import type { Row } from '../table';

// One query for all of these, so that a page does not ask the file once more for every one of them.
const BESIDE = `SELECT 'source' AS what, ${SOURCE.asJson} AS body, '[]' AS photos, source.created_at AS at, source.id AS id
    FROM source JOIN engine_source ON engine_source.source_id = source.id WHERE engine_source.engine_id = @engineId
  UNION ALL SELECT 'note', ${NOTE.asJson}, ${PHOTO_IDS}, note.created_at, note.id
    FROM note WHERE note.engine_id = @engineId
  UNION ALL SELECT 'aside', ${ASIDE.asJson}, '[]', set_aside.at, set_aside.id FROM ${ASIDE.from}
  UNION ALL ${BOLT_ROWS}
  UNION ALL ${BUILD_ROWS}
  ORDER BY at, id`;

interface BesideRow {
  readonly what: 'source' | 'note' | 'aside' | 'bolts' | 'step' | 'part' | 'build_line';
  readonly body: string;
  /** The photographs of a note; the readings of a set of bolts. */
  readonly photos: string;
}

type Beside = Pick<EngineRows, 'sources' | 'notes' | 'asides' | 'bolts' | 'order'>;

const asked = new WeakMap<Shop, Statement<[{ engineId: string }], BesideRow>>();

/** What stands beside its lines, the oldest first; made ready once a file. */
function besideRows(shop: Shop, engineId: string): BesideRow[] {
  const sql = asked.get(shop) ?? shop.db.prepare<{ engineId: string }, BesideRow>(BESIDE);
  asked.set(shop, sql);
  return sql.all({ engineId });
}

/** The sources of an engine, its notes, what of it was set aside, its bolts by stretch; and the order of its build. */
function besides(shop: Shop, engineId: string, before: Beside | undefined): Beside {
  const rows = besideRows(shop, engineId);
  const of = (what: BesideRow['what']) => rows.filter((row) => row.what === what);
  return {
    sources: of('source').map(({ body }) => SOURCE.fromRow(JSON.parse(body) as Row)),
    notes: of('note').map(({ body, photos }) => ({
      ...NOTE.fromRow(JSON.parse(body) as Row),
      photoIds: JSON.parse(photos) as string[],
    })),
    asides: of('aside').map(({ body }) => toAside(body)),
    bolts: of('bolts').map(({ body, photos }) => toMeasured(body, photos)),
    order: toBuildRows(rows, before?.order),
  };
}

/**
 * Everything written of one engine, in nine queries however much it is.
 * @param before what was read of it at another time, in the same file: of lines only those are read that came since
 */
export const engineRows = (shop: Shop, engine: Engine, before?: EngineRows): EngineRows => ({
  engine,
  ...besides(shop, engine.id, before),
  leaves: shop.book.leaves(engine.id),
  joints: shop.joints.ofEngine(engine.id),
  tightenings: shop.tightenings.ofEngine(engine.id),
  events: shop.tightenings.eventsOfEngine(engine.id, before?.events),
  heat: shop.heat.log(engine.id),
  fits: shop.fits.ofEngine(engine.id),
  lines: shop.fits.linesOfEngine(engine.id, before?.lines),
});
