import type { Shop } from '@/db/shop';

/** How much a shop of many years holds. */
export interface BigYard {
  readonly engines: number;
  readonly jointsPerEngine: number;
  readonly pullsPerJoint: number;
  readonly readingsPerEngine: number;
  readonly cyclesPerEngine: number;
  readonly leavesPerEngine: number;
  readonly stepsPerEngine: number;
  readonly partsPerEngine: number;
}

/** A shop of twenty years: 500 engines, 10,000 joints, 1,000,000 pulls, 100,000 readings, 10,000 runs, 5,000 leaves, 75,000 steps, 100,000 kinds of part. */
export const TWENTY_YEARS: BigYard = {
  engines: 500,
  jointsPerEngine: 20,
  pullsPerJoint: 100,
  readingsPerEngine: 200,
  cyclesPerEngine: 20,
  leavesPerEngine: 10,
  stepsPerEngine: 150,
  partsPerEngine: 200,
};

type Row = Record<string, unknown>;

const ENGINE = 'demo-fourteen';
const HEAD = 'demo-f-joint-head';
const HEAD_LEAF = 'demo-f-head-38';
const MS_PER_DAY = 86_400_000;

/** Writes rows as they are, column by column: the file's own triggers and keys hold them to account. */
function writer(shop: Shop) {
  const prepared = new Map<string, ReturnType<Shop['db']['prepare']>>();
  return (table: string, row: Row): void => {
    const columns = Object.keys(row);
    const sql = `INSERT INTO ${table} (${columns.join(', ')}) VALUES (${columns.map((one) => `@${one}`).join(', ')})`;
    const known = prepared.get(sql) ?? shop.db.prepare(sql);
    prepared.set(sql, known);
    known.run(row);
  };
}

const without = ({ rowid: _, seq: __, ...row }: Row): Row => row;

/** The rows of the yard that a big one is made of. */
function patternsOf(shop: Shop) {
  const all = (sql: string, ...args: string[]) => (shop.db.prepare(sql).all(...args) as Row[]).map(without);
  const one = (sql: string, ...args: string[]): Row => {
    const [row] = all(sql, ...args);
    if (!row) throw new Error(`the yard has no row for: ${sql}`);
    return row;
  };
  const round = one('SELECT * FROM tightening WHERE joint_id = ?', HEAD);
  return {
    engine: one('SELECT * FROM engine WHERE id = ?', ENGINE),
    source: one('SELECT source.* FROM source JOIN leaf ON leaf.source_id = source.id WHERE leaf.id = ?', HEAD_LEAF),
    leaf: one('SELECT * FROM leaf WHERE id = ?', HEAD_LEAF),
    joint: one('SELECT * FROM joint WHERE id = ?', HEAD),
    round,
    events: all(
      'SELECT * FROM bench_event WHERE tightening_id = ? AND strikes_id IS NULL ORDER BY seq',
      round.id as string,
    ),
    fits: all('SELECT * FROM fit WHERE engine_id = ? ORDER BY created_at, id', ENGINE),
    readings: all(
      "SELECT fit_line.* FROM fit JOIN fit_line ON fit_id = fit.id WHERE engine_id = ? AND fit_line.kind = 'reading' ORDER BY seq",
      ENGINE,
    ),
    step: one('SELECT * FROM step WHERE engine_id = ? AND joint_id IS NULL AND fit_id IS NULL', ENGINE),
    part: one('SELECT * FROM part WHERE engine_id = ?', ENGINE),
    done: one("SELECT * FROM build_line WHERE engine_id = ? AND kind = 'done'", ENGINE),
    cycle: one("SELECT * FROM heat_event WHERE engine_id = ? AND kind = 'cycle'", ENGINE),
  };
}

type Patterns = ReturnType<typeof patternsOf>;
type Write = ReturnType<typeof writer>;

/** Whole rounds of the joint's plan, and a last one as far as it goes, until so many pulls are made. */
function writeRounds(write: Write, { round, events }: Patterns, jointId: string, pulls: number): void {
  const steps = events.length;
  for (let made = 0, n = 0; made < pulls; n++) {
    const id = `${jointId}-r${n}`;
    write('tightening', { ...round, id, joint_id: jointId });
    const rest = Math.min(steps, pulls - made);
    for (const [i, event] of events.slice(0, rest).entries())
      write('bench_event', { ...event, id: `${id}-${i}`, tightening_id: id });
    made += rest;
  }
}

function writeEngine(write: Write, patterns: Patterns, size: BigYard, n: number, now: number): void {
  const id = `big-${n}`;
  const made = new Date(now - (size.engines - n) * 10 * MS_PER_DAY).toISOString();
  write('engine', { ...patterns.engine, id, name: `Engine ${n}, a name as long as one gets`, created_at: made });
  write('source', { ...patterns.source, id: `${id}-s`, supersedes_id: null, created_at: made });
  write('engine_source', { engine_id: id, source_id: `${id}-s` });
  for (let l = 0; l < size.leavesPerEngine; l++)
    write('leaf', {
      ...patterns.leaf,
      id: `${id}-l${l}`,
      engine_id: id,
      source_id: `${id}-s`,
      subject: `Joint ${l}`,
      replaces_id: null,
    });
  for (let j = 0; j < size.jointsPerEngine; j++) {
    const jointId = `${id}-j${j}`;
    const leaf_id = `${id}-l${j % size.leavesPerEngine}`;
    write('joint', { ...patterns.joint, id: jointId, engine_id: id, leaf_id, name: `Joint ${j}` });
    writeRounds(write, patterns, jointId, size.pullsPerJoint);
  }
  for (const fit of patterns.fits)
    write('fit', { ...fit, id: `${id}-${String(fit.id)}`, engine_id: id, joint_id: null, leaf_id: null });
  for (let r = 0; r < size.readingsPerEngine; r++) {
    const reading = patterns.readings[r % patterns.readings.length] as Row;
    write('fit_line', { ...reading, id: `${id}-x${r}`, fit_id: `${id}-${String(reading.fit_id)}` });
  }
  for (let c = 0; c < size.cyclesPerEngine; c++)
    write('heat_event', { ...patterns.cycle, id: `${id}-c${c}`, engine_id: id });
  writeOrder(write, patterns, size, id);
}

/** An order of so many steps, two thirds of it done, and its tray. */
function writeOrder(write: Write, { step, part, done }: Patterns, size: BigYard, id: string): void {
  for (let s = 0; s < size.stepsPerEngine; s++) {
    const after = s === 0 ? [] : [`${id}-s${s - 1}`];
    const name = `Step ${s} of the build, with a name as long as they get`;
    write('step', { ...step, id: `${id}-s${s}`, engine_id: id, place: s, name, after: JSON.stringify(after) });
  }
  for (let p = 0; p < size.partsPerEngine; p++)
    write('part', {
      ...part,
      id: `${id}-p${p}`,
      engine_id: id,
      step_id: `${id}-s${p % size.stepsPerEngine}`,
      name: `Part ${p}`,
    });
  for (let s = 0; s < (2 * size.stepsPerEngine) / 3; s++)
    write('build_line', { ...done, id: `${id}-d${s}`, engine_id: id, step_id: `${id}-s${s}` });
}

/** Fills a shop that holds the demonstration yard with as many engines more, one transaction an engine. */
export function loadBigYard(
  shop: Shop,
  size: BigYard,
  now: number,
  told: (done: number) => void = () => undefined,
): void {
  const patterns = patternsOf(shop);
  const write = writer(shop);
  for (let n = 0; n < size.engines; n++) {
    shop.transaction(() => writeEngine(write, patterns, size, n, now));
    told(n + 1);
  }
}
