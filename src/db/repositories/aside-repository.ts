import type { Database } from 'better-sqlite3';
import type { AsideKind, SetAside, ShelfAsideKind } from '@/model/set-aside';

/** What keeps a row of a table out of the lists: that it was set aside. */
export const notAside = (kind: AsideKind): string =>
  `NOT EXISTS (SELECT 1 FROM set_aside WHERE set_aside.kind = '${kind}' AND set_aside.id = ${kind}.id)`;

// An entry goes with what it corrects: the one beneath it would come to light again.
const WITH_EARLIER = `WITH RECURSIVE chain (id) AS (
    SELECT @id UNION ALL SELECT replaces_id FROM leaf JOIN chain ON leaf.id = chain.id WHERE replaces_id IS NOT NULL
  )`;

/** What of the engine `@engineId` was set aside, as JSON: an entry once, not also what it corrects. */
export const ASIDE = {
  asJson: `json_object('kind', set_aside.kind, 'id', set_aside.id, 'engineId', set_aside.engine_id,
    'reason', set_aside.reason, 'who', nullif(set_aside.who, ''), 'at', set_aside.at,
    'name', coalesce(joint.name, fit.name, step.name, leaf.subject || ', “' || leaf.printed_text || '”'))`,
  from: `set_aside
    LEFT JOIN joint ON set_aside.kind = 'joint' AND joint.id = set_aside.id
    LEFT JOIN fit ON set_aside.kind = 'fit' AND fit.id = set_aside.id
    LEFT JOIN step ON set_aside.kind = 'step' AND step.id = set_aside.id
    LEFT JOIN leaf ON set_aside.kind = 'leaf' AND leaf.id = set_aside.id
    WHERE set_aside.engine_id = @engineId
      AND NOT (set_aside.kind = 'leaf' AND EXISTS (SELECT 1 FROM leaf AS later WHERE later.replaces_id = set_aside.id))`,
};

export const toAside = (body: string): SetAside => {
  const { who, ...aside } = JSON.parse(body) as Omit<SetAside, 'who'> & { readonly who: string | null };
  return { ...aside, ...(who !== null && { who }) };
};

const ROWS_OF: Readonly<Record<ShelfAsideKind, string>> = {
  wrench: 'wrench',
  source: 'source',
  trial: 'film_trial',
  'bolt-set': 'bolt_set',
};

export const createAsideRepository = (db: Database) => {
  const put = db.prepare<object>(
    `INSERT INTO set_aside (kind, id, engine_id, reason, who, at) VALUES (@kind, @id, @engineId, @reason, coalesce(@who, who()), @at)
     ON CONFLICT (kind, id) DO NOTHING`,
  );
  const putLeaf = db.prepare<object>(
    `${WITH_EARLIER} INSERT INTO set_aside (kind, id, engine_id, reason, who, at)
     SELECT 'leaf', id, @engineId, @reason, coalesce(@who, who()), @at FROM chain WHERE true ON CONFLICT (kind, id) DO NOTHING`,
  );
  const back = db.prepare<object>('DELETE FROM set_aside WHERE kind = @kind AND id = @id');
  const leafBack = db.prepare<object>(
    `${WITH_EARLIER} DELETE FROM set_aside WHERE kind = 'leaf' AND id IN (SELECT id FROM chain)`,
  );
  const ofEngine = db.prepare<{ engineId: string }, { body: string }>(
    `SELECT ${ASIDE.asJson} AS body FROM ${ASIDE.from} ORDER BY set_aside.at, set_aside.id`,
  );
  const known = db.prepare<object>('SELECT 1 FROM set_aside WHERE kind = @kind AND id = @id');
  return {
    /** Writes into the row of a wrench, a source or a trial why it is aside; false where it was already. */
    putRow: (kind: ShelfAsideKind, id: string, reason: string): boolean =>
      db
        .prepare<object>(`UPDATE ${ROWS_OF[kind]} SET aside = @reason WHERE id = @id AND aside = ''`)
        .run({ id, reason }).changes === 1,
    /** Works with it again; false where it was not aside. */
    bringRowBack: (kind: ShelfAsideKind, id: string): boolean =>
      db.prepare<object>(`UPDATE ${ROWS_OF[kind]} SET aside = '' WHERE id = @id AND aside <> ''`).run({ id })
        .changes === 1,
    has: (kind: AsideKind, id: string): boolean => known.get({ kind, id }) !== undefined,
    /** What of an engine was set aside, the oldest first; an entry once, not also what it corrects. */
    ofEngine: (engineId: string): readonly SetAside[] => ofEngine.all({ engineId }).map(({ body }) => toAside(body)),
    /** Sets something aside, by whoever is given or else works now; false where it was already. */
    put: ({ kind, id, engineId, reason, at, who }: Omit<SetAside, 'name'>): boolean => {
      const row = { id, engineId, reason, at, who: who ?? null };
      return (kind === 'leaf' ? putLeaf.run(row) : put.run({ ...row, kind })).changes > 0;
    },
    /** Brings it back; false where it was not aside. */
    bringBack: (kind: AsideKind, id: string): boolean =>
      (kind === 'leaf' ? leafBack.run({ id }) : back.run({ kind, id })).changes > 0,
  };
};
