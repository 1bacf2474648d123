'use client';

import { Textarea } from '@mantine/core';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Position } from '@/core/tightening';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { mirrored, moved, placesIn, textOfPlaces } from './places-of-text';
import styles from './places-editor.module.css';

interface Props {
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly error?: string;
  /** They came from a pattern, and were measured by nobody. */
  readonly isBegun: boolean;
}

const STEP_MM = 5;
const FINE_MM = 1;
const ARROWS: Readonly<Record<string, Position>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

const snapped = (value: number) => Math.round(value / STEP_MM) * STEP_MM;

/** Places without a pattern: typed, or drawn about by pointer and arrow keys. The text is the one thing that is kept. */
export function PlacesEditor({ text, onText, error, isBegun }: Props) {
  const [before, setBefore] = useState<readonly string[]>([]);
  const drawing = useRef<SVGSVGElement>(null);
  const [dragged, setDragged] = useState<number>();
  const places = placesIn(text);
  const change = (next: readonly Position[], keeps = true) => {
    if (keeps) setBefore((all) => [...all.slice(-49), text]);
    onText(textOfPlaces(next));
  };
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
  const [left, top] = [Math.min(0, ...xs), Math.min(0, ...ys)];
  const [width, height] = [Math.max(100, ...xs) - left, Math.max(60, ...ys) - top];
  const edge = 0.08 * Math.max(width, height);
  const radius = 0.035 * Math.max(width, height);
  const pointed = (event: PointerEvent): Position | undefined => {
    const matrix = drawing.current?.getScreenCTM();
    if (!matrix) return undefined;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return [snapped(x), snapped(y)];
  };
  const byKey = (place: number) => (event: KeyboardEvent) => {
    const arrow = ARROWS[event.key];
    if (arrow) {
      event.preventDefault();
      const step = event.shiftKey ? FINE_MM : STEP_MM;
      change(moved(places, place, [arrow[0] * step, arrow[1] * step]));
    }
    if (event.key === 'Delete') change(places.filter((_, i) => i !== place));
  };
  const last = before.at(-1);
  return (
    <div className={form.wide}>
      <svg
        ref={drawing}
        className={styles.drawing}
        viewBox={`${left - edge} ${top - edge} ${width + 2 * edge} ${height + 2 * edge}`}
        role="group"
        aria-label="The places from above"
        onPointerMove={(event) => {
          const at = dragged === undefined ? undefined : pointed(event);
          if (at && dragged !== undefined)
            change(
              places.map((one, i) => (i === dragged ? at : one)),
              false,
            );
        }}
        onPointerUp={() => setDragged(undefined)}
      >
        {places.map(([x, y], place) => (
          <g
            key={place}
            role="button"
            tabIndex={0}
            aria-label={`Place ${place + 1}, at ${x} and ${y} mm. Arrow keys move it, Delete takes it away.`}
            className={styles.place}
            transform={`translate(${x} ${y})`}
            onKeyDown={byKey(place)}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              setBefore((all) => [...all.slice(-49), text]);
              setDragged(place);
            }}
          >
            <circle r={2.2 * radius} className={styles.hit} />
            <circle r={radius} className={styles.head} />
            <text dy="0.36em" fontSize={1.1 * radius}>
              {place + 1}
            </text>
          </g>
        ))}
      </svg>
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
      <p className={form.acts}>
        <Button onClick={() => change([...places, [snapped(left + width / 2), snapped(top + height + edge)]])}>
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
