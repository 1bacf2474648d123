import { notAside } from '../repositories/aside-repository';
import type { Shop } from '../shop';

/** What of an engine can be found, by the words that stand in it. */
export interface Findable {
  readonly kind: 'engine' | 'source' | 'leaf' | 'joint' | 'fit' | 'note' | 'step' | 'part';
  readonly id: string;
  readonly engineId: string;
  readonly title: string;
  /** Of an entry its print, and on the next line its page. */
  readonly text: string;
  /** Where on its engine it stands, where that does not follow from what it is. */
  readonly place: string | null;
}

const FINDABLE = `
  SELECT 'engine' AS kind, id, id AS engineId, name AS title, engine_number || ' ' || coalesce(year, '') AS text, NULL AS place
    FROM engine WHERE @engineId IS NULL OR id = @engineId
  UNION ALL
  SELECT 'source', source.id, engine_id, title, edition || ' ' || coalesce(year, ''), NULL
    FROM engine_source JOIN source ON source.id = source_id WHERE @engineId IS NULL OR engine_id = @engineId
  UNION ALL
  SELECT 'leaf', id, engine_id, subject, printed_text || char(10) || page, NULL
    FROM leaf WHERE (@engineId IS NULL OR engine_id = @engineId)
      AND ${notAside('leaf')}
      AND NOT EXISTS (SELECT 1 FROM leaf AS later WHERE later.replaces_id = leaf.id)
  UNION ALL
  SELECT 'joint', id, engine_id, name, thread, NULL FROM joint
    WHERE (@engineId IS NULL OR engine_id = @engineId) AND ${notAside('joint')}
  UNION ALL
  SELECT 'fit', id, engine_id, name, places, NULL FROM fit
    WHERE (@engineId IS NULL OR engine_id = @engineId) AND ${notAside('fit')}
  UNION ALL
  SELECT 'step', id, engine_id, name, branch, 'order?step=' || id FROM step
    WHERE (@engineId IS NULL OR engine_id = @engineId) AND ${notAside('step')}
  UNION ALL
  SELECT 'part', id, engine_id, name, mark || ' ' || serial || ' ' || bag, 'order/tray#part-' || id FROM part
    WHERE @engineId IS NULL OR engine_id = @engineId
  UNION ALL
  SELECT 'note', id, engine_id, substr(words, 1, 80), words,
    CASE WHEN joint_id IS NOT NULL THEN 'joints/' || joint_id || '#notes'
         WHEN fit_id IS NOT NULL THEN 'fits/' || fit_id || '#notes'
         WHEN step_id IS NOT NULL THEN 'order?step=' || step_id
         WHEN part_id IS NOT NULL THEN 'order/tray#part-' || part_id ELSE 'about#notes' END
    FROM note WHERE @engineId IS NULL OR engine_id = @engineId`;

/** Everything that can be found of one engine, or of all, in one query. */
export const findableOf = ({ db }: Shop, engineId: string | null): readonly Findable[] =>
  db.prepare<{ engineId: string | null }, Findable>(FINDABLE).all({ engineId });
