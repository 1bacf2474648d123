'use client';

import { useEffect, useRef, type CSSProperties, type KeyboardEvent } from 'react';
import { useRest } from '@/interface/parts/use-rest';
import { STEP_STATE_WORDS } from '@/interface/words/order-words';
import { does } from '@/model/order/step';
import type { StepState } from '@/model/order/step-state';
import type { LineLayout } from './line-layout';
import { Station } from './station';
import { STATION } from './station-size';
import styles from './line-drawing.module.css';

interface Props {
  readonly steps: readonly StepState[];
  readonly layout: LineLayout;
  readonly selected: string;
  readonly onSelect: (id: string) => void;
}

type Place = { readonly x: number; readonly y: number };

type Point = LineLayout['tracks'][number]['points'][number];

const path = (points: readonly Point[]) => points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('');

/**
 * Of a long order, how many stations from its head, which is what its frame shows at first, and on either side of the
 * one looked at come with the page.
 */
const AT_HEAD = 16;
const BESIDE = 8;
const STATION_SIZE = { '--station-width': `${STATION.width}px`, '--station-height': `${STATION.height}px` };

/** The lines between stations, those drawn alike in one. */
function Tracks({ tracks, done }: { readonly tracks: LineLayout['tracks']; readonly done: ReadonlySet<string> }) {
  return [false, true].flatMap((hides) =>
    [false, true].map((isDone) => {
      const alike = tracks.filter((track) => track.hides === hides && done.has(track.from) === isDone);
      return (
        alike.length > 0 && (
          <path
            key={`${hides} ${isDone}`}
            d={alike.map(({ points }) => path(points)).join('')}
            className={styles.track}
            data-hides={hides || undefined}
            data-done={isDone || undefined}
          />
        )
      );
    }),
  );
}

/** The next step in a direction: along the order up and down, to the nearest other branch left and right. */
function nextOf(
  steps: readonly StepState[],
  places: LineLayout['places'],
  from: string,
  key: string,
): string | undefined {
  const order = steps.map(({ step }) => step.id);
  const at = order.indexOf(from);
  if (key === 'ArrowDown') return order[at + 1];
  if (key === 'ArrowUp') return order[at - 1];
  if (key === 'Home') return order[0];
  if (key === 'End') return order.at(-1);
  const here = places[from];
  if (!here || (key !== 'ArrowLeft' && key !== 'ArrowRight')) return undefined;
  const side = key === 'ArrowLeft' ? -1 : 1;
  const apart = ({ x, y }: Place) => Math.abs(y - here.y) * 2 + Math.abs(x - here.x);
  return Object.entries(places)
    .filter(([, { x }]) => (x - here.x) * side > STATION.width / 2)
    .sort(([, a], [, b]) => apart(a) - apart(b))[0]?.[0];
}

/** A gate lies across the line before the step that closes or starts the engine. */
function Gate({ place, words }: { readonly place: Place; readonly words: string }) {
  return (
    <g className={styles.gate}>
      <path d={`M${place.x} ${place.y - 5}h${STATION.width - 20}M${place.x} ${place.y - 1}h${STATION.width - 20}`} />
      <title>{words}</title>
    </g>
  );
}

/** The order as a line with stations, sub-assemblies joining it, gates across it; walked with the arrow keys. */
export function LineDrawing({ steps, layout, selected, onSelect }: Props) {
  const list = useRef<HTMLOListElement>(null);
  const frame = useRef<HTMLDivElement>(null);
  const wantsFocus = useRef(false);
  useEffect(() => {
    const node = list.current?.querySelector<HTMLElement>(`[data-step="${selected}"]`);
    if (wantsFocus.current) node?.focus({ preventScroll: true });
    const box = frame.current;
    const place = layout.places[selected];
    // Only the drawing moves: the page stays where it is read.
    if (box && place) box.scrollTo({ left: place.x - box.clientWidth / 3, top: place.y - box.clientHeight / 3 });
    wantsFocus.current = false;
  }, [selected, layout]);
  const walk = (event: KeyboardEvent) => {
    const next = nextOf(steps, layout.places, selected, event.key);
    if (next === undefined) return;
    event.preventDefault();
    wantsFocus.current = true;
    onSelect(next);
  };
  const isDone = new Set(steps.flatMap(({ step, state }) => (state === 'done' || state === 'stale' ? [step.id] : [])));
  const gates = steps.filter(({ step }) => does(step, 'closes') || does(step, 'starts'));
  const all = useRest();
  const at = steps.findIndex(({ step }) => step.id === selected);
  const shown = all ? steps : steps.filter((_, i) => i < AT_HEAD || Math.abs(i - at) <= BESIDE);
  return (
    <div ref={frame} className={styles.frame}>
      <div className={styles.canvas} style={{ width: layout.width, height: layout.height }}>
        <svg className={styles.tracks} width={layout.width} height={layout.height} aria-hidden>
          <Tracks tracks={layout.tracks} done={isDone} />
          {gates.map(({ step }) => {
            const place = layout.places[step.id];
            return place && <Gate key={step.id} place={place} words={does(step, 'closes') ? 'closes' : 'starts'} />;
          })}
        </svg>
        <ol
          ref={list}
          className={styles.list}
          style={STATION_SIZE as CSSProperties}
          aria-label="The order, a step a station"
          onKeyDown={walk}
        >
          {shown.map(({ step, state }) => {
            const place = layout.places[step.id] ?? { x: 0, y: 0 };
            return (
              <li key={step.id} className={styles.item} style={{ left: place.x, top: place.y }}>
                <button
                  type="button"
                  data-step={step.id}
                  data-state={state}
                  className={styles.step}
                  tabIndex={step.id === selected ? 0 : -1}
                  aria-pressed={step.id === selected}
                  onClick={() => onSelect(step.id)}
                  title={step.name}
                >
                  <Station state={state} />
                  <span className={styles.name}>
                    {step.name}
                    <span className="only-spoken"> ({STEP_STATE_WORDS[state]})</span>
                  </span>
                </button>
              </li>
            );
          })}
        </ol>
      </div>
    </div>
  );
}
