'use server';

import Joi from 'joi';
import { headDoubts, recordedRun, thinned, type Recorded, type RecordedRun, type Stood } from '@/core/heat';
import { DomainError } from '@/core/units';
import { oneOf } from '@/model/one-of';
import { CYCLE_EXTRAS, MOST_POINTS } from '@/model/heat/heat-schemas';
import {
  TEMPERATURE_USES,
  readTemperatures,
  type TemperatureTable,
  type TemperatureUse,
} from '@/model/heat/temperature-table';
import { cyclesOf, headReadingsOf } from '@/model/engine/engine-state';
import { tryCore } from '@/model/try-core';
import { sentNumber, typedCelsius } from '@/model/typed-number';
import { readRecords } from '@/server/read-records';
import { engineOf, shopAction, shopQuestion } from '@/server/shop-action';
import { assertAlone, onThisClock } from './device-time';
import { startReason } from './schema';
import { assertStarted } from './start-gate';

const MAX_CHARACTERS = 4_000_000;
/** A recorder that keeps every second of five hours. */
const MOST_LINES = 20_000;

const table = {
  text: Joi.string()
    .max(MAX_CHARACTERS)
    .required()
    .messages({ 'string.empty': 'Paste the table, or choose its file.' }),
  uses: Joi.array().items(oneOf(TEMPERATURE_USES)).max(200),
};

export interface TemperaturePreview extends Omit<TemperatureTable, 'airs'> {
  /** What is recognised in it; why not, where nothing is. */
  readonly run?: RecordedRun;
  readonly why?: string;
  readonly lines: number;
}

const readText = (text: string, uses?: readonly TemperatureUse[]) =>
  readTemperatures(readRecords(text, MOST_LINES), uses);

/** Shows a recorder's table as it would be read. Nothing is written. */
export const previewTemperaturesAction = shopQuestion(
  Joi.object<{ text: string; uses?: TemperatureUse[] }, true>(table),
  ({ text, uses }): TemperaturePreview => {
    const { airs: _, ...read } = readText(text, uses);
    const run = tryCore(() => recordedRun(read.points));
    return {
      ...read,
      aside: read.aside.slice(0, 20),
      points: thinned(read.points, MOST_POINTS),
      lines: read.points.length,
      ...(run.ok ? { run: run.result } : { why: run.error.message }),
    };
  },
);

/** Where a recorder's probe sat: what was read in the coolant or the oil says nothing of the head. */
const PROBED = ['head', 'coolant-or-oil'] as const;

export interface RecordedFields {
  readonly id: string;
  readonly engineId: string;
  readonly sentAt: string;
  readonly text: string;
  readonly uses?: TemperatureUse[];
  /** The hour of its first line, as the device tells it. */
  readonly firstAt: string;
  readonly from_min: number;
  readonly to_min: number;
  readonly ambient_C: number;
  readonly probed: (typeof PROBED)[number];
  readonly startReason: string;
  readonly stood?: Stood;
}

const recordedSchema = Joi.object<RecordedFields, true>({
  ...table,
  id: Joi.string().min(8).max(30).required(),
  engineId: Joi.string().required(),
  sentAt: Joi.string().isoDate().required(),
  firstAt: Joi.string()
    .isoDate()
    .required()
    .messages({ 'string.empty': 'Give when its first line was.', 'string.isoDate': 'Give when its first line was.' }),
  from_min: sentNumber().min(0).required(),
  to_min: sentNumber().greater(Joi.ref('from_min')).required().messages({
    'number.greater': 'It must have been stopped after it was started.',
  }),
  ambient_C: typedCelsius()
    .min(-40)
    .max(60)
    .required()
    .label('the air temperature')
    .messages({ 'number.base': 'Give the air temperature in °C, or in °F with its letter.' }),
  probed: oneOf(PROBED).required(),
  startReason: startReason(),
  stood: CYCLE_EXTRAS.stood.empty(''),
});

const APART_MIN = 10;
const MOST_READINGS = 24;
const MINUTE_MS = 60_000;

/** Readings of a head that cools, far enough apart, and the last of them: the one that may open the retorque. */
function coolingOf(points: readonly Recorded[], to_min: number): readonly Recorded[] {
  const after = points.filter(([minutes]) => minutes > to_min);
  const last = after.at(-1);
  if (!last) return [];
  const apart = Math.max(APART_MIN, (last[0] - to_min) / (MOST_READINGS - 1));
  const kept: Recorded[] = [];
  for (const point of after) if (point[0] - (kept.at(-1)?.[0] ?? Number.NEGATIVE_INFINITY) >= apart) kept.push(point);
  return kept.at(-1) === last ? kept : [...kept, last];
}

/** Logs a run from a recorder's table, with its temperatures; of a probe at the head, with its readings as it cooled. */
export const enterTemperaturesAction = shopAction(recordedSchema, (given, bench) => {
  const { shop, now, nowIso } = bench;
  const engine = engineOf(bench, given.engineId);
  const { points, airs } = readText(given.text, given.uses);
  const airAt = new Map(points.map(([minutes], i) => [minutes, airs[i]]));
  const { engineId, id, from_min, to_min, ambient_C } = given;
  const during = points.filter(([minutes]) => minutes >= from_min && minutes <= to_min);
  const highest_C = during.reduce((high, [, C]) => Math.max(high, C), Number.NEGATIVE_INFINITY);
  if (during.length < 2)
    throw new DomainError('bad-field', 'Between its start and its stop two temperatures are needed.', 'to_min');
  if (!(highest_C > ambient_C))
    throw new DomainError('bad-field', 'The highest temperature must be above that of the air.', 'ambient_C');
  const first = onThisClock(given.firstAt, given.sentAt, now);
  const at = (minutes: number) => new Date(first + minutes * MINUTE_MS).toISOString();
  const last = points.at(-1) as Recorded;
  if (first + last[0] * MINUTE_MS > now + 5 * MINUTE_MS)
    throw new DomainError('bad-field', 'Its last line lies in the future. Give when its first one was.', 'firstAt');
  const others = shop.heat.log(engineId).cycles;
  assertAlone(others, { id, ranFrom: first + from_min * MINUTE_MS, ranTo: first + to_min * MINUTE_MS });
  // Once it was started again the head does not cool from this run.
  const next = others
    .filter((one) => one.id !== id)
    .map(({ ranFrom }) => (Date.parse(ranFrom) - first) / MINUTE_MS)
    .filter((minutes) => minutes >= to_min);
  const cooling = points.filter(([minutes]) => next.every((started) => minutes < started));
  assertStarted(bench, given);
  const series = thinned(
    during.map(([minutes, C]): Recorded => [Number((minutes - from_min).toFixed(3)), C]),
    MOST_POINTS,
  );
  const isNew = shop.heat.addCycle(
    {
      id,
      engineId,
      ranFrom: at(from_min),
      ranTo: at(to_min),
      highest_C,
      ambient_C,
      series,
      ...(given.stood && { stood: given.stood }),
    },
    nowIso,
  );
  if (!isNew) return { doubtful: 0 };
  let doubtful = 0;
  if (given.probed === 'head')
    coolingOf(cooling, to_min).forEach(([minutes, head_C], i) => {
      const log = shop.heat.log(engineId);
      const cycle = cyclesOf(log).find((one) => one.id === id);
      // The air of a shed moves as the head cools: each reading has its own, where it was recorded.
      const air_C = airAt.get(minutes) ?? ambient_C;
      const fact = { cycleId: id, at: Date.parse(at(minutes)), head_C, ambient_C: air_C };
      // One that would be asked about by hand is not written for a recorder either.
      if (cycle && headDoubts(fact, cycle, headReadingsOf(log), engine.kind).length > 0) doubtful += 1;
      else
        shop.heat.addReading(
          { id: `${id}-${i}`, engineId, cycleId: id, at: at(minutes), head_C, ambient_C: air_C },
          nowIso,
        );
    });
  const left = doubtful === 0 ? '' : `; ${doubtful} of its readings as it cooled were doubtful, and left out`;
  bench.tell(`A recorded run up to ${Math.round(highest_C)} °C was logged${left}`);
  return { doubtful };
});
