'use server';

import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { DomainError } from '@/core/units';
import { jointState } from '@/db/reads/engine-state';
import { jointInputs } from '@/db/reads/joint-inputs';
import { planOfJoint } from '@/model/joint/joint-result';
import type { Engine } from '@/model/engine/engine';
import type { Shop } from '@/db/shop';
import { nowIso, nowMs } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { cycleSchema, readingSchema, retorqueSchema, strikeSchema } from './schema';

// A watch may run ahead of the machine's clock a little.
const AHEAD_MS = 5 * 60_000;

function engineOf(shop: Shop, id: string): Engine {
  const engine = shop.engines.find(id);
  if (!engine) throw new DomainError('not-found', 'That engine is no longer on a stand.', 'engineId');
  return engine;
}

function assertPast(iso: string, field: string): void {
  if (Date.parse(iso) > nowMs() + AHEAD_MS)
    throw new DomainError('bad-field', 'That lies in the future. Give the time at which it was.', field);
}

/** Logs a run of the engine. */
export async function addCycleAction(input: unknown) {
  return runAction(cycleSchema, input, async (fields) => {
    const shop = await currentShop();
    engineOf(shop, fields.engineId);
    assertPast(fields.ranTo, 'ranTo');
    if (!(Date.parse(fields.ranTo) > Date.parse(fields.ranFrom)))
      throw new DomainError('bad-field', 'It must have been stopped after it was started.', 'ranTo');
    if (!(fields.highest_C > fields.ambient_C))
      throw new DomainError('bad-field', 'The highest temperature must be above that of the air.', 'highest_C');
    const iso = (time: string) => new Date(time).toISOString();
    shop.heat.addCycle({ ...fields, ranFrom: iso(fields.ranFrom), ranTo: iso(fields.ranTo) }, nowIso());
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Adds a reading at the head while it cools. */
export async function addReadingAction(input: unknown) {
  return runAction(readingSchema, input, async (fields) => {
    const shop = await currentShop();
    engineOf(shop, fields.engineId);
    assertPast(fields.at, 'at');
    const cycle = shop.heat.log(fields.engineId).cycles.find((one) => one.id === fields.cycleId);
    if (!cycle) throw new DomainError('not-found', 'That run is not in the log.', 'cycleId');
    if (Date.parse(fields.at) < Date.parse(cycle.ranTo))
      throw new DomainError('bad-field', 'A reading counts from when the engine was stopped; this is before.', 'at');
    shop.heat.addReading({ ...fields, at: new Date(fields.at).toISOString() }, nowIso());
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Strikes a run or a reading that was wrong, with a new line. */
export async function strikeHeatAction(input: unknown) {
  return runAction(strikeSchema, input, async (fields) => {
    const shop = await currentShop();
    engineOf(shop, fields.engineId);
    const { cycles, readings } = shop.heat.log(fields.engineId);
    if (![...cycles, ...readings].some((line) => line.id === fields.strikesId))
      throw new DomainError('nothing-to-strike', 'That line is not standing.', 'strikesId');
    shop.heat.strike({ ...fields, at: nowIso() }, nowIso());
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Begins the retorque of a joint whose head was read cold, and answers with its face. */
export async function startRetorqueAction(input: unknown) {
  return runAction(retorqueSchema, input, async ({ jointId }) => {
    const shop = await currentShop();
    const joint = shop.joints.find(jointId);
    if (!joint) throw new DomainError('not-found', 'That joint is no longer here.', 'jointId');
    const { openRetorque, retorque, final } = jointState(shop, engineOf(shop, joint.engineId), joint);
    if (openRetorque) return { href: `/face/${openRetorque.tightening.id}` };
    if (retorque.state !== 'open' || !final)
      throw new DomainError('not-open', 'The retorque is not open yet: a reading at the head opens it.', 'jointId');
    const id = nanoid(12);
    shop.tightenings.start({
      id,
      jointId,
      purpose: 'retorque',
      plan: planOfJoint(jointInputs(shop, joint, nowMs()), {
        retorqueCycle: retorque.cycleId,
        reason: final.tightening.plan.reason,
      }),
      startedAt: nowIso(),
    });
    revalidatePath('/', 'layout');
    return { href: `/face/${id}` };
  });
}
