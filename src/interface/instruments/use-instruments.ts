'use client';

import { useDocumentVisibility } from '@mantine/hooks';
import { useEffect, useRef, useState } from 'react';
import type { InstrumentReading } from '@/instruments/measuring-instrument';

/** An instrument sent what cannot be a reading of its kind. */
export interface RefusedReading {
  readonly instrument: string;
  readonly message: string;
}

export interface Instruments {
  readonly on: boolean;
  /** The line to the instruments is open. */
  readonly ready: boolean;
  readonly toggle: () => void;
}

/** Hears readings of connected instruments while it is switched on. */
export function useInstruments(
  onReading: (reading: InstrumentReading) => void,
  onRefused?: (refused: RefusedReading) => void,
): Instruments {
  const [on, setOn] = useState(false);
  const [ready, setReady] = useState(false);
  const handlers = useRef({ onReading, onRefused });
  useEffect(() => {
    handlers.current = { onReading, onRefused };
  });
  // A browser keeps few connections to one machine: a page that nobody looks at gives its own back.
  const visible = useDocumentVisibility() === 'visible';
  useEffect(() => {
    if (!on || !visible) return;
    const source = new EventSource('/api/instruments/stream');
    source.onopen = () => setReady(true);
    source.onerror = () => setReady(false);
    source.onmessage = (event: MessageEvent<string>) =>
      handlers.current.onReading(JSON.parse(event.data) as InstrumentReading);
    source.addEventListener('refused', (event: MessageEvent<string>) =>
      handlers.current.onRefused?.(JSON.parse(event.data) as RefusedReading),
    );
    return () => {
      source.close();
      setReady(false);
    };
  }, [on, visible]);
  return { on, ready: on && ready, toggle: () => setOn((before) => !before) };
}
