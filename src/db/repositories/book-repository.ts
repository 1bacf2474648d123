import type { Leaf, Photo } from '@/model/book/leaf';
import type { Source, SourceKind } from '@/model/book/source';
import type { Database } from 'better-sqlite3';

interface SourceRow {
  readonly id: string;
  readonly title: string;
  readonly edition: string;
  readonly year: number | null;
  readonly kind: SourceKind;
  readonly rank: number | null;
  readonly from_year: number | null;
  readonly to_year: number | null;
  readonly from_number: string;
  readonly to_number: string;
  readonly supersedes_id: string | null;
  readonly created_at: string;
}

interface LeafRow {
  readonly id: string;
  readonly engine_id: string;
  readonly source_id: string;
  readonly page: string;
  readonly subject: string;
  readonly printed_text: string;
  readonly condition_text: string | null;
  readonly kind: Leaf['kind'];
  readonly reading_index: number;
  readonly min_nm: number | null;
  readonly max_nm: number | null;
  readonly min_deg: number | null;
  readonly max_deg: number | null;
  readonly min_mm: number | null;
  readonly max_mm: number | null;
  readonly agreed_notes: string;
  readonly replaces_id: string | null;
  readonly created_at: string;
}

const toSource = (row: SourceRow): Source => ({
  id: row.id,
  title: row.title,
  edition: row.edition,
  year: row.year,
  kind: row.kind,
  rank: row.rank,
  fromYear: row.from_year,
  toYear: row.to_year,
  fromNumber: row.from_number,
  toNumber: row.to_number,
  supersedesId: row.supersedes_id,
  createdAt: row.created_at,
});

const toLeaf = (row: LeafRow): Leaf => ({
  id: row.id,
  engineId: row.engine_id,
  sourceId: row.source_id,
  page: row.page,
  subject: row.subject,
  printedText: row.printed_text,
  conditionText: row.condition_text,
  kind: row.kind,
  readingIndex: row.reading_index,
  min_Nm: row.min_nm,
  max_Nm: row.max_nm,
  min_deg: row.min_deg,
  max_deg: row.max_deg,
  min_mm: row.min_mm,
  max_mm: row.max_mm,
  agreedNotes: JSON.parse(row.agreed_notes) as string[],
  replacesId: row.replaces_id,
  createdAt: row.created_at,
});

export const createBookRepository = (db: Database) => {
  const sourcesOf = db.prepare<[string], SourceRow>(
    `SELECT source.* FROM source JOIN engine_source ON engine_source.source_id = source.id
     WHERE engine_source.engine_id = ? ORDER BY source.created_at, source.id`,
  );
  const sourceById = db.prepare<[string], SourceRow>('SELECT * FROM source WHERE id = ?');
  const insertSource = db.prepare<[Source]>(
    `INSERT INTO source (id, title, edition, year, kind, rank, from_year, to_year, from_number, to_number, supersedes_id, created_at)
     VALUES (@id, @title, @edition, @year, @kind, @rank, @fromYear, @toYear, @fromNumber, @toNumber, @supersedesId, @createdAt)`,
  );
  const link = db.prepare<[string, string]>('INSERT OR IGNORE INTO engine_source (engine_id, source_id) VALUES (?, ?)');
  const leavesOf = db.prepare<[string], LeafRow>('SELECT * FROM leaf WHERE engine_id = ? ORDER BY created_at, id');
  const leafById = db.prepare<[string], LeafRow>('SELECT * FROM leaf WHERE id = ?');
  const insertLeaf = db.prepare(
    `INSERT INTO leaf (id, engine_id, source_id, page, subject, printed_text, condition_text, kind, reading_index,
       min_nm, max_nm, min_deg, max_deg, min_mm, max_mm, agreed_notes, replaces_id, created_at)
     VALUES (@id, @engineId, @sourceId, @page, @subject, @printedText, @conditionText, @kind, @readingIndex,
       @min_Nm, @max_Nm, @min_deg, @max_deg, @min_mm, @max_mm, @agreedNotes, @replacesId, @createdAt)`,
  );
  const alterSource = db.prepare(
    `UPDATE source SET title = @title, edition = @edition, year = @year, kind = @kind, rank = @rank, from_year = @fromYear, to_year = @toYear,
       from_number = @fromNumber, to_number = @toNumber, supersedes_id = @supersedesId WHERE id = @id`,
  );
  const follow = db.prepare<[string, string]>('UPDATE joint SET leaf_id = ? WHERE leaf_id = ?');
  const photosOf = db.prepare<[string], { id: string }>(
    'SELECT id FROM photo WHERE leaf_id = ? ORDER BY created_at, id',
  );
  const photoById = db.prepare<[string], { name: string; type: string; whole: Buffer; thumbnail: Buffer }>(
    'SELECT name, type, whole, thumbnail FROM photo WHERE id = ?',
  );
  const insertPhoto = db.prepare<[Photo]>(
    `INSERT INTO photo (id, leaf_id, name, type, whole, thumbnail, created_at) VALUES (@id, @leafId, @name, @type, @whole, @thumbnail, @createdAt)`,
  );
  return {
    photoIds: (leafId: string): readonly string[] => photosOf.all(leafId).map((row) => row.id),
    photo: (id: string) => photoById.get(id),
    addPhoto: (photo: Photo): void => void insertPhoto.run(photo),
    sources: (engineId: string): readonly Source[] => sourcesOf.all(engineId).map(toSource),
    findSource: (id: string): Source | undefined => {
      const row = sourceById.get(id);
      return row && toSource(row);
    },
    addSource: (engineId: string, source: Source): void =>
      db.transaction(() => {
        insertSource.run(source);
        link.run(engineId, source.id);
      })(),
    alterSource: (source: Omit<Source, 'createdAt'>): void => void alterSource.run(source),
    linkSource: (engineId: string, sourceId: string): void => void link.run(engineId, sourceId),
    leaves: (engineId: string): readonly Leaf[] => leavesOf.all(engineId).map(toLeaf),
    findLeaf: (id: string): Leaf | undefined => {
      const row = leafById.get(id);
      return row && toLeaf(row);
    },
    /** Adds a leaf; where it replaces another, joints follow to the new one. */
    addLeaf: (leaf: Leaf): void =>
      db.transaction(() => {
        insertLeaf.run({ ...leaf, agreedNotes: JSON.stringify(leaf.agreedNotes) });
        if (leaf.replacesId) follow.run(leaf.id, leaf.replacesId);
      })(),
  };
};
