'use client';

import type { PassageFrame } from '@/model/joint/clamp-left';
import { positionsOf } from '@/model/joint/joint-shape';
import type { Joint } from '@/model/joint/joint';
import { Button } from '@/interface/parts/button';
import { ClampDrawing } from '@/interface/pattern/clamp-drawing';
import styles from './clamp-map-body.module.css';

interface Props {
  readonly joint: Joint;
  readonly frames: readonly PassageFrame[];
  readonly turn: readonly number[];
  readonly at: number;
  readonly onAt: (at: number) => void;
}

/** What is left in each nut, pull by pull. */
export function ClampPlayed({ joint, frames, turn, at, onAt }: Props) {
  const frame = frames[at - 1];
  const shares = frame?.shares ?? turn.map(() => 0);
  const words = frame
    ? `After pull ${at} of ${frames.length}: number ${turn.indexOf(frame.place) + 1}, stage ${frame.stage + 1}`
    : 'Before the first pull';
  return (
    <div className={styles.played}>
      <ClampDrawing
        positions={positionsOf(joint)}
        shares={shares}
        pulled={frame?.place}
        label={`${words}. Left in each, per cent of its final clamp load: ${turn
          .map((place, i) => `${i + 1}: ${Math.round((shares[place] ?? 0) * 100)}`)
          .join(', ')}.`}
      />
      <p className="soft">{words}. Per cent of the middle of what its figure gives.</p>
      <p className={styles.keys}>
        <Button onClick={() => onAt(Math.max(0, at - 1))} disabled={at === 0}>
          A pull back
        </Button>
        <input
          className={styles.slide}
          type="range"
          aria-label="How far it has gone, in pulls"
          min={0}
          max={frames.length}
          value={at}
          onChange={(event) => onAt(Number(event.currentTarget.value))}
        />
        <Button onClick={() => onAt(Math.min(frames.length, at + 1))} disabled={at === frames.length}>
          The next pull
        </Button>
      </p>
    </div>
  );
}
