import { DomainError } from '@/core/units';
import { stripsInEngine } from '@/db/reads/fits-of-engine';
import type { RecordedEvent } from '@/model/joint/tightening';
import type { Shop } from '@/db/shop';
import { nowIso } from '@/server/clock';
import { problemOf, problemOfThrown } from '@/server/run-action';
import { ok, type Result, fail } from '@/model/result';
import { validateEvent } from './event-schema';

const noTightening = { code: 'not-found', message: 'That tightening is not in this shop.' };

/** Nothing turns the shaft while a strip lies in one of its bearings. @throws DomainError crank-held */
function assertFree(shop: Shop, jointId: string): void {
  const strips = stripsInEngine(shop, shop.joints.find(jointId)?.engineId);
  if (strips.length > 0)
    throw new DomainError('crank-held', `The crank is held: a strip lies in ${strips.join(', ')}. Take it out first.`);
}

/** Writes one line of the bench; the answer comes only once it is on disk. The same line twice is one line. */
export function recordEvent(
  shop: Shop,
  tighteningId: string,
  body: unknown,
): Result<{ readonly id: string; readonly isNew: boolean }> {
  const checked = validateEvent(body);
  if (checked.error) return fail(problemOf(checked.error));
  const event = checked.value;
  try {
    const tightening = shop.tightenings.find(tighteningId);
    if (!tightening) return fail(noTightening);
    if (event.kind === 'shaft') assertFree(shop, tightening.jointId);
    return ok({ id: event.id, isNew: shop.tightenings.record(tightening, event, nowIso()) });
  } catch (thrown) {
    return fail(problemOfThrown(thrown));
  }
}

/** Every line written so far. */
export function eventsOf(shop: Shop, tighteningId: string): Result<readonly RecordedEvent[]> {
  const tightening = shop.tightenings.find(tighteningId);
  return tightening ? ok(shop.tightenings.events(tighteningId)) : fail(noTightening);
}
