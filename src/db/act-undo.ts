import type { Database } from 'better-sqlite3';
import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import type { Doer } from '@/model/act';
import { holdingOf } from '@/model/engine/engine-measure';
import { columnsOf, isLineTable, rowAsJson, type LineTable, type LoggedRow, type LoggedTable } from './act-log';
import { MEASURE } from './repositories/measure-repository';
import type { Row } from './table';

/** A row that an act changed, as it stands in the log. */
export interface Change {
  readonly tbl: LoggedTable;
  readonly before: string | null;
  readonly after: string | null;
}

const changedSince = (words: string) =>
  new DomainError(
    'changed-since',
    `It cannot be taken back any more: ${words}. Take back the later act first, or correct it by hand.`,
    'token',
  );

const isPlainObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const objectIn = (value: unknown): Readonly<Record<string, unknown>> | undefined => {
  if (typeof value !== 'string' || !value.startsWith('{')) return undefined;
  try {
    const held: unknown = JSON.parse(value);
    return isPlainObject(held) ? held : undefined;
  } catch {
    return undefined;
  }
};

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * A value that was changed from `before` to `after`, taken back from what it is `now`: of an object kept as JSON only
 * the parts that the act changed. Undefined where one of them was changed again.
 */
function backFrom(now: unknown, before: unknown, after: unknown): { readonly value: unknown } | undefined {
  if (same(now, after)) return { value: before };
  const [held, was, became] = [objectIn(now), objectIn(before), objectIn(after)];
  if (!held || !was || !became) return undefined;
  const parts = new Map(Object.entries(held));
  for (const key of new Set([...Object.keys(was), ...Object.keys(became)])) {
    if (same(was[key], became[key])) continue;
    if (!same(held[key], became[key])) return undefined;
    if (key in was) parts.set(key, was[key]);
    else parts.delete(key);
  }
  return { value: JSON.stringify(Object.fromEntries(parts)) };
}

/** Answers a line with the line that cancels it, or, of a sheet, with the one that held before it. */
function lineAnswers(db: Database): Readonly<Record<LineTable, (row: LoggedRow, doer: Doer) => void>> {
  const heat = db.prepare(
    `INSERT INTO heat_event (id, engine_id, kind, strikes_id, at, recorded_at, who)
     VALUES (@id, @engineId, 'strike', @strikes, @at, @at, @who)`,
  );
  const pull = db.prepare(
    `INSERT INTO trial_pull (id, trial_id, bolt, film, torque_nm, stretch_mm, typed, strikes_id, at, who)
     SELECT @id, trial_id, bolt, film, torque_nm, stretch_mm, typed, id, @at, @who FROM trial_pull WHERE id = @strikes`,
  );
  const handPull = db.prepare(
    `INSERT INTO hand_pull (id, hand, thread, meant_nm, read_nm, typed, strikes_id, at, who)
     SELECT @id, hand, thread, meant_nm, read_nm, typed, id, @at, @who FROM hand_pull WHERE id = @strikes`,
  );
  const length = db.prepare(
    `INSERT INTO bolt_reading (id, set_id, bolt, kind, length_mm, typed, torque_nm, strikes_id, at, who)
     SELECT @id, set_id, bolt, kind, length_mm, typed, torque_nm, id, @at, @who FROM bolt_reading WHERE id = @strikes`,
  );
  const fitLine = db.prepare(
    `INSERT INTO fit_line (id, fit_id, kind, place, strikes_id, at, recorded_at, who)
     SELECT @id, fit_id, 'strike', place, id, @at, @at, @who FROM fit_line WHERE id = @strikes`,
  );
  const buildLine = db.prepare(
    `INSERT INTO build_line (id, engine_id, kind, step_id, part_id, strikes_id, at, recorded_at, who)
     SELECT @id, engine_id, 'strike', step_id, part_id, id, @at, @at, @who FROM build_line WHERE id = @strikes`,
  );
  const sheetsOf = db.prepare<[unknown], Row>(
    `SELECT ${MEASURE.columns} FROM engine_sheet WHERE engine_id = ? ORDER BY seq`,
  );
  const sheet = db.prepare(MEASURE.insert);
  return {
    heat_event: (row, { who, at }) =>
      void heat.run({ id: nanoid(), engineId: row.engine_id, strikes: row.id, who, at }),
    trial_pull: (row, { who, at }) => void pull.run({ id: nanoid(), strikes: row.id, who, at }),
    hand_pull: (row, { who, at }) => void handPull.run({ id: nanoid(), strikes: row.id, who, at }),
    bolt_reading: (row, { who, at }) => void length.run({ id: nanoid(), strikes: row.id, who, at }),
    fit_line: (row, { who, at }) => void fitLine.run({ id: nanoid(), strikes: row.id, who, at }),
    build_line: (row, { who, at }) => void buildLine.run({ id: nanoid(), strikes: row.id, who, at }),
    engine_sheet: (row, { who, at }) => {
      const sheets = sheetsOf.all(row.engine_id).map(MEASURE.fromRow);
      const place = sheets.findIndex(({ id }) => id === row.id);
      const own = sheets[place];
      if (!own || holdingOf(sheets, own) !== own) throw changedSince('the sheet was saved again since');
      const held = holdingOf(sheets.slice(0, place), own);
      if (!held) throw changedSince('there was no sheet before it');
      sheet.run(MEASURE.toRow({ ...held, id: nanoid(), who, at }));
    },
  };
}

/** Brings a row back to what it was before a change. @throws DomainError changed-since */
function rowAnswer(db: Database) {
  return ({ tbl, before, after }: Change): void => {
    const columns = columnsOf(db, tbl);
    const [was, became] = [before, after].map((text) => (text === null ? undefined : (JSON.parse(text) as LoggedRow)));
    const keys = columns.filter(({ isKey }) => isKey).map(({ name }) => name);
    const where = keys.map((name) => `${name} IS @${name}`).join(' AND ');
    const named = was ?? became ?? {};
    const of = Object.fromEntries(keys.map((name) => [name, named[name]]));
    const held = db
      .prepare<object, { row: string }>(`SELECT ${rowAsJson(columns, tbl)} AS row FROM ${tbl} WHERE ${where}`)
      .get(of);
    const now = held && (JSON.parse(held.row) as LoggedRow);
    const values = columns.map(({ name, isBlob }) => (isBlob ? `unhex(@${name})` : `@${name}`));
    if (!became) {
      if (now) throw changedSince('another stands in its place');
      const into = columns.map(({ name }) => name).join(', ');
      db.prepare(`INSERT INTO ${tbl} (${into}) VALUES (${values.join(', ')})`).run(was);
      return;
    }
    if (!now) throw changedSince('it is no longer here');
    const others = columns.map(({ name }) => name).filter((name) => name !== 'version');
    if (!was) {
      if (others.some((name) => !same(now[name], became[name]))) throw changedSince('it was changed since');
      db.prepare(`DELETE FROM ${tbl} WHERE ${where}`).run(of);
      return;
    }
    const set = new Map<string, unknown>();
    for (const name of others.filter((one) => !same(was[one], became[one]))) {
      const back = backFrom(now[name], was[name], became[name]);
      if (!back) throw changedSince('it was changed again since');
      set.set(name, back.value);
    }
    const raised = others.length < columns.length ? ['version = version + 1'] : [];
    const sets = [...[...set.keys()].map((name) => `${name} = @set_${name}`), ...raised];
    const sent = Object.fromEntries([...set].map(([name, value]) => [`set_${name}`, value]));
    if (set.size > 0) db.prepare(`UPDATE ${tbl} SET ${sets.join(', ')} WHERE ${where}`).run({ ...of, ...sent });
  };
}

const isConstraint = (error: unknown): boolean =>
  typeof error === 'object' && error !== null && 'code' in error && String(error.code).startsWith('SQLITE_CONSTRAINT');

/**
 * Takes single changes back: a row becomes what it was, a line is answered by a line. What else was changed of a row
 * since stays.
 * @throws DomainError changed-since
 */
export function createTakingBack(db: Database): (change: Change, doer: Doer) => void {
  const [answerLine, answerRow] = [lineAnswers(db), rowAnswer(db)];
  return (change, doer) => {
    try {
      if (isLineTable(change.tbl)) answerLine[change.tbl](JSON.parse(change.after ?? '{}') as LoggedRow, doer);
      else answerRow(change);
    } catch (error) {
      throw isConstraint(error) ? changedSince('something was written since that hangs on it') : error;
    }
  };
}
