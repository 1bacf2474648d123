'use server';

import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { engineStateOf, inputsOf, jointStateOf } from '@/model/engine/engine-rows';
import type { RetorqueState } from '@/core/heat';
import { headDoubts } from '@/core/heat';
import { assertGate, assertReasoned } from '@/model/joint/gate-of-start';
import { cyclesOf, headReadingsOf } from '@/model/engine/engine-state';
import { gateOfRound } from '@/model/order/gate-of-round';
import { lockerGuards, pulledAndSheets } from '@/model/joint/cured-locker';
import { filmGuards, gasketGuards, warmGuards, withFilmFound } from '@/model/joint/retorque-guards';
import { USUAL_AIR_C, warmHeadOf } from '@/model/joint/warm-head';
import { tryCore } from '@/model/try-core';
import { computeJoint, computeKinds, judgedWhole } from '@/model/joint/joint-result';
import { retorquePlan } from '@/model/joint/round-plan';
import { changedProblem, wholeChanges } from '@/model/joint/sheet-changes';
import { meterDoubt } from '@/model/heat/meter';
import type { MeterReading } from '@/model/heat/heat-log';
import { assertSameLine } from '@/model/same-line';
import { assertFresh } from '@/model/stale';
import { assertWorkedWith } from '@/server/assert-worked-with';
import { engineRowsNow } from '@/server/engine-now';
import { engineOf, found, shopAction, type Bench } from '@/server/shop-action';
import { seenWords } from '@/interface/words/seen-words';
import { assertAlone, onThisClock } from './device-time';
import { cycleSchema, meterSchema, readingSchema, retorqueSchema, startWrongSchema, strikeSchema } from './schema';
import { assertStarted, lineOfStart } from './start-gate';

// Hours are typed to the minute: a reading of the minute in which the engine was stopped is not before it.
const MINUTE_MS = 60_000;
// A watch may run ahead of the device that it is typed into a little.
const AHEAD_MS = 5 * 60_000;

const iso = (at: number) => new Date(at).toISOString();

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

/**
 * Hours are told to the minute, and come over with a jitter: of two readings in one minute the one that is written later
 * is the later.
 */
function afterItsMinute(others: readonly MeterReading[], at: string): string {
  const told = Date.parse(at);
  const near = others.map((one) => Date.parse(one.at)).filter((other) => Math.abs(other - told) < MINUTE_MS);
  return iso(Math.max(told, ...near.map((other) => other + 1)));
}

/** Writes what a meter read. @throws DomainError meter-back, bad-field, id-taken */
function addMeter({ shop, nowIso }: Bench, told: MeterReading): void {
  const known = shop.heat.log(told.engineId).meters;
  const others = known.filter(({ id }) => id !== told.id);
  const meter = { ...told, at: afterItsMinute(others, told.at) };
  const doubt = meterDoubt(others, meter);
  if (doubt)
    throw new DomainError(
      'meter-back',
      `That cannot be: ${doubt}. Read it again; or cancel the reading that is wrong; or say that it was exchanged or turned over.`,
      'reads',
    );
  const isNew = shop.heat.addMeter(meter, nowIso);
  if (!isNew) assertKnown(known, meter, ['reads', 'unit']);
}

/** What the odometer read when a run was stopped, by the id of the run. */
const meterOfRun = (runId: string) => `${runId}-m`;

/** Logs a run of the engine. Its hours are told by a device: they count by how long ago they were when it sent them. */
export const addCycleAction = shopAction(cycleSchema, (given, bench) => {
  const { sentAt, went, reads, unit, startReason: _, ...fields } = given;
  const { shop, now, nowIso } = bench;
  engineOf(bench, fields.engineId);
  const ranFrom = onThisClock(fields.ranFrom, sentAt, now);
  const ranTo = onThisClock(fields.ranTo, sentAt, now);
  assertPast(ranTo, now, 'ranTo');
  if (!(ranTo > ranFrom))
    throw new DomainError('bad-field', 'It must have been stopped after it was started.', 'ranTo');
  if (!(fields.highest_C > fields.ambient_C))
    throw new DomainError('bad-field', 'The highest temperature must be above that of the air.', 'highest_C');
  if ((went !== undefined || reads !== undefined) && unit === undefined)
    throw new DomainError('bad-field', 'Say whether that is in miles or in km.', 'unit');
  assertAlone(shop.heat.log(fields.engineId).cycles, { id: fields.id, ranFrom, ranTo });
  assertStarted(bench, given);
  const cycle = {
    ...fields,
    ranFrom: iso(ranFrom),
    ranTo: iso(ranTo),
    ...(went !== undefined && unit !== undefined && { went: { value: went, unit } }),
  };
  const isNew = shop.heat.addCycle(cycle, nowIso);
  // Its hours come over with a jitter; what else it says is the same, or it is another run.
  const said = { ...cycle, seen: cycle.seen.length > 0 ? cycle.seen : undefined };
  if (!isNew)
    assertKnown(shop.heat.log(fields.engineId).cycles, said, ['highest_C', 'ambient_C', 'went', 'stood', 'seen']);
  if (reads !== undefined && unit !== undefined)
    addMeter(bench, { id: meterOfRun(fields.id), engineId: fields.engineId, at: cycle.ranTo, reads, unit });
  bench.tell(`A run up to ${fields.highest_C} °C was logged`);
  return {};
});

/** Logs a start that went wrong. What is in doubt after it is looked at again before the next. */
export const startWrongAction = shopAction(startWrongSchema, ({ id, engineId, sentAt, on, seen }, bench) => {
  const { shop, now, nowIso } = bench;
  engineOf(bench, engineId);
  const at = onThisClock(on, sentAt, now);
  assertPast(at, now, 'on');
  const known = shop.build.line(id);
  if (known && known.engineId !== engineId)
    throw new DomainError('bad-id', 'A line of that id is of another engine.', 'id');
  if (known) return {};
  const body = { on: iso(Math.min(at, now)), seen };
  shop.build.record(engineId, { id, kind: 'start-wrong', at: nowIso, body }, nowIso);
  bench.tell(`A start that went wrong was logged: ${seen.map(seenWords).join('; ')}`);
  return {};
});

/** Writes what the odometer or the hour meter reads. */
export const addMeterAction = shopAction(meterSchema, (given, bench) => {
  const { sentAt, jumpFrom, jumpTo, ...fields } = given;
  engineOf(bench, fields.engineId);
  const at = onThisClock(fields.at, sentAt, bench.now);
  assertPast(at, bench.now, 'at');
  if ((jumpFrom === undefined) !== (jumpTo === undefined))
    throw new DomainError(
      'bad-field',
      'Give both: how far it had come, and from where it went on.',
      jumpFrom === undefined ? 'jumpFrom' : 'jumpTo',
    );
  const jump = jumpFrom === undefined || jumpTo === undefined ? {} : { jump: { from: jumpFrom, to: jumpTo } };
  addMeter(bench, { ...fields, at: iso(at), ...jump });
  bench.tell(`${fields.unit === 'h' ? 'The hour meter' : 'The odometer'} was read at ${fields.reads} ${fields.unit}`);
  return {};
});

/** Adds a reading at the head while it cools. */
export const addReadingAction = shopAction(readingSchema, (given, bench) => {
  const { sentAt, sure, ...fields } = given;
  const { shop, now, nowIso } = bench;
  const engine = engineOf(bench, fields.engineId);
  const told = onThisClock(fields.at, sentAt, now);
  assertPast(told, now, 'at');
  const cycle = shop.heat.log(fields.engineId).cycles.find((one) => one.id === fields.cycleId);
  if (!cycle) throw new DomainError('not-found', 'That run is not in the log.', 'cycleId');
  const stopped = Date.parse(cycle.ranTo);
  if (told < stopped - MINUTE_MS)
    throw new DomainError('bad-field', 'A reading counts from when the engine was stopped; this is before.', 'at');
  const at = Math.max(told, stopped);
  if (!sure) {
    const log = shop.heat.log(fields.engineId);
    const fact = cyclesOf(log).find(({ id }) => id === cycle.id);
    const doubts = fact ? headDoubts({ ...fields, at }, fact, headReadingsOf(log), engine.kind) : [];
    const said = doubts.map(({ message }) => message).join(' ');
    if (said) throw new DomainError('doubtful', `${said} Read it again, or say yes.`, 'head_C');
  }
  const isNew = shop.heat.addReading({ ...fields, at: iso(at) }, nowIso);
  if (!isNew) assertKnown(shop.heat.log(fields.engineId).readings, fields, ['cycleId', 'head_C', 'ambient_C']);
  bench.tell(`A reading of ${fields.head_C} °C at the head was written`);
  return {};
});

/** Strikes a run or a reading that was wrong, with a new line. */
export const strikeHeatAction = shopAction(strikeSchema, (fields, bench) => {
  const { shop, nowIso } = bench;
  engineOf(bench, fields.engineId);
  const { cycles, readings, meters } = shop.heat.log(fields.engineId);
  if (![...cycles, ...readings, ...meters].some((line) => line.id === fields.strikesId))
    throw new DomainError('nothing-to-strike', 'That line is not standing.', 'strikesId');
  shop.heat.strike({ ...fields, at: nowIso }, nowIso);
  // What the odometer read came in with the run, and goes with it.
  const own = meters.find(({ id }) => id === meterOfRun(fields.strikesId));
  if (own) shop.heat.strike({ ...fields, id: `${fields.id}-m`, strikesId: own.id, at: nowIso }, nowIso);
  const passed = lineOfStart(fields.strikesId);
  if (shop.build.line(passed))
    shop.build.record(
      fields.engineId,
      { id: `${fields.id}-s`, kind: 'strike', strikes: passed, at: nowIso, body: {} },
      nowIso,
    );
  bench.tell(cycles.some(({ id }) => id === fields.strikesId) ? 'The run was cancelled' : 'The reading was cancelled');
  return {};
});

/** The heat cycle that a retorque would answer now: the first one due, or a later one after it was done. */
const cycleToAnswer = (retorque: RetorqueState): string | undefined => {
  if (retorque.state === 'open') return retorque.cycleId;
  return retorque.state === 'done' && retorque.further?.open ? retorque.further.cycleId : undefined;
};

// Asked of the fastener before it went in: it is in, and was pulled.
const NOT_AT_A_RETORQUE: ReadonlySet<string> = new Set([
  'socket-not-tried',
  'bore-moves',
  'once-only',
  'plated-unbaked',
  'head-height',
]);

/** Begins the retorque of a joint whose head was read cold, and answers with its face. */
export const startRetorqueAction = shopAction(retorqueSchema, ({ jointId, version, asPulled, reason, film }, bench) => {
  const { shop, now, nowIso } = bench;
  const joint = found(shop.joints, jointId, 'joint', 'jointId');
  assertWorkedWith(shop, 'joint', jointId);
  const rows = engineRowsNow(bench, joint.engineId);
  const { openRetorque, retorque, final } = jointStateOf(rows, joint);
  if (openRetorque) return { href: `/face/${openRetorque.tightening.id}` };
  const cycleId = cycleToAnswer(retorque);
  if (cycleId === undefined || !final)
    throw new DomainError('not-open', 'The retorque is not open yet: a reading at the head opens it.', 'jointId');
  // The line says what is due on the joint as it was seen: its figure and its wrench have to be the ones on disk.
  assertFresh(joint.name, joint, { version });
  const inputs = inputsOf(rows, joint, shelvesOf(shop), now);
  const pulled = final.tightening.plan;
  const worked = computeJoint(inputs);
  const kinds = computeKinds(inputs);
  const { changes } = wholeChanges(pulled, inputs, worked, kinds);
  if (changes.length > 0 && !asPulled) {
    const { code, message } = changedProblem(changes);
    throw new DomainError(code, message, 'asPulled');
  }
  if (film === '')
    throw new DomainError(
      'film-unsaid',
      'Say how the lubricant is found on its threads: the same figure holds less in one that has dried.',
      'film',
    );
  const { gate, guards: alsoAgainst } = gateOfRound(engineStateOf(rows), jointId, 'retorque');
  assertGate(gate, 'final');
  const cost = tryCore(() => warmHeadOf(inputs, pulled, rows.engine.headMetal));
  const warmCost = cost.ok ? cost.result : undefined;
  // The sheet speaks of the thread under the nut only where it is still as it was pulled.
  const own = changes.length === 0 ? judgedWhole(worked, kinds).guards : pulled.guards;
  const ofToday = [
    ...lockerGuards(pulledAndSheets(pulled, inputs, kinds)),
    ...filmGuards(film, pulled),
    ...gasketGuards(joint),
    ...warmGuards(
      joint,
      rows.engine.headMetal,
      warmCost,
      retorque.state === 'open' ? (retorque.reading?.ambient_C ?? USUAL_AIR_C) : USUAL_AIR_C,
    ),
  ];
  const guards = [...own.filter(({ code }) => !NOT_AT_A_RETORQUE.has(code)), ...ofToday];
  // What was found today is answered for today: the reason that it was first pulled with speaks of something else.
  assertReasoned(ofToday, reason);
  const given = reason || pulled.reason || '';
  assertReasoned([...guards, ...alsoAgainst], given);
  const plan = withFilmFound(retorquePlan(inputs, pulled, { cycleId, guards, alsoAgainst, reason: given }), film);
  const id = nanoid(12);
  shop.tightenings.start({ id, jointId, purpose: 'retorque', plan, startedAt: nowIso });
  return { href: `/face/${id}` };
});
