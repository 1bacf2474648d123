'use client';

import { useEffect, useRef, useState } from 'react';
import type { InstrumentReading } from '@/instruments/measuring-instrument';

/** Hears readings of connected instruments while it is switched on. */
export function useInstruments(onReading: (reading: InstrumentReading) => void) {
  const [on, setOn] = useState(false);
  const [ready, setReady] = useState(false);
  const handler = useRef(onReading);
  useEffect(() => {
    handler.current = onReading;
  });
  useEffect(() => {
    if (!on) return;
    const source = new EventSource('/api/instruments/stream');
    source.onopen = () => setReady(true);
    source.onerror = () => setReady(false);
    source.onmessage = (event: MessageEvent<string>) => handler.current(JSON.parse(event.data) as InstrumentReading);
    return () => {
      source.close();
      setReady(false);
    };
  }, [on]);
  return { on, ready: on && ready, toggle: () => setOn((before) => !before) };
}
