import type { Database } from 'better-sqlite3';
import { cancelledOf } from '@/model/cancelled-lines';
import type { CoolingReading, HeatCycle, HeatLog } from '@/model/heat/heat-log';

interface HeatRow {
  readonly id: string;
  readonly engine_id: string;
  readonly kind: 'cycle' | 'reading' | 'strike';
  readonly cycle_id: string | null;
  readonly ran_from: string | null;
  readonly ran_to: string | null;
  readonly highest_c: number | null;
  readonly ambient_c: number | null;
  readonly head_c: number | null;
  readonly strikes_id: string | null;
  readonly at: string;
  readonly who: string;
}

const toCycle = (row: HeatRow): HeatCycle => ({
  id: row.id,
  engineId: row.engine_id,
  ranFrom: row.ran_from as string,
  ranTo: row.ran_to as string,
  highest_C: row.highest_c as number,
  ambient_C: row.ambient_c as number,
  who: row.who || undefined,
});

const toReading = (row: HeatRow): CoolingReading => ({
  id: row.id,
  engineId: row.engine_id,
  cycleId: row.cycle_id as string,
  at: row.at,
  head_C: row.head_c as number,
  ambient_C: row.ambient_c as number,
  who: row.who || undefined,
});

const EMPTY = {
  cycleId: null,
  ranFrom: null,
  ranTo: null,
  highest_C: null,
  ambient_C: null,
  head_C: null,
  strikesId: null,
  who: null,
};

/** A line without what it leaves unsaid. */
const defined = (line: object) => Object.fromEntries(Object.entries(line).filter(([, value]) => value !== undefined));

const INSERT = `INSERT INTO heat_event
  (id, engine_id, kind, cycle_id, ran_from, ran_to, highest_c, ambient_c, head_c, strikes_id, at, recorded_at, who)
  VALUES (@id, @engineId, @kind, @cycleId, @ranFrom, @ranTo, @highest_C, @ambient_C, @head_C, @strikesId, @at, @recordedAt, coalesce(@who, who()))
  ON CONFLICT (id) DO NOTHING`;

export const createHeatRepository = (db: Database) => {
  const ofEngine = db.prepare<[string], HeatRow>('SELECT * FROM heat_event WHERE engine_id = ? ORDER BY seq');
  const insert = db.prepare(INSERT);
  /** Adds a line; the same line sent twice is one, and false says so. */
  const record = (line: object): boolean => insert.run({ ...EMPTY, ...defined(line) }).changes === 1;
  return {
    /** What stands: cycles and readings that no later line struck. */
    log: (engineId: string): HeatLog => {
      const rows = ofEngine.all(engineId);
      const struck = cancelledOf(rows.map(({ id, strikes_id: strikes }) => ({ id, strikes })));
      const valid = rows.filter((row) => !struck.has(row.id));
      return {
        cycles: valid.filter((row) => row.kind === 'cycle').map(toCycle),
        readings: valid.filter((row) => row.kind === 'reading' && !struck.has(row.cycle_id ?? '')).map(toReading),
      };
    },
    addCycle: (cycle: HeatCycle, recordedAt: string): boolean =>
      record({ ...cycle, kind: 'cycle', at: cycle.ranTo, recordedAt }),
    addReading: (reading: CoolingReading, recordedAt: string): boolean =>
      record({ ...reading, kind: 'reading', recordedAt }),
    strike: (line: { id: string; engineId: string; strikesId: string; at: string }, recordedAt: string): boolean =>
      record({ ...line, kind: 'strike', recordedAt }),
  };
};
