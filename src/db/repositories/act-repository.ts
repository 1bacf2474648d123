import type { Database } from 'better-sqlite3';
import { DomainError } from '@/core/units';
import type { Act, Doer } from '@/model/act';
import { logActs, type LoggedRow, type LoggedTable } from '../act-log';
import { createTakingBack, type Change } from '../act-undo';

interface ActRow {
  readonly id: string;
  readonly engine_id: string | null;
  readonly words: string;
  readonly who: string;
  readonly at: string;
  readonly tip: string;
  readonly turns: number;
}

/** What some work came to, and the words for it; without words it is no act. */
interface Told<T> {
  readonly done: T;
  readonly words?: string;
}

/** A row that an act changed; before is missing where it was added, after where it was taken away. */
export interface ChangedRow {
  readonly table: LoggedTable;
  readonly before: LoggedRow | undefined;
  readonly after: LoggedRow | undefined;
}

const rowIn = (text: string | null) => (text === null ? undefined : (JSON.parse(text) as LoggedRow));

interface Done<T> {
  readonly done: T;
  /** By what it can be taken back. */
  readonly act?: { readonly token: string; readonly words: string };
}

/** So many acts of an engine, and of the shop, can be gone back through. */
const KEPT_ACTS = 200;

const prepared = (db: Database) => ({
  begin: db.prepare<[string]>('INSERT INTO act_now (id) VALUES (?)'),
  end: db.prepare('DELETE FROM act_now'),
  add: db.prepare('INSERT INTO act (id, words, who, at, undoes_id) VALUES (@id, @words, @who, @at, @undoes)'),
  drop: db.prepare<[string]>('DELETE FROM act WHERE id = ?'),
  name: db.prepare('UPDATE act SET words = @words, engine_id = @engineId WHERE id = @id'),
  changes: db.prepare<[string], Change>('SELECT tbl, before, after FROM act_change WHERE act_id = ? ORDER BY seq DESC'),
  byId: db.prepare<[string], { words: string }>('SELECT words FROM act WHERE id = ?'),
  undoer: db.prepare<[string], { id: string }>('SELECT id FROM act WHERE undoes_id = ?'),
  // An act that was taken back, done again, taken back: the one at the end of the chain is turned over next.
  ofEngine: db.prepare<[string | null, number], ActRow>(
    `WITH RECURSIVE top AS (
       SELECT * FROM act WHERE engine_id IS ? AND undoes_id IS NULL ORDER BY seq DESC LIMIT ?
     ), chain (first, tip, turns) AS (
       SELECT id, id, 0 FROM top
       UNION ALL SELECT first, act.id, turns + 1 FROM chain JOIN act ON act.undoes_id = chain.tip
     )
     SELECT top.id, engine_id, words, who, at, tip, max(turns) AS turns
     FROM top JOIN chain ON first = top.id GROUP BY top.id ORDER BY top.seq DESC`,
  ),
  prune: db.prepare(
    `DELETE FROM act WHERE engine_id IS @engineId AND undoes_id IS NULL AND seq <= (
       SELECT seq FROM act WHERE engine_id IS @engineId AND undoes_id IS NULL ORDER BY seq DESC LIMIT 1 OFFSET ${KEPT_ACTS})`,
  ),
  engineOf: db.prepare<object, { engine_id: string | null }>(
    `SELECT coalesce((SELECT engine_id FROM joint WHERE id = @joint), (SELECT engine_id FROM fit WHERE id = @fit),
       (SELECT engine_id FROM note WHERE id = @note), (SELECT engine_id FROM leaf WHERE id = @leaf)) AS engine_id`,
  ),
});

const toAct = ({ id, engine_id: engineId, words, who, at, tip, turns }: ActRow): Act => ({
  ...{ id, engineId, words, who, at, tip },
  isUndone: turns % 2 === 1,
});

/** What was done, with what it changed, so that it can be taken back one by one. All of it inside a transaction. */
export const createActRepository = (db: Database) => {
  logActs(db);
  const takeChangeBack = createTakingBack(db);
  const { begin, end, add, drop, name, changes, byId, undoer, ofEngine, prune, engineOf } = prepared(db);

  /** The engine that a change is of; undefined where it is of the shop. */
  const engineIn = ({ tbl, before, after }: Change): string | undefined => {
    const row = JSON.parse(after ?? before ?? '{}') as LoggedRow;
    if (tbl === 'engine') return after === null ? undefined : String(row.id);
    if (typeof row.engine_id === 'string') return row.engine_id;
    const of = { joint: row.joint_id, fit: row.fit_id, note: row.note_id, leaf: row.leaf_id };
    const asked = Object.fromEntries(Object.entries(of).map(([key, id]) => [key, id ?? null]));
    return engineOf.get(asked)?.engine_id ?? undefined;
  };

  /** Writes down what some work changes, under words that it tells; nothing where it tells none or changes nothing. */
  const log = <T>(doer: Doer, undoes: string | null, work: () => Told<T>): Done<T> => {
    add.run({ ...doer, words: '', undoes });
    begin.run(doer.id);
    let outcome: Told<T>;
    try {
      outcome = work();
    } finally {
      end.run();
    }
    const { done, words } = outcome;
    const made = words === undefined ? [] : changes.all(doer.id);
    if (words === undefined || made.length === 0) {
      drop.run(doer.id);
      return { done };
    }
    const engineId = made.map(engineIn).find((id) => id !== undefined) ?? null;
    name.run({ id: doer.id, words, engineId });
    prune.run({ engineId });
    return { done, act: { token: doer.id, words } };
  };

  return {
    /** Does some work as an act. */
    during: <T>(doer: Doer, work: () => Told<T>): Done<T> => log(doer, null, work),
    /** The last acts of an engine, or of what belongs to the whole shop, the latest first. */
    last: (engineId: string | null, most = KEPT_ACTS): readonly Act[] => ofEngine.all(engineId, most).map(toAct),
    /** The rows that an act changed, before and after, the last first; none where it is not known. */
    changed: (id: string): readonly ChangedRow[] =>
      changes.all(id).map(({ tbl, before, after }) => ({ table: tbl, before: rowIn(before), after: rowIn(after) })),
    /**
     * Takes an act back; of one that took another back, that is doing it again.
     * @throws DomainError too-late, changed-since
     */
    takeBack: (id: string, doer: Doer): void => {
      const act = byId.get(id);
      if (!act || undoer.get(id)) throw new DomainError('too-late', 'That can no longer be taken back here.', 'token');
      log(doer, id, () => {
        for (const change of changes.all(id)) takeChangeBack(change, doer);
        return { done: undefined, words: act.words };
      });
    },
  };
};
