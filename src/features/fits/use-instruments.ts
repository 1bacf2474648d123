'use client';

import { useDocumentVisibility } from '@mantine/hooks';
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
  // A browser keeps few connections to one machine: a page that nobody looks at gives its own back.
  const visible = useDocumentVisibility() === 'visible';
  useEffect(() => {
    if (!on || !visible) return;
    const source = new EventSource('/api/instruments/stream');
    source.onopen = () => setReady(true);
    source.onerror = () => setReady(false);
    source.onmessage = (event: MessageEvent<string>) => handler.current(JSON.parse(event.data) as InstrumentReading);
    return () => {
      source.close();
      setReady(false);
    };
  }, [on, visible]);
  return { on, ready: on && ready, toggle: () => setOn((before) => !before) };
}
