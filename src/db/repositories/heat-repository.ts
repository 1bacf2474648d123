import type { Database } from 'better-sqlite3';
import { cancelledOf } from '@/model/cancelled-lines';
import type { DistanceUnit, MeterUnit, Stood } from '@/core/heat';
import type {
  CoolingReading,
  HeatCycle,
  HeatLog,
  MeterReading,
  SeenAtRun,
  TemperaturePoint,
} from '@/model/heat/heat-log';

interface HeatRow {
  readonly id: string;
  readonly engine_id: string;
  readonly kind: 'cycle' | 'reading' | 'meter' | 'strike';
  readonly cycle_id: string | null;
  readonly ran_from: string | null;
  readonly ran_to: string | null;
  readonly highest_c: number | null;
  readonly ambient_c: number | null;
  readonly head_c: number | null;
  readonly strikes_id: string | null;
  readonly at: string;
  readonly who: string;
  readonly went: number | null;
  readonly unit: string | null;
  /** Empty where nothing was. */
  readonly seen: string;
  readonly series: string | null;
  readonly reads: number | null;
  readonly jump_from: number | null;
  readonly jump_to: number | null;
  readonly stood: string | null;
}

const toCycle = (row: HeatRow): HeatCycle => ({
  id: row.id,
  engineId: row.engine_id,
  ranFrom: row.ran_from as string,
  ranTo: row.ran_to as string,
  highest_C: row.highest_c as number,
  ambient_C: row.ambient_c as number,
  ...(row.went !== null && { went: { value: row.went, unit: row.unit as DistanceUnit } }),
  ...(row.seen && { seen: JSON.parse(row.seen) as readonly SeenAtRun[] }),
  ...(row.stood !== null && { stood: row.stood as Stood }),
  ...(row.series !== null && { series: JSON.parse(row.series) as readonly TemperaturePoint[] }),
  who: row.who || undefined,
});

const toMeter = (row: HeatRow): MeterReading => ({
  id: row.id,
  engineId: row.engine_id,
  at: row.at,
  reads: row.reads as number,
  unit: row.unit as MeterUnit,
  ...(row.jump_from !== null && row.jump_to !== null && { jump: { from: row.jump_from, to: row.jump_to } }),
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
  went: null,
  unit: null,
  seen: '',
  series: null,
  reads: null,
  jumpFrom: null,
  jumpTo: null,
  stood: null,
};

/** A line without what it leaves unsaid. */
const defined = (line: object) => Object.fromEntries(Object.entries(line).filter(([, value]) => value !== undefined));

const INSERT = `INSERT INTO heat_event
  (id, engine_id, kind, cycle_id, ran_from, ran_to, highest_c, ambient_c, head_c, strikes_id, at, recorded_at, who,
   went, unit, seen, series, reads, jump_from, jump_to, stood)
  VALUES (@id, @engineId, @kind, @cycleId, @ranFrom, @ranTo, @highest_C, @ambient_C, @head_C, @strikesId, @at,
   @recordedAt, coalesce(@who, who()), @went, @unit, @seen, @series, @reads, @jumpFrom, @jumpTo, @stood)
  ON CONFLICT (id) DO NOTHING`;

/** What of a run is kept otherwise than it is said. */
const cycleColumns = ({ went, seen = [], series }: HeatCycle) => ({
  went: went?.value ?? null,
  unit: went?.unit ?? null,
  seen: seen.length === 0 ? '' : JSON.stringify(seen),
  series: series ? JSON.stringify(series) : null,
});

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
        meters: valid.filter((row) => row.kind === 'meter').map(toMeter),
      };
    },
    addCycle: (cycle: HeatCycle, recordedAt: string): boolean =>
      record({ ...cycle, ...cycleColumns(cycle), kind: 'cycle', at: cycle.ranTo, recordedAt }),
    addReading: (reading: CoolingReading, recordedAt: string): boolean =>
      record({ ...reading, kind: 'reading', recordedAt }),
    addMeter: ({ jump, ...meter }: MeterReading, recordedAt: string): boolean =>
      record({ ...meter, kind: 'meter', ...(jump && { jumpFrom: jump.from, jumpTo: jump.to }), recordedAt }),
    strike: (line: { id: string; engineId: string; strikesId: string; at: string }, recordedAt: string): boolean =>
      record({ ...line, kind: 'strike', recordedAt }),
  };
};
