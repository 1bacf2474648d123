import type { Shop } from '../shop';

/** What of an engine can be found, by the words that stand in it. */
export interface Findable {
  readonly kind: 'engine' | 'source' | 'leaf' | 'joint' | 'fit';
  readonly id: string;
  readonly engineId: string;
  readonly title: string;
  /** Of an entry its print, and on the next line its page. */
  readonly text: string;
}

const FINDABLE = `
  SELECT 'engine' AS kind, id, id AS engineId, name AS title, engine_number || ' ' || coalesce(year, '') AS text
    FROM engine WHERE @engineId IS NULL OR id = @engineId
  UNION ALL
  SELECT 'source', source.id, engine_id, title, edition || ' ' || coalesce(year, '')
    FROM engine_source JOIN source ON source.id = source_id WHERE @engineId IS NULL OR engine_id = @engineId
  UNION ALL
  SELECT 'leaf', id, engine_id, subject, printed_text || char(10) || page
    FROM leaf WHERE (@engineId IS NULL OR engine_id = @engineId)
      AND NOT EXISTS (SELECT 1 FROM leaf AS later WHERE later.replaces_id = leaf.id)
  UNION ALL
  SELECT 'joint', id, engine_id, name, thread FROM joint WHERE @engineId IS NULL OR engine_id = @engineId
  UNION ALL
  SELECT 'fit', id, engine_id, name, places FROM fit WHERE @engineId IS NULL OR engine_id = @engineId`;

/** Everything that can be found of one engine, or of all, in one query. */
export const findableOf = ({ db }: Shop, engineId: string | null): readonly Findable[] =>
  db.prepare<{ engineId: string | null }, Findable>(FINDABLE).all({ engineId });
