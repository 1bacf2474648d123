import type { Database } from 'better-sqlite3';
import { FIGURE_JSON, type Leaf, type Photo } from '@/model/book/leaf';
import type { Source } from '@/model/book/source';
import { notAside } from './aside-repository';
import { asideReason, initials, json, table, type Row } from '../table';

export const SOURCE = table<Source>('source', {
  id: 'id',
  title: 'title',
  edition: 'edition',
  year: 'year',
  kind: 'kind',
  rank: 'rank',
  fromYear: 'from_year',
  toYear: 'to_year',
  fromNumber: 'from_number',
  toNumber: 'to_number',
  supersedesId: 'supersedes_id',
  language: 'language',
  aside: asideReason,
  version: 'version',
  createdAt: 'created_at',
});

const LEAF = table<Leaf>('leaf', {
  id: 'id',
  engineId: 'engine_id',
  sourceId: 'source_id',
  page: 'page',
  subject: 'subject',
  printedText: 'printed_text',
  conditionText: 'condition_text',
  kind: 'kind',
  figure: json('figure', FIGURE_JSON),
  min_Nm: 'min_nm',
  max_Nm: 'max_nm',
  min_deg: 'min_deg',
  max_deg: 'max_deg',
  min_mm: 'min_mm',
  max_mm: 'max_mm',
  agreedNotes: json('agreed_notes'),
  replacesId: 'replaces_id',
  who: initials,
  createdAt: 'created_at',
});

const createSources = (db: Database) => {
  const ofEngine = db.prepare<[string], Row>(
    `SELECT ${SOURCE.columns} FROM source JOIN engine_source ON engine_source.source_id = source.id
     WHERE engine_source.engine_id = ? ORDER BY source.created_at, source.id`,
  );
  const byId = db.prepare<[string], Row>(`SELECT ${SOURCE.columns} FROM source WHERE id = ?`);
  const byIds = db.prepare<[string], Row>(
    `SELECT ${SOURCE.columns} FROM json_each(?) JOIN source ON source.id = json_each.value`,
  );
  const insert = db.prepare(SOURCE.insert);
  const update = db.prepare(SOURCE.update);
  const link = db.prepare<[string, string]>(
    'INSERT INTO engine_source (engine_id, source_id) VALUES (?, ?) ON CONFLICT (engine_id, source_id) DO NOTHING',
  );
  return {
    sources: (engineId: string): readonly Source[] => ofEngine.all(engineId).map(SOURCE.fromRow),
    findSource: (id: string): Source | undefined => {
      const row = byId.get(id);
      return row && SOURCE.fromRow(row);
    },
    sourcesByIds: (ids: readonly string[]): readonly Source[] => byIds.all(JSON.stringify(ids)).map(SOURCE.fromRow),
    addSource: (engineId: string, source: Source): void =>
      db.transaction(() => {
        insert.run(SOURCE.toRow(source));
        link.run(engineId, source.id);
      })(),
    /** Alters a source that is still of the version given; false where it was altered meanwhile. */
    alterSource: (source: Source): boolean => update.run(SOURCE.toRow(source)).changes === 1,
    linkSource: (engineId: string, sourceId: string): void => void link.run(engineId, sourceId),
  };
};

const createLeaves = (db: Database) => {
  const ofEngine = db.prepare<[string], Row>(
    `SELECT ${LEAF.columns} FROM leaf WHERE engine_id = ? AND ${notAside('leaf')} ORDER BY created_at, id`,
  );
  const everOfEngine = db.prepare<[string], Row>(
    `SELECT ${LEAF.columns} FROM leaf WHERE engine_id = ? ORDER BY created_at, id`,
  );
  const byId = db.prepare<[string], Row>(`SELECT ${LEAF.columns} FROM leaf WHERE id = ?`);
  const byIds = db.prepare<[string], Row>(
    `SELECT ${LEAF.columns} FROM json_each(?) JOIN leaf ON leaf.id = json_each.value`,
  );
  const replacing = db.prepare<[string], Row>(`SELECT ${LEAF.columns} FROM leaf WHERE replaces_id = ?`);
  const insert = db.prepare(LEAF.insert);
  const follow = db.prepare<[string, string]>('UPDATE joint SET leaf_id = ?, version = version + 1 WHERE leaf_id = ?');
  const naming = db.prepare<[string], { id: string; detail: string }>(
    'SELECT id, detail FROM joint WHERE instr(detail, ?) > 0',
  );
  const rewrite = db.prepare<[string, string]>('UPDATE joint SET detail = ?, version = version + 1 WHERE id = ?');
  /** Kinds of fastener, and what was said to speak of a joint too, go by the correction like the joint itself. */
  const followInDetail = (to: string, from: string) => {
    for (const { id, detail } of naming.all(JSON.stringify(from))) {
      const moved = JSON.stringify(
        JSON.parse(detail, (key, value: unknown) => {
          if (key === 'leafId' && value === from) return to;
          return key === 'alsoLeaves' && Array.isArray(value)
            ? value.map((one: unknown) => (one === from ? to : one))
            : value;
        }),
      );
      if (moved !== detail) rewrite.run(moved, id);
    }
  };
  return {
    /** Those that are worked with: what was set aside is left out. */
    leaves: (engineId: string): readonly Leaf[] => ofEngine.all(engineId).map(LEAF.fromRow),
    /** Entries that were set aside as well. */
    everyLeaf: (engineId: string): readonly Leaf[] => everOfEngine.all(engineId).map(LEAF.fromRow),
    findLeaf: (id: string): Leaf | undefined => {
      const row = byId.get(id);
      return row && LEAF.fromRow(row);
    },
    /** The correction of a leaf, where there is one. */
    leafReplacing: (id: string): Leaf | undefined => {
      const row = replacing.get(id);
      return row && LEAF.fromRow(row);
    },
    leavesByIds: (ids: readonly string[]): readonly Leaf[] => byIds.all(JSON.stringify(ids)).map(LEAF.fromRow),
    /** Adds a leaf; where it replaces another, joints follow to the new one. */
    addLeaf: (leaf: Leaf): void =>
      db.transaction(() => {
        insert.run(LEAF.toRow(leaf));
        if (!leaf.replacesId) return;
        follow.run(leaf.id, leaf.replacesId);
        followInDetail(leaf.id, leaf.replacesId);
      })(),
  };
};

const createPhotos = (db: Database) => {
  const ofEngine = db.prepare<[string], { id: string; leaf_id: string }>(
    `SELECT photo.id, leaf_id FROM leaf JOIN photo ON photo.leaf_id = leaf.id
     WHERE engine_id = ? ORDER BY photo.created_at, photo.id`,
  );
  const byId = db.prepare<[string], { name: string; type: string; whole: Buffer; thumbnail: Buffer; plain: number }>(
    'SELECT name, type, whole, thumbnail, plain FROM photo WHERE id = ?',
  );
  const plain = db.prepare<[string, Buffer, string]>('UPDATE photo SET type = ?, whole = ?, plain = 1 WHERE id = ?');
  const remove = db.prepare<[string]>('DELETE FROM photo WHERE id = ?');
  const insert = db.prepare<[Photo]>(
    `INSERT INTO photo (id, leaf_id, name, type, whole, thumbnail, created_at, plain)
     VALUES (@id, @leafId, @name, @type, @whole, @thumbnail, @createdAt, 1)`,
  );
  return {
    /** The photographs of an engine's leaves, by leaf, without the pictures themselves. */
    photoIds: (engineId: string): ReadonlyMap<string, readonly string[]> => {
      const ids = new Map<string, string[]>();
      for (const { id, leaf_id } of ofEngine.all(engineId)) ids.set(leaf_id, [...(ids.get(leaf_id) ?? []), id]);
      return ids;
    },
    photo: (id: string) => byId.get(id),
    addPhoto: (photo: Photo): void => void insert.run(photo),
    /** Puts a picture without what the camera wrote in the place of one that was kept as it came. */
    keepPlain: (id: string, type: string, whole: Buffer): void => void plain.run(type, whole, id),
    /** False where it was gone already. */
    removePhoto: (id: string): boolean => remove.run(id).changes === 1,
  };
};

export const createBookRepository = (db: Database) => ({
  ...createSources(db),
  ...createLeaves(db),
  ...createPhotos(db),
});
