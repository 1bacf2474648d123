import { DomainError } from '@/core/units';
import { stripsInEngine } from '@/db/reads/fits-of-engine';
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

/** Nothing turns the shaft while a strip lies in one of its bearings. @throws DomainError crank-held */
function assertFree(shop: Shop, jointId: string): void {
  const strips = stripsInEngine(shop, shop.joints.engineOf(jointId));
  if (strips.length > 0)
    throw new DomainError('crank-held', `The crank is held: a strip lies in ${strips.join(', ')}. Take it out first.`);
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
 * @throws DomainError crank-held, opened, held-elsewhere
 */
export function assertMayRecord(
  shop: Shop,
  round: Tightening,
  kind: RecordedEvent['kind'],
  bench: string | undefined,
  at: string,
): void {
  if (kind === 'shaft') assertFree(shop, round.jointId);
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
    assertMayRecord(shop, tightening, sent.kind, bench, times.at);
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
