'use client';

import { useState } from 'react';
import type { InstrumentReading } from '@/instruments/measuring-instrument';
import { Button } from '../parts/button';
import { useInstruments } from './use-instruments';

interface Props {
  /** What is listened to: `a gauge`, `a probe`. */
  readonly what: string;
  /** Puts a reading into its cell. What it is not for is told by false. */
  readonly onReading: (reading: InstrumentReading) => boolean;
}

/** Lets an instrument write into a form. It fills a cell and sends nothing: whoever measures looks at it first. */
export function ListenKey({ what, onReading }: Props) {
  const [said, setSaid] = useState('');
  const instruments = useInstruments(
    (reading) => {
      if (reading.over) setSaid(`${reading.instrument} went past the end of its scale: read it again.`);
      else if (onReading(reading)) setSaid(`${reading.value} ${reading.unit}, by ${reading.instrument}`);
    },
    ({ instrument, message }) => setSaid(`${instrument} sent what cannot be: ${message}`),
  );
  return (
    <>
      <Button onClick={instruments.toggle} aria-pressed={instruments.on}>
        {instruments.ready ? `Listening to ${what}` : `Listen to ${what}`}
      </Button>
      <span className="soft" role="status">
        {said}
      </span>
    </>
  );
}
