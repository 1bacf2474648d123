'use client';

import { NativeSelect, Textarea } from '@mantine/core';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Position } from '@/core/tightening';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { frameOf, mirrored, placesIn, snapped, textOfPlaces } from './places-of-text';
import type { OtherShape } from './queries';
import styles from './places-editor.module.css';

/** Drawn once somebody looks at it: zoom and drag are no weight of a sheet that has a pattern. */
const PlacesDrawing = dynamic(() => import('./places-drawing').then((module) => module.PlacesDrawing), {
  ssr: false,
  loading: () => <div className={styles.space} />,
});

interface Props {
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly error?: string;
  /** They came from a pattern, and were measured by nobody. */
  readonly isBegun: boolean;
  /** The other joints of the engine, whose places may be these. */
  readonly others: readonly OtherShape[];
}

const MAX_UNDONE = 50;

/** Places without a pattern: typed, or drawn about by pointer and arrow keys. The text is the one thing that is kept. */
export function PlacesEditor({ text, onText, error, isBegun, others }: Props) {
  const [before, setBefore] = useState<readonly string[]>([]);
  const places = placesIn(text);
  const keep = () => setBefore((all) => [...all.slice(1 - MAX_UNDONE), text]);
  const change = (next: readonly Position[], keeps = true) => {
    if (keeps) keep();
    onText(textOfPlaces(next));
  };
  const frame = frameOf(places);
  const last = before.at(-1);
  return (
    <div className={form.wide}>
      <PlacesDrawing places={places} onChange={change} />
      <Textarea
        label="Where each fastener lies, mm"
        description={
          isBegun
            ? 'Begun from the pattern, 100 apart: put in what you measure, a line each, from the left and from the top'
            : 'A line each: from the left, from the top'
        }
        autosize
        minRows={4}
        value={text}
        error={error}
        onChange={(event) => onText(event.currentTarget.value)}
      />
      {others.length > 0 && (
        <NativeSelect
          label="Begin with the places of another joint"
          data={[
            { value: '', label: 'None' },
            ...others.map(({ id, name, places: own }) => ({ value: id, label: `${name} (${own.length})` })),
          ]}
          value=""
          onChange={(event) => {
            const other = others.find(({ id }) => id === event.currentTarget.value);
            if (other) change(other.places);
          }}
        />
      )}
      <p className={form.acts}>
        <Button
          onClick={() =>
            change([...places, [snapped(frame.left + frame.width / 2), snapped(frame.top + frame.height)]])
          }
        >
          One more
        </Button>
        <Button onClick={() => change(mirrored(places))}>Mirrored, left for right</Button>
        <Button
          disabled={last === undefined}
          onClick={() => {
            if (last === undefined) return;
            setBefore((all) => all.slice(0, -1));
            onText(last);
          }}
        >
          Undo the last
        </Button>
      </p>
    </div>
  );
}
