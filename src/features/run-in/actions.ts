'use server';

import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { engineRows } from '@/db/reads/engine-rows';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { inputsOf, jointStateOf } from '@/model/engine/engine-rows';
import { planOfJoint } from '@/model/joint/joint-result';
import { assertSameLine } from '@/model/same-line';
import { assertFresh } from '@/model/stale';
import { engineOf, found, shopAction } from '@/server/shop-action';
import { onThisClock } from './device-time';
import { cycleSchema, readingSchema, retorqueSchema, strikeSchema } from './schema';

// A watch may run ahead of the device that it is typed into a little.
const AHEAD_MS = 5 * 60_000;

function assertPast(at: number, now: number, field: string): void {
  if (at > now + AHEAD_MS)
    throw new DomainError('bad-field', 'That lies in the future. Give the time at which it was.', field);
}

/** The same line sent twice is one where this engine has it with the same figures. @throws DomainError id-taken */
function assertKnown<Line extends { readonly id: string }>(
  lines: readonly Line[],
  sent: Line | { readonly id: string },
  figures: readonly (keyof Line & string)[],
): void {
  const known = lines.find(({ id }) => id === sent.id);
  const of = (line: object) =>
    Object.fromEntries(figures.map((figure) => [figure, (line as Readonly<Record<string, unknown>>)[figure]]));
  assertSameLine(known ? of(known) : {}, of(sent));
}

const iso = (at: number) => new Date(at).toISOString();

/** Logs a run of the engine. Its hours are told by a device: they count by how long ago they were when it sent them. */
export const addCycleAction = shopAction(cycleSchema, (given, bench) => {
  const { sentAt, ...fields } = given;
  const { shop, now, nowIso } = bench;
  engineOf(bench, fields.engineId);
  const ranFrom = onThisClock(fields.ranFrom, sentAt, now);
  const ranTo = onThisClock(fields.ranTo, sentAt, now);
  assertPast(ranTo, now, 'ranTo');
  if (!(ranTo > ranFrom))
    throw new DomainError('bad-field', 'It must have been stopped after it was started.', 'ranTo');
  if (!(fields.highest_C > fields.ambient_C))
    throw new DomainError('bad-field', 'The highest temperature must be above that of the air.', 'highest_C');
  const isNew = shop.heat.addCycle({ ...fields, ranFrom: iso(ranFrom), ranTo: iso(ranTo) }, nowIso);
  if (!isNew) assertKnown(shop.heat.log(fields.engineId).cycles, fields, ['highest_C', 'ambient_C']);
  return {};
});

// Hours are typed to the minute: a reading of the minute in which the engine was stopped is not before it.
const MINUTE_MS = 60_000;

/** Adds a reading at the head while it cools. */
export const addReadingAction = shopAction(readingSchema, (given, bench) => {
  const { sentAt, ...fields } = given;
  const { shop, now, nowIso } = bench;
  engineOf(bench, fields.engineId);
  const at = onThisClock(fields.at, sentAt, now);
  assertPast(at, now, 'at');
  const cycle = shop.heat.log(fields.engineId).cycles.find((one) => one.id === fields.cycleId);
  if (!cycle) throw new DomainError('not-found', 'That run is not in the log.', 'cycleId');
  const stopped = Date.parse(cycle.ranTo);
  if (at < stopped - MINUTE_MS)
    throw new DomainError('bad-field', 'A reading counts from when the engine was stopped; this is before.', 'at');
  const isNew = shop.heat.addReading({ ...fields, at: iso(Math.max(at, stopped)) }, nowIso);
  if (!isNew) assertKnown(shop.heat.log(fields.engineId).readings, fields, ['cycleId', 'head_C', 'ambient_C']);
  return {};
});

/** Strikes a run or a reading that was wrong, with a new line. */
export const strikeHeatAction = shopAction(strikeSchema, (fields, bench) => {
  const { shop, nowIso } = bench;
  engineOf(bench, fields.engineId);
  const { cycles, readings } = shop.heat.log(fields.engineId);
  if (![...cycles, ...readings].some((line) => line.id === fields.strikesId))
    throw new DomainError('nothing-to-strike', 'That line is not standing.', 'strikesId');
  shop.heat.strike({ ...fields, at: nowIso }, nowIso);
  return {};
});

/** Begins the retorque of a joint whose head was read cold, and answers with its face. */
export const startRetorqueAction = shopAction(retorqueSchema, ({ jointId, version }, bench) => {
  const { shop, now, nowIso } = bench;
  const joint = found(shop.joints, jointId, 'joint', 'jointId');
  const rows = engineRows(shop, engineOf(bench, joint.engineId));
  const { openRetorque, retorque, final } = jointStateOf(rows, joint);
  if (openRetorque) return { href: `/face/${openRetorque.tightening.id}` };
  if (retorque.state !== 'open' || !final)
    throw new DomainError('not-open', 'The retorque is not open yet: a reading at the head opens it.', 'jointId');
  // The line says what is due on the joint as it was seen: its figure and its wrench have to be the ones on disk.
  assertFresh(joint.name, joint, { version });
  const id = nanoid(12);
  const options = { retorqueCycle: retorque.cycleId, reason: final.tightening.plan.reason };
  const plan = planOfJoint(inputsOf(rows, joint, shelvesOf(shop), now), options);
  shop.tightenings.start({ id, jointId, purpose: 'retorque', plan, startedAt: nowIso });
  return { href: `/face/${id}` };
});
