import type { BenchEvent } from '@/core/tightening';

const keyOf = (tighteningId: string) => `spanner-outbox-${tighteningId}`;

/** Lines that the server has not acknowledged yet; kept in the browser so that a reload does not lose them. */
export function loadOutbox(tighteningId: string): readonly BenchEvent[] {
  try {
    return JSON.parse(localStorage.getItem(keyOf(tighteningId)) ?? '[]') as BenchEvent[];
  } catch {
    return [];
  }
}

export function saveOutbox(tighteningId: string, events: readonly BenchEvent[]): void {
  if (events.length === 0) localStorage.removeItem(keyOf(tighteningId));
  else localStorage.setItem(keyOf(tighteningId), JSON.stringify(events));
}
