import type { InstrumentReading } from '@/instruments/measuring-instrument';

/** What a sheet that listens hears: a reading, or that one came which cannot be. */
export type Heard =
  | { readonly is: 'reading'; readonly reading: InstrumentReading }
  | { readonly is: 'refused'; readonly instrument: string; readonly message: string };

type Listener = (heard: Heard) => void;

/** A day's readings of a busy bench: the same one is not handed on again. */
const MAX_REMEMBERED = 20_000;

interface Hub {
  readonly listeners: Set<Listener>;
  readonly seen: Set<string>;
}

// Routes are bundled apart; whoever listens is shared through the process.
const holder = globalThis as { spannerReadings?: Hub };
const hub = (holder.spannerReadings ??= { listeners: new Set(), seen: new Set() });

const tell = (heard: Heard): number => {
  for (const listener of hub.listeners) listener(heard);
  return hub.listeners.size;
};

/**
 * Hands a reading to every open sheet that listens; how many there were. The same reading sent twice is handed on
 * once.
 */
export function publish(reading: InstrumentReading): number {
  if (hub.seen.has(reading.id)) return 0;
  hub.seen.add(reading.id);
  const [oldest] = hub.seen;
  if (hub.seen.size > MAX_REMEMBERED && oldest !== undefined) hub.seen.delete(oldest);
  return tell({ is: 'reading', reading });
}

/** Says at every open sheet that an instrument sent what cannot be: whoever pulled would wait for it. */
export const publishRefused = (instrument: string, message: string): number =>
  tell({ is: 'refused', instrument, message });

/** Listens for readings; the answer ends it. */
export function listen(listener: Listener): () => void {
  hub.listeners.add(listener);
  return () => void hub.listeners.delete(listener);
}
