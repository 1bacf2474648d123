import { DomainError } from '@/core/units';
import { crankHeld } from '@/model/order/crank';
import { engineStateNow } from '@/server/engine-now';
import type { RecordedEvent, Tightening } from '@/model/joint/tightening';
import type { Shop } from '@/db/shop';
import { assertWorkedWith } from '@/server/assert-worked-with';
import { nowMs } from '@/server/clock';
import { madeAt, type Recorded, type RecordedTogether } from '@/model/line-age';
import { MOST_TOGETHER } from '@/model/most-together';
import { problemOf, problemOfThrown } from '@/server/problem';
import { ok, type Result, fail } from '@/model/result';
import { validateEvent } from './event-schema';
import { assertHoldsWrench } from './hold';
import { OPENED_SINCE, openedSince } from './opened-since';

const noTightening = { code: 'not-found', message: 'That tightening is not in this shop.' };

/** A line as far as the crank is concerned: what is done, and at which step. */
type AtStep = Pick<RecordedEvent, 'kind'> & { readonly step?: number };

/**
 * Nothing turns the shaft while a strip lies in one of its bearings, or while what is timed holds it; and a turn of it is
 * passed over only then. What was done before it was held, or before it was freed, and only comes now, is taken.
 * @throws DomainError crank-held, crank-free
 */
function assertCrank(shop: Shop, { jointId, plan }: Tightening, { kind, step }: AtStep, at: string): void {
  if (step === undefined || plan.steps[step]?.kind !== 'shaft' || (kind !== 'shaft' && kind !== 'skip')) return;
  const { order } = engineStateNow({ shop }, shop.joints.engineOf(jointId) ?? '');
  const held = crankHeld(order);
  const { since } = order.crank;
  if (kind === 'skip') {
    if (held === undefined && (since === undefined || since <= at))
      throw new DomainError('crank-free', 'Nothing holds the crank: turn it, or say that it does not turn freely.');
    return;
  }
  if (held === undefined || (held.by === 'order' && since !== undefined && at < since)) return;
  throw new DomainError(
    'crank-held',
    held.by === 'strip'
      ? `The crank is held. ${held.why}: take it out first.`
      : `The crank is not turned. ${held.why} in the order: free it there first, or go on without turning it.`,
  );
}

/**
 * A round that was begun before its joint was opened up counts no more: what is pulled in it now would be on no list.
 * What was pulled before the opening, and only comes now, is taken.
 * @throws DomainError opened
 */
function assertNotOpened(shop: Shop, round: Tightening, at: string): void {
  const opened = openedSince(shop, shop.joints.engineOf(round.jointId) ?? '', round);
  if (opened !== undefined && at > opened)
    throw new DomainError('opened', `${OPENED_SINCE} Begin a new one from its sheet.`);
}

/**
 * What every line of a round is asked, wherever it comes from.
 * @param turnedAt when the shaft was turned at the earliest
 * @throws DomainError crank-held, crank-free, opened, held-elsewhere
 */
export function assertMayRecord(
  shop: Shop,
  round: Tightening,
  line: AtStep,
  bench: string | undefined,
  at: string,
  turnedAt = at,
): void {
  assertCrank(shop, round, line, turnedAt);
  assertNotOpened(shop, round, at);
  assertHoldsWrench(shop, round.id, bench, at);
}

/** Writes one line of the bench; the answer comes only once it is on disk. The same line twice is one line. */
export function recordEvent(shop: Shop, tighteningId: string, body: unknown): Result<Recorded> {
  const checked = validateEvent(body);
  if (checked.error) return fail(problemOf(checked.error));
  const { age_ms, bench, ...sent } = checked.value;
  try {
    const tightening = shop.tightenings.find(tighteningId);
    if (!tightening) return fail(noTightening);
    assertWorkedWith(shop, 'joint', tightening.jointId);
    const now = nowMs();
    const times = { at: madeAt(age_ms, now), recordedAt: new Date(now).toISOString() };
    // Sent again because its answer was lost, it is on record whatever holds the crank by now.
    const isOfCrank = 'step' in sent && tightening.plan.steps[sent.step]?.kind === 'shaft';
    const isAgain = isOfCrank && shop.tightenings.events(tighteningId).some(({ id }) => id === sent.id);
    if (!isAgain) assertMayRecord(shop, tightening, sent, bench, times.at);
    const isNew = shop.tightenings.record(tightening, { ...sent, at: times.at }, times.recordedAt);
    if (isNew) return ok({ id: sent.id, isNew, ...times });
    const known = shop.tightenings.events(tighteningId).find(({ id }) => id === sent.id);
    return ok({ id: sent.id, isNew, at: known?.at ?? times.at, recordedAt: known?.recordedAt ?? times.recordedAt });
  } catch (thrown) {
    return fail(problemOfThrown(thrown));
  }
}

/**
 * Writes lines of the bench one after another, each as if it had come by itself. A pull rests on those before it: none
 * is looked at after one that was refused.
 */
export function recordEvents(shop: Shop, tighteningId: string, bodies: readonly unknown[]): Result<RecordedTogether> {
  if (bodies.length > MOST_TOGETHER)
    return fail({ code: 'too-many', message: `At most ${MOST_TOGETHER} lines are taken at once.` });
  const recorded: Recorded[] = [];
  for (const body of bodies) {
    const outcome = recordEvent(shop, tighteningId, body);
    if (!outcome.ok) return ok({ recorded, refused: outcome.error });
    recorded.push(outcome.result);
  }
  return ok({ recorded });
}

/** Every line written so far. */
export function eventsOf(shop: Shop, tighteningId: string): Result<readonly RecordedEvent[]> {
  const tightening = shop.tightenings.find(tighteningId);
  return tightening ? ok(shop.tightenings.events(tighteningId)) : fail(noTightening);
}
