'use client';

import { NativeSelect, Textarea } from '@mantine/core';
import { useState } from 'react';
import type { Position } from '@/core/tightening';
import { Button } from '@/interface/parts/button';
import { fetchedPart } from '@/interface/parts/fetched-part';
import form from '@/interface/parts/form.module.css';
import type { Origins } from '@/model/joint/places-followed';
import {
  frameOf,
  mirrored,
  numberedBy,
  originsIn,
  placesIn,
  retyped,
  snapped,
  textOfPlaces,
  type TypedPlaces,
} from './places-of-text';
import type { OtherShape } from './queries';
import styles from './places-editor.module.css';

/** Drawn once somebody looks at it: zoom and drag are no weight of a sheet that has a pattern. */
const PlacesDrawing = fetchedPart(() => import('./places-drawing').then((module) => module.PlacesDrawing), {
  space: <div className={styles.space} />,
});

interface Props {
  readonly typed: TypedPlaces;
  /** The places as they are on disk, or as the pattern has them. */
  readonly onDisk: string;
  readonly onTyped: (typed: TypedPlaces) => void;
  readonly error?: string;
  /** They came from a pattern, and were measured by nobody. */
  readonly isBegun: boolean;
  /** The other joints of the engine, whose places may be these. */
  readonly others: readonly OtherShape[];
}

const MAX_UNDONE = 50;

/** Numbered as the book numbers them, by pressing one after another; what is not pressed follows in its turn. */
function Numbering({
  count,
  pressed,
  onPressed,
  onDone,
}: {
  readonly count: number;
  readonly pressed: readonly number[];
  readonly onPressed: (pressed: readonly number[]) => void;
  /** @param isTaken whether the numbers are to stand */
  readonly onDone: (isTaken: boolean) => void;
}) {
  const words =
    pressed.length < count
      ? `Press the one that the book numbers ${pressed.length + 1}, of ${count}.`
      : 'All of them have their numbers.';
  return (
    <>
      <p role="status">{words}</p>
      <p className={form.acts}>
        <Button rank="main" disabled={pressed.length === 0} onClick={() => onDone(true)}>
          {pressed.length < count ? 'Number them so, the rest as they follow' : 'Number them so'}
        </Button>
        <Button disabled={pressed.length === 0} onClick={() => onPressed(pressed.slice(0, -1))}>
          Take the last number back
        </Button>
        <Button onClick={() => onDone(false)}>Leave the numbers as they were</Button>
      </p>
    </>
  );
}

/** Places without a pattern: typed, or drawn about by pointer and arrow keys. The text is the one thing that is kept. */
export function PlacesEditor({ typed, onDisk, onTyped, error, isBegun, others }: Props) {
  const [before, setBefore] = useState<readonly TypedPlaces[]>([]);
  const [numbering, setNumbering] = useState<readonly number[]>();
  const places = placesIn(typed.text);
  const origins = originsIn(typed);
  const keep = () => setBefore((all) => [...all.slice(1 - MAX_UNDONE), typed]);
  const change = (next: readonly Position[], of: Origins, keeps = true) => {
    if (keeps) keep();
    onTyped({ text: textOfPlaces(next), origins: of });
  };
  const frame = frameOf(places);
  const last = before.at(-1);
  return (
    <div className={form.wide}>
      <PlacesDrawing
        places={places}
        numbering={numbering}
        onNumber={(place) => setNumbering((all) => (all === undefined || all.includes(place) ? all : [...all, place]))}
        onMove={(next, keeps) => change(next, origins, keeps)}
        onTake={(place) =>
          change(
            places.filter((_, i) => i !== place),
            origins.filter((_, i) => i !== place),
          )
        }
      />
      {numbering && (
        <Numbering
          count={places.length}
          pressed={numbering}
          onPressed={setNumbering}
          onDone={(isTaken) => {
            setNumbering(undefined);
            if (!isTaken) return;
            keep();
            onTyped(numberedBy(typed, numbering));
          }}
        />
      )}
      <Textarea
        label="Where each fastener lies, mm"
        description={
          isBegun
            ? 'Begun from the pattern, 100 apart: put in what you measure, a line each, from the left and from the top'
            : 'A line each: from the left, from the top'
        }
        autosize
        minRows={4}
        value={typed.text}
        error={error}
        readOnly={numbering !== undefined}
        onChange={(event) => onTyped(retyped(onDisk, typed, event.currentTarget.value))}
      />
      {others.length > 0 && (
        <NativeSelect
          label="Begin with the places of another joint"
          data={[
            { value: '', label: 'None' },
            ...others.map(({ id, name, places: own }) => ({ value: id, label: `${name} (${own.length})` })),
          ]}
          value=""
          disabled={numbering !== undefined}
          onChange={(event) => {
            const other = others.find(({ id }) => id === event.currentTarget.value);
            if (other)
              change(
                other.places,
                other.places.map((_, i) => origins[i] ?? null),
              );
          }}
        />
      )}
      {!numbering && (
        <p className={form.acts}>
          <Button
            onClick={() =>
              change(
                [...places, [snapped(frame.left + frame.width / 2), snapped(frame.top + frame.height)]],
                [...origins, null],
              )
            }
          >
            One more
          </Button>
          <Button onClick={() => change(mirrored(places), origins)}>Mirrored, left for right</Button>
          <Button disabled={places.length < 2} onClick={() => setNumbering([])}>
            Number them by pressing
          </Button>
          <Button
            disabled={last === undefined}
            onClick={() => {
              if (last === undefined) return;
              setBefore((all) => all.slice(0, -1));
              onTyped(last);
            }}
          >
            Undo the last
          </Button>
        </p>
      )}
    </div>
  );
}
