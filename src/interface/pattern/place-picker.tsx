'use client';

import type { KeyboardEvent } from 'react';
import type { Position } from '@/core/tightening';
import { patternBox } from './pattern-geometry';
import styles from './place-picker.module.css';

interface Props {
  readonly positions: readonly Position[];
  /** What stands in each: its number, or its place in the turn. */
  readonly textOf: (place: number) => string;
  /** Small, beneath each. */
  readonly captionOf?: (place: number) => string;
  /** What each is called aloud. */
  readonly nameOf: (place: number) => string;
  readonly isPicked: (place: number) => boolean;
  readonly onPick: (place: number) => void;
  readonly label: string;
}

const RADIUS = 34;

/** The joint from above, each of its places to be pressed or tapped. */
export function PlacePicker({ positions, textOf, captionOf, nameOf, isPicked, onPick, label }: Props) {
  const box = patternBox(positions);
  const byKey = (place: number) => (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    onPick(place);
  };
  return (
    <svg
      className={styles.picker}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      role="group"
      aria-label={label}
    >
      {positions.map(([x, y], place) => (
        <g
          key={place}
          role="button"
          tabIndex={0}
          aria-label={nameOf(place)}
          aria-pressed={isPicked(place)}
          className={styles.place}
          transform={`translate(${x} ${y})`}
          onClick={() => onPick(place)}
          onKeyDown={byKey(place)}
        >
          <circle r={RADIUS} />
          <text dy="0.36em">{textOf(place)}</text>
          {captionOf && (
            <text className={styles.caption} y={RADIUS + 17}>
              {captionOf(place)}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}
