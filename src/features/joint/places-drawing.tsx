'use client';

import { DndContext, PointerSensor, useDraggable, useSensor, useSensors } from '@dnd-kit/core';
import { IconArrowDown, IconArrowLeft, IconArrowRight, IconArrowUp } from '@/interface/icons/icons';
import { useRef, useState, type KeyboardEvent } from 'react';
import { TransformComponent, TransformWrapper, useControls } from 'react-zoom-pan-pinch';
import type { Position } from '@/core/tightening';
import { Button } from '@/interface/parts/button';
import { frameOf, moved, snapped, STEP_MM, type Frame } from './places-of-text';
import styles from './places-editor.module.css';

interface Props {
  readonly places: readonly Position[];
  /** The places that were pressed so far, where they are being numbered; then none of them is moved. */
  readonly numbering?: readonly number[];
  readonly onNumber: (place: number) => void;
  /** @param keeps whether it can be taken back by itself: a drag is one step, however far it went */
  readonly onMove: (places: readonly Position[], keeps: boolean) => void;
  readonly onTake: (place: number) => void;
}

const FINE_MM = 1;
const NEAREST = 8;
const ARROWS: Readonly<Record<string, Position>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Where one looks; the paper goes the other way. */
const WAYS = [
  ['Look left', IconArrowLeft, 1, 0],
  ['Look right', IconArrowRight, -1, 0],
  ['Look up', IconArrowUp, 0, 1],
  ['Look down', IconArrowDown, 0, -1],
] as const;
const PAN_PX = 60;
/** The library's own width is that of what lies in it, and its style sheet comes after any of ours. */
const WIDE = { width: '100%' };
const SCROLLED_PAST = { ...WIDE, touchAction: 'pan-y' };

interface PlaceProps {
  readonly place: number;
  readonly at: Position;
  readonly radius: number;
  /** Its number as the book has it, from 0; -1 where it has none yet; undefined where none are being given. */
  readonly number?: number;
  readonly onKey: (event: KeyboardEvent) => void;
  readonly onPress?: () => void;
}

const nameOf = ({ place, at: [x, y], number }: Pick<PlaceProps, 'place' | 'at' | 'number'>): string => {
  const where = `Place ${place + 1}, at ${x} and ${y} mm.`;
  if (number === undefined) return `${where} Arrow keys move it, Delete takes it away.`;
  return number < 0 ? `${where} Not numbered yet.` : `${where} Number ${number + 1} now.`;
};

function Place({ place, at, radius, number, onKey, onPress }: PlaceProps) {
  const [x, y] = at;
  const { setNodeRef, listeners } = useDraggable({ id: String(place), disabled: number !== undefined });
  const { zoomToElement, instance } = useControls();
  return (
    <g
      // What is dragged is drawn: an element like any other, which the library has no type for.
      ref={setNodeRef as unknown as (node: SVGGElement | null) => void}
      {...listeners}
      role="button"
      tabIndex={0}
      aria-label={nameOf({ place, at, number })}
      className={styles.place}
      data-number={number === undefined ? undefined : number < 0 ? 'none' : 'given'}
      onClick={onPress}
      transform={`translate(${x} ${y})`}
      onKeyDown={onKey}
      onFocus={({ currentTarget }) => {
        const { scale } = instance.state;
        // Looked at from near, the one that the keys come to is brought into the middle; a pointer is there already.
        if (scale > 1 && currentTarget.matches(':focus-visible'))
          void zoomToElement(currentTarget as unknown as HTMLElement, scale, 0);
      }}
    >
      <circle r={2.2 * radius} className={styles.hit} />
      <circle r={radius} className={styles.head} />
      <text dy="0.36em" fontSize={1.1 * radius}>
        {number === undefined ? place + 1 : number < 0 ? '' : number + 1}
      </text>
    </g>
  );
}

/** How near the drawing is looked at, and where: by keys as by wheel and fingers. */
function Nearness() {
  const { zoomIn, zoomOut, resetTransform, panBy } = useControls();
  return (
    <div className={styles.nearness} role="group" aria-label="How near the drawing is looked at">
      <Button onClick={() => void zoomIn(0.5, 0)}>Nearer</Button>
      <Button onClick={() => void zoomOut(0.5, 0)}>Farther</Button>
      <Button onClick={() => void resetTransform(0)}>All of it</Button>
      {WAYS.map(([name, Icon, x, y]) => (
        <Button key={name} aria-label={name} onClick={() => void panBy(PAN_PX * x, PAN_PX * y, 0)}>
          <Icon size="1.1em" aria-hidden />
        </Button>
      ))}
    </div>
  );
}

interface Drag {
  readonly frame: Frame;
  readonly from: Position;
  readonly place: number;
}

/** The places from above: dragged, moved by arrow keys, and looked at from near. */
export function PlacesDrawing({ places, numbering, onNumber, onMove, onTake }: Props) {
  const drawing = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<Drag>();
  const [isNear, setNear] = useState(false);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 3 } }));
  // While one is dragged the paper lies still under it.
  const frame = drag?.frame ?? frameOf(places);
  const byKey = (place: number) => (event: KeyboardEvent) => {
    if (numbering) {
      if (event.key !== 'Enter' && event.key !== ' ') return;
      event.preventDefault();
      if (!event.repeat) onNumber(place);
      return;
    }
    const arrow = ARROWS[event.key];
    if (arrow) {
      event.preventDefault();
      const step = event.shiftKey ? FINE_MM : STEP_MM;
      onMove(moved(places, place, [arrow[0] * step, arrow[1] * step]), true);
    }
    if (event.key === 'Delete') onTake(place);
  };
  return (
    <DndContext
      id="places"
      sensors={sensors}
      autoScroll={false}
      accessibility={{ screenReaderInstructions: { draggable: 'Arrow keys move it.' } }}
      onDragStart={({ active }) => {
        const place = Number(active.id);
        const from = places[place];
        if (!from) return;
        setDrag({ frame, from, place });
        onMove(places, true);
      }}
      onDragMove={({ delta }) => {
        const box = drawing.current?.getBoundingClientRect();
        if (!drag || !box) return;
        const mm_per_px = Math.max(frame.width / box.width, frame.height / box.height);
        const at: Position = [snapped(drag.from[0] + delta.x * mm_per_px), snapped(drag.from[1] + delta.y * mm_per_px)];
        onMove(
          places.map((one, i) => (i === drag.place ? at : one)),
          false,
        );
      }}
      onDragEnd={() => setDrag(undefined)}
      onDragCancel={() => {
        if (drag)
          onMove(
            places.map((one, i) => (i === drag.place ? drag.from : one)),
            false,
          );
        setDrag(undefined);
      }}
    >
      <TransformWrapper
        maxScale={NEAREST}
        // A page that is scrolled past is not a drawing that is looked at from nearer.
        wheel={{ activationKeys: ['Control'] }}
        doubleClick={{ disabled: true }}
        // Seen whole there is nothing to push about, and a finger on it scrolls the page.
        panning={{ disabled: !isNear, excluded: [styles.place ?? ''], velocityDisabled: true }}
        onTransform={(_, { scale }) => setNear(scale > 1)}
      >
        <TransformComponent
          wrapperClass={isNear ? styles.near : styles.window}
          wrapperStyle={isNear ? WIDE : SCROLLED_PAST}
          contentStyle={WIDE}
        >
          <svg
            ref={drawing}
            className={styles.drawing}
            viewBox={`${frame.left} ${frame.top} ${frame.width} ${frame.height}`}
            role="group"
            aria-label="The places from above"
          >
            {places.map((at, place) => (
              <Place
                key={place}
                place={place}
                at={at}
                radius={0.03 * Math.max(frame.width, frame.height)}
                number={numbering?.indexOf(place)}
                onKey={byKey(place)}
                onPress={numbering && (() => onNumber(place))}
              />
            ))}
          </svg>
        </TransformComponent>
        <Nearness />
      </TransformWrapper>
    </DndContext>
  );
}
