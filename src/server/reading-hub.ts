import type { InstrumentReading } from '@/instruments/measuring-instrument';

type Listener = (reading: InstrumentReading) => void;

const MAX_REMEMBERED = 200;

interface Hub {
  readonly listeners: Set<Listener>;
  readonly seen: string[];
}

// Routes are bundled apart; whoever listens is shared through the process.
const holder = globalThis as { spannerReadings?: Hub };
const hub = (holder.spannerReadings ??= { listeners: new Set(), seen: [] });

/**
 * Hands a reading to every open sheet that listens; how many there were. The same reading sent twice is handed on
 * once.
 */
export function publish(reading: InstrumentReading): number {
  if (hub.seen.includes(reading.id)) return 0;
  hub.seen.push(reading.id);
  if (hub.seen.length > MAX_REMEMBERED) hub.seen.shift();
  for (const listener of hub.listeners) listener(reading);
  return hub.listeners.size;
}

/** Listens for readings; the answer ends it. */
export function listen(listener: Listener): () => void {
  hub.listeners.add(listener);
  return () => void hub.listeners.delete(listener);
}
