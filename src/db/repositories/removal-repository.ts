import type { Database } from 'better-sqlite3';
import type { AsideKind } from '@/model/set-aside';
import { notAside } from './aside-repository';
import type { RemovableKind } from '@/model/removable';

/** Things that hang on another, in words: `pull|pulls` by their number, `the joint` by its name. */
type Hang = readonly [sql: string, said: string];

interface Removal {
  readonly table: string;
  /** Each answers with rows of one text, for the id `@id`. */
  readonly hangs: readonly Hang[];
  /** Rows that are no history and go along, in this order; each with the column that holds the id. */
  readonly along: readonly (readonly [table: string, column: string])[];
}

const counted = (table: string, where: string, said: string): Hang => [
  `SELECT count(*) AS text FROM ${table} WHERE ${where} HAVING count(*) > 0`,
  said,
];

/** What draws on an entry or a joint, and would draw on nothing were it set aside. */
const USES: Readonly<Record<AsideKind, readonly Hang[]>> = {
  leaf: [
    [`SELECT name AS text FROM joint WHERE leaf_id = @id AND ${notAside('joint')}`, 'the joint'],
    [`SELECT name AS text FROM fit WHERE leaf_id = @id AND ${notAside('fit')}`, 'the fit'],
    [`SELECT name AS text FROM step WHERE leaf_id = @id AND ${notAside('step')}`, 'the step'],
    [
      `SELECT name AS text FROM joint WHERE leaf_id <> @id AND instr(detail, '"' || @id || '"') > 0 AND ${notAside('joint')}`,
      'the joint',
    ],
  ],
  joint: [
    [`SELECT name AS text FROM fit WHERE joint_id = @id AND ${notAside('fit')}`, 'the fit'],
    [
      `SELECT fit.name AS text FROM fit_hold JOIN fit ON fit.id = fit_id
       WHERE fit_hold.joint_id = @id AND ${notAside('fit')}`,
      'the fit',
    ],
    [`SELECT name AS text FROM step WHERE joint_id = @id AND ${notAside('step')}`, 'the step'],
  ],
  fit: [[`SELECT name AS text FROM step WHERE fit_id = @id AND ${notAside('step')}`, 'the step']],
  // What rests on a step is let rest on what the step rested on.
  step: [],
};

const REMOVALS: Readonly<Record<RemovableKind, Removal>> = {
  engine: {
    table: 'engine',
    hangs: [
      counted('engine_source', 'engine_id = @id', 'source in its book|sources in its book'),
      counted('leaf', 'engine_id = @id', 'entry in its book|entries in its book'),
      counted('joint', 'engine_id = @id', 'joint|joints'),
      counted('fit', 'engine_id = @id', 'fit|fits'),
      counted('heat_event', 'engine_id = @id', 'line of its heat|lines of its heat'),
      counted('note', 'engine_id = @id', 'note|notes'),
      counted('engine_sheet', 'engine_id = @id', 'sheet of the whole engine|sheets of the whole engine'),
      counted('step', 'engine_id = @id', 'step of its order|steps of its order'),
      counted('part', 'engine_id = @id', 'part on its tray|parts on its tray'),
      counted('build_line', 'engine_id = @id', 'line of its order|lines of its order'),
      counted('wrench', 'came_with = @id', 'wrench that came with it|wrenches that came with it'),
    ],
    along: [
      ['engine_summary', 'engine_id'],
      ['engine_aside', 'engine_id'],
      ['engine_stamp', 'engine_id'],
    ],
  },
  source: {
    table: 'source',
    hangs: [
      counted('leaf', 'source_id = @id', 'entry|entries'),
      counted('source', 'supersedes_id = @id', 'source that puts it out of force|sources that put it out of force'),
      [
        'SELECT count(*) AS text FROM engine_source WHERE source_id = @id HAVING count(*) > 1',
        'engine with it in its book|engines with it in their book',
      ],
    ],
    along: [['engine_source', 'source_id']],
  },
  leaf: {
    table: 'leaf',
    hangs: [
      ['SELECT name AS text FROM joint WHERE leaf_id = @id', 'the joint'],
      ['SELECT name AS text FROM fit WHERE leaf_id = @id', 'the fit'],
      ["SELECT name AS text FROM joint WHERE leaf_id <> @id AND instr(detail, '\"' || @id || '\"') > 0", 'the joint'],
      counted('leaf', 'replaces_id = @id', 'correction over it|corrections over it'),
      counted('leaf', 'id = @id AND replaces_id IS NOT NULL', 'entry that it corrects|entries that it corrects'),
      ['SELECT name AS text FROM step WHERE leaf_id = @id', 'the step'],
      counted('photo', 'leaf_id = @id', 'photograph|photographs'),
    ],
    along: [],
  },
  joint: {
    table: 'joint',
    hangs: [
      [
        `SELECT count(*) AS text FROM tightening WHERE joint_id = @id
         AND EXISTS (SELECT 1 FROM bench_event WHERE tightening_id = tightening.id) HAVING count(*) > 0`,
        'round with pulls|rounds with pulls',
      ],
      counted('note', 'joint_id = @id', 'note|notes'),
      counted('bolt_set', 'joint_id = @id', 'set of bolts|sets of bolts'),
      ['SELECT name AS text FROM step WHERE joint_id = @id', 'the step'],
      ['SELECT name AS text FROM fit WHERE joint_id = @id', 'the fit'],
      ['SELECT fit.name AS text FROM fit_hold JOIN fit ON fit.id = fit_id WHERE fit_hold.joint_id = @id', 'the fit'],
    ],
    along: [['tightening', 'joint_id']],
  },
  fit: {
    table: 'fit',
    hangs: [
      counted('fit_line', 'fit_id = @id', 'line|lines'),
      counted('note', 'fit_id = @id', 'note|notes'),
      ['SELECT name AS text FROM step WHERE fit_id = @id', 'the step'],
    ],
    along: [['fit_hold', 'fit_id']],
  },
  wrench: {
    table: 'wrench',
    hangs: [
      [
        `SELECT engine.name || ', ' || joint.name AS text FROM joint JOIN engine ON engine.id = engine_id
         WHERE wrench_id = @id OR instr(detail, '"' || @id || '"') > 0`,
        'the joint',
      ],
    ],
    along: [],
  },
  'bolt-set': { table: 'bolt_set', hangs: [counted('bolt_reading', 'set_id = @id', 'length|lengths')], along: [] },
  trial: { table: 'film_trial', hangs: [counted('trial_pull', 'trial_id = @id', 'pull|pulls')], along: [] },
  step: {
    table: 'step',
    hangs: [
      counted('build_line', 'step_id = @id', 'line of what was done|lines of what was done'),
      ['SELECT name AS text FROM part WHERE step_id = @id', 'the part'],
      counted('note', 'step_id = @id', 'note|notes'),
    ],
    along: [],
  },
  part: {
    table: 'part',
    hangs: [
      counted('build_line', 'part_id = @id', 'line of it|lines of it'),
      counted('note', 'part_id = @id', 'note|notes'),
    ],
    along: [],
  },
  note: { table: 'note', hangs: [], along: [['note_photo', 'note_id']] },
};

const MOST_NAMED = 5;

export const createRemovalRepository = (db: Database) => {
  const inWords = (hangs: readonly Hang[], id: string): readonly string[] => {
    const said = hangs.flatMap(([sql, words]) =>
      db
        .prepare<{ id: string }, { text: string | number }>(`${sql} LIMIT ${MOST_NAMED}`)
        .all({ id })
        .map(({ text }) =>
          typeof text === 'number' ? `${text} ${words.split('|')[text === 1 ? 0 : 1]}` : `${words} “${text}”`,
        ),
    );
    return [...new Set(said)];
  };
  return {
    /** What hangs on a thing, in words; empty where it can be taken away. */
    hangingOn: (kind: RemovableKind, id: string): readonly string[] => inWords(REMOVALS[kind].hangs, id),
    /** What draws on a thing, in words; empty where it can be set aside. */
    drawingOn: (kind: AsideKind, id: string): readonly string[] => inWords(USES[kind], id),
    /** Takes a thing away with the rows that are no history of it; false where it is not here. */
    take: (kind: RemovableKind, id: string): boolean => {
      const { table, along } = REMOVALS[kind];
      if (!db.prepare(`SELECT 1 FROM ${table} WHERE id = ?`).get(id)) return false;
      for (const [other, column] of along) db.prepare(`DELETE FROM ${other} WHERE ${column} = ?`).run(id);
      // A stamp is made by what was deleted last.
      if (kind === 'engine') db.prepare('DELETE FROM engine_stamp WHERE engine_id = ?').run(id);
      db.prepare(`DELETE FROM ${table} WHERE id = ?`).run(id);
      return true;
    },
  };
};
