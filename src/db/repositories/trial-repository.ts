import type { Database } from 'better-sqlite3';
import { cancelledOf } from '@/model/cancelled-lines';
import type { FilmTrialRow, TrialPullRow } from '@/model/trial/film-trial';
import { asideReason, initials, json, table, type Row } from '../table';

const TRIAL = table<FilmTrialRow>('film_trial', {
  id: 'id',
  name: 'name',
  thread: 'thread',
  outer_mm: 'outer_mm',
  inner_mm: 'inner_mm',
  segments: json('segments'),
  E_GPa: 'e_gpa',
  aside: asideReason,
  createdAt: 'created_at',
});

const PULL = table<TrialPullRow & { readonly strikesId: string | null }>('trial_pull', {
  id: 'id',
  trialId: 'trial_id',
  bolt: 'bolt',
  film: 'film',
  torque_Nm: 'torque_nm',
  stretch_mm: 'stretch_mm',
  typed: 'typed',
  strikesId: 'strikes_id',
  at: 'at',
  who: initials,
});

export const createTrialRepository = (db: Database) => {
  const all = db.prepare<[], Row>(`SELECT ${TRIAL.columns} FROM film_trial ORDER BY created_at DESC, id`);
  const byId = db.prepare<[string], Row>(`SELECT ${TRIAL.columns} FROM film_trial WHERE id = ?`);
  const count = db.prepare<[], { trials: number }>('SELECT count(*) AS trials FROM film_trial');
  const insert = db.prepare(TRIAL.insert);
  const rename = db.prepare<[string, string]>('UPDATE film_trial SET name = ? WHERE id = ?');
  const pullsOf = db.prepare<[string], Row>(`SELECT ${PULL.columns} FROM trial_pull WHERE trial_id = ? ORDER BY seq`);
  const insertPull = db.prepare(`${PULL.insert} ON CONFLICT (id) DO NOTHING`);
  return {
    all: (): readonly FilmTrialRow[] => all.all().map(TRIAL.fromRow),
    count: (): number => count.get()?.trials ?? 0,
    find: (id: string): FilmTrialRow | undefined => {
      const row = byId.get(id);
      return row && TRIAL.fromRow(row);
    },
    /** False where it is gone. */
    rename: (id: string, name: string): boolean => rename.run(name, id).changes === 1,
    add: (trial: FilmTrialRow): void => void insert.run(TRIAL.toRow(trial)),
    /** The pulls that stand, in the order in which they were made; a struck one and its striking line are left out. */
    pulls: (trialId: string): readonly TrialPullRow[] => {
      const rows = pullsOf.all(trialId).map(PULL.fromRow);
      const struck = cancelledOf(rows.map(({ id, strikesId: strikes }) => ({ id, strikes })));
      return rows
        .filter((row) => row.strikesId === null && !struck.has(row.id))
        .map(({ strikesId: _, ...pull }) => pull);
    },
    /** Adds a pull; the same pull sent twice is one, and false says so. */
    pull: (pull: TrialPullRow): boolean => insertPull.run(PULL.toRow({ ...pull, strikesId: null })).changes === 1,
    /** Strikes a pull with a line of its own. */
    strike: (id: string, struck: TrialPullRow, at: string): boolean =>
      insertPull.run(PULL.toRow({ ...struck, id, strikesId: struck.id, at })).changes === 1,
  };
};
