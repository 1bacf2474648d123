import type { Database } from 'better-sqlite3';
import type { StretchSegment } from '@/core/fastener';
import type { FilmTrialRow, TrialPullRow } from '@/model/trial/film-trial';

interface TrialRow {
  readonly id: string;
  readonly name: string;
  readonly thread: string;
  readonly outer_mm: number;
  readonly inner_mm: number;
  readonly segments: string;
  readonly e_gpa: number;
  readonly created_at: string;
}

interface PullRow {
  readonly id: string;
  readonly trial_id: string;
  readonly bolt: string;
  readonly film: string;
  readonly torque_nm: number;
  readonly stretch_mm: number;
  readonly typed: string;
  readonly strikes_id: string | null;
  readonly at: string;
}

const toTrial = (row: TrialRow): FilmTrialRow => ({
  id: row.id,
  name: row.name,
  thread: row.thread,
  outer_mm: row.outer_mm,
  inner_mm: row.inner_mm,
  segments: JSON.parse(row.segments) as StretchSegment[],
  E_GPa: row.e_gpa,
  createdAt: row.created_at,
});

const toPull = (row: PullRow): TrialPullRow => ({
  id: row.id,
  trialId: row.trial_id,
  bolt: row.bolt,
  film: row.film,
  torque_Nm: row.torque_nm,
  stretch_mm: row.stretch_mm,
  typed: row.typed,
  at: row.at,
});

export const createTrialRepository = (db: Database) => {
  const all = db.prepare<[], TrialRow>('SELECT * FROM film_trial ORDER BY created_at DESC, id');
  const byId = db.prepare<[string], TrialRow>('SELECT * FROM film_trial WHERE id = ?');
  const insert = db.prepare(
    `INSERT INTO film_trial (id, name, thread, outer_mm, inner_mm, segments, e_gpa, created_at)
     VALUES (@id, @name, @thread, @outer_mm, @inner_mm, @segments, @E_GPa, @createdAt)`,
  );
  const pullsOf = db.prepare<[string], PullRow>('SELECT * FROM trial_pull WHERE trial_id = ? ORDER BY seq');
  const insertPull = db.prepare(
    `INSERT OR IGNORE INTO trial_pull (id, trial_id, bolt, film, torque_nm, stretch_mm, typed, strikes_id, at)
     VALUES (@id, @trialId, @bolt, @film, @torque_Nm, @stretch_mm, @typed, @strikesId, @at)`,
  );
  return {
    all: (): readonly FilmTrialRow[] => all.all().map(toTrial),
    find: (id: string): FilmTrialRow | undefined => {
      const row = byId.get(id);
      return row && toTrial(row);
    },
    add: (trial: FilmTrialRow): void => void insert.run({ ...trial, segments: JSON.stringify(trial.segments) }),
    /** The pulls that stand, in the order in which they were made; a struck one and its striking line are left out. */
    pulls: (trialId: string): readonly TrialPullRow[] => {
      const rows = pullsOf.all(trialId);
      const struck = new Set(rows.flatMap((row) => (row.strikes_id ? [row.strikes_id] : [])));
      return rows.filter((row) => row.strikes_id === null && !struck.has(row.id)).map(toPull);
    },
    pull: (pull: TrialPullRow): void => void insertPull.run({ ...pull, strikesId: null }),
    /** Strikes a pull with a line of its own. */
    strike: (id: string, struck: TrialPullRow, at: string): void =>
      void insertPull.run({ ...struck, id, strikesId: struck.id, at }),
  };
};
