import type { RecordedEvent } from '@/db/repositories/tightening-repository';
import type { Shop } from '@/db/shop';
import { nowIso } from '@/interface/server/clock';
import { done, problemOf, problemOfThrown, refused, type Outcome } from '@/interface/server/outcome';
import { validateEvent } from './event-schema';

const noTightening = { code: 'not-found', message: 'That tightening is not in this shop.' };

/** Writes one line of the bench; the answer comes only once it is on disk. The same line twice is one line. */
export function recordEvent(shop: Shop, tighteningId: string, body: unknown): Outcome<{ readonly id: string; readonly isNew: boolean }> {
  const checked = validateEvent(body);
  if (checked.error) return refused(problemOf(checked.error));
  const event = checked.value;
  try {
    const tightening = shop.tightenings.find(tighteningId);
    if (!tightening) return refused(noTightening);
    return done({ id: event.id, isNew: shop.tightenings.record(tightening, event, nowIso()) });
  } catch (thrown) {
    return refused(problemOfThrown(thrown));
  }
}

/** Every line written so far. */
export function eventsOf(shop: Shop, tighteningId: string): Outcome<readonly RecordedEvent[]> {
  const tightening = shop.tightenings.find(tighteningId);
  return tightening ? done(shop.tightenings.events(tighteningId)) : refused(noTightening);
}
