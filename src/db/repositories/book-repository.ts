import type { Database } from 'better-sqlite3';

export interface Source {
  readonly id: string;
  readonly title: string;
  readonly edition: string;
  readonly year: number | null;
  readonly createdAt: string;
}

/** One printed figure, as it stands on its page. */
export interface Leaf {
  readonly id: string;
  readonly engineId: string;
  readonly sourceId: string;
  readonly page: string;
  readonly subject: string;
  readonly printedText: string;
  /** The printed words on the thread; null where the page says nothing. */
  readonly conditionText: string | null;
  readonly kind: 'torque' | 'lever-pull' | 'turn';
  /** Which of the readings of the text was chosen. */
  readonly readingIndex: number;
  readonly minNm: number | null;
  readonly maxNm: number | null;
  readonly minDeg: number | null;
  readonly maxDeg: number | null;
  /** Codes of the notes that the reader was asked about and agreed to. */
  readonly agreedNotes: readonly string[];
  readonly replacesId: string | null;
  readonly createdAt: string;
}

interface SourceRow {
  readonly id: string;
  readonly title: string;
  readonly edition: string;
  readonly year: number | null;
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
  readonly agreed_notes: string;
  readonly replaces_id: string | null;
  readonly created_at: string;
}

const toSource = ({ created_at, ...row }: SourceRow): Source => ({ ...row, createdAt: created_at });

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
  minNm: row.min_nm,
  maxNm: row.max_nm,
  minDeg: row.min_deg,
  maxDeg: row.max_deg,
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
    'INSERT INTO source (id, title, edition, year, created_at) VALUES (@id, @title, @edition, @year, @createdAt)',
  );
  const link = db.prepare<[string, string]>('INSERT OR IGNORE INTO engine_source (engine_id, source_id) VALUES (?, ?)');
  const leavesOf = db.prepare<[string], LeafRow>('SELECT * FROM leaf WHERE engine_id = ? ORDER BY created_at, id');
  const leafById = db.prepare<[string], LeafRow>('SELECT * FROM leaf WHERE id = ?');
  const insertLeaf = db.prepare(
    `INSERT INTO leaf (id, engine_id, source_id, page, subject, printed_text, condition_text, kind, reading_index,
       min_nm, max_nm, min_deg, max_deg, agreed_notes, replaces_id, created_at)
     VALUES (@id, @engineId, @sourceId, @page, @subject, @printedText, @conditionText, @kind, @readingIndex,
       @minNm, @maxNm, @minDeg, @maxDeg, @agreedNotes, @replacesId, @createdAt)`,
  );
  const follow = db.prepare<[string, string]>('UPDATE joint SET leaf_id = ? WHERE leaf_id = ?');
  return {
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
