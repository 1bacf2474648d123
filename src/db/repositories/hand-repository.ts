import type { Database } from 'better-sqlite3';
import { cancelledOf } from '@/model/cancelled-lines';
import type { HandPullRow } from '@/model/trial/hand-pull';
import { initials, table, type Row } from '../table';

const PULL = table<HandPullRow & { readonly strikesId: string | null }>('hand_pull', {
  id: 'id',
  hand: 'hand',
  thread: 'thread',
  meant_Nm: 'meant_nm',
  read_Nm: 'read_nm',
  typed: 'typed',
  strikesId: 'strikes_id',
  at: 'at',
  who: initials,
});

/** Pulls by feel of everybody in the shop. */
export const createHandRepository = (db: Database) => {
  const all = db.prepare<[], Row>(`SELECT ${PULL.columns} FROM hand_pull ORDER BY seq`);
  const insert = db.prepare(`${PULL.insert} ON CONFLICT (id) DO NOTHING`);
  return {
    /** The pulls that stand, in the order in which they were made. */
    pulls: (): readonly HandPullRow[] => {
      const rows = all.all().map(PULL.fromRow);
      const struck = cancelledOf(rows.map(({ id, strikesId: strikes }) => ({ id, strikes })));
      return rows
        .filter((row) => row.strikesId === null && !struck.has(row.id))
        .map(({ strikesId: _, ...pull }) => pull);
    },
    /** Adds a pull; the same pull sent twice is one, and false says so. */
    pull: (pull: HandPullRow): boolean => insert.run(PULL.toRow({ ...pull, strikesId: null })).changes === 1,
    /** Strikes a pull with a line of its own. */
    strike: (id: string, struck: HandPullRow, at: string): boolean =>
      insert.run(PULL.toRow({ ...struck, id, strikesId: struck.id, at })).changes === 1,
  };
};
