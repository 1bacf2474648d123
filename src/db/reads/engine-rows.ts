import type { Engine } from '@/model/engine/engine';
import type { EngineRows } from '@/model/engine/engine-rows';
import { ASIDE, toAside } from '../repositories/aside-repository';
import { SOURCE } from '../repositories/book-repository';
import { BUILD_ROWS, toBuildRows, type OfText } from '../repositories/build-repository';
import { NOTE, PHOTO_IDS } from '../repositories/note-repository';
import type { Shop } from '../shop';
import type { Row } from '../table';

// One query for all of these, so that a page does not ask the file once more for every one of them.
const BESIDE = `SELECT 'source' AS what, ${SOURCE.asJson} AS body, '[]' AS photos, 0 AS n, source.created_at AS at, source.id AS id
    FROM source JOIN engine_source ON engine_source.source_id = source.id WHERE engine_source.engine_id = @engineId
  UNION ALL SELECT 'note', ${NOTE.asJson}, ${PHOTO_IDS}, 0, note.created_at, note.id
    FROM note WHERE note.engine_id = @engineId
  UNION ALL SELECT 'aside', ${ASIDE.asJson}, '[]', 0, set_aside.at, set_aside.id FROM ${ASIDE.from}
  UNION ALL ${BUILD_ROWS}
  ORDER BY n, at, id`;

interface BesideRow {
  readonly what: 'source' | 'note' | 'aside' | 'step' | 'part' | 'line';
  readonly body: string;
  readonly photos: string;
}

type Beside = Pick<EngineRows, 'sources' | 'notes' | 'asides' | 'order'>;

/** What the rows of an engine were made into, by their texts: a row that is as it was stays the very same thing. */
const made = new WeakMap<EngineRows, ReadonlyMap<string, unknown>>();

/** Makes things of texts, those of `before` again where they are the same; and what was made of them, by text. */
function makingOnce(before: ReadonlyMap<string, unknown> | undefined) {
  const now = new Map<string, unknown>();
  const ofText: OfText = <Made>(text: string, make: (row: Row) => Made) => {
    const one = (before?.get(text) as Made | undefined) ?? make(JSON.parse(text) as Row);
    now.set(text, one);
    return one;
  };
  return { ofText, now };
}

/** The sources of an engine, its notes, what of it was set aside, the oldest first; and the order of its build. */
function besides({ db }: Shop, engineId: string, ofText: OfText): Beside {
  const rows = db.prepare<{ engineId: string }, BesideRow>(BESIDE).all({ engineId });
  const of = (what: BesideRow['what']) => rows.filter((row) => row.what === what);
  return {
    sources: of('source').map(({ body }) => SOURCE.fromRow(JSON.parse(body) as Row)),
    notes: of('note').map(({ body, photos }) => ({
      ...NOTE.fromRow(JSON.parse(body) as Row),
      photoIds: JSON.parse(photos) as string[],
    })),
    asides: of('aside').map(({ body }) => toAside(body)),
    order: toBuildRows(rows, ofText),
  };
}

/**
 * Everything written of one engine, in nine queries however much it is.
 * @param before what was read of it at another time, in the same file: of lines only those are read that came since
 */
export function engineRows(shop: Shop, engine: Engine, before?: EngineRows): EngineRows {
  const { ofText, now } = makingOnce(before && made.get(before));
  const rows = {
    engine,
    ...besides(shop, engine.id, ofText),
    leaves: shop.book.leaves(engine.id),
    joints: shop.joints.ofEngine(engine.id),
    tightenings: shop.tightenings.ofEngine(engine.id),
    events: shop.tightenings.eventsOfEngine(engine.id, before?.events),
    heat: shop.heat.log(engine.id),
    fits: shop.fits.ofEngine(engine.id),
    lines: shop.fits.linesOfEngine(engine.id, before?.lines),
  };
  made.set(rows, now);
  return rows;
}
