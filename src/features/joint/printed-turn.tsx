'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { readTurn, turnText } from '@/core/tightening';
import { positionsOf } from '@/model/joint/joint-shape';
import type { Joint } from '@/model/joint/joint';
import { tryCore } from '@/model/try-core';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useOutside } from '@/interface/parts/use-outside';
import { PlacePicker } from '@/interface/pattern/place-picker';

interface Props {
  readonly joint: Joint;
  readonly onTurn: (turn: readonly number[]) => void;
}

/** The order as the book has it: its places pressed one after another, or their numbers typed as printed. */
export function PrintedTurn({ joint, onTurn }: Props) {
  const placed = tryCore(() => positionsOf(joint));
  const positions = placed.ok ? placed.result : [];
  const [turn, setTurn] = useState<readonly number[]>(joint.detail.turn ?? []);
  const [text, setText] = useState(turnText(turn));
  const [isTyped, setTyped] = useState(false);
  const wrote = useOutside(joint.detail.turn, (kept) => {
    setTurn(kept ?? []);
    setText(turnText(kept ?? []));
    setTyped(false);
  });
  const keep = (whole: readonly number[]) => {
    wrote(whole);
    onTurn(whole);
  };
  const left = positions.length - turn.length;
  const take = (next: readonly number[]) => {
    setTurn(next);
    setText(turnText(next));
    setTyped(false);
    if (next.length === positions.length) keep(next);
  };
  const read = tryCore(() => readTurn(text, positions.length));
  const type = (typed: string) => {
    setText(typed);
    setTyped(true);
    const found = tryCore(() => readTurn(typed, positions.length));
    if (!found.ok) return;
    setTurn(found.result);
    keep(found.result);
  };
  if (!placed.ok) return null;
  return (
    <div className={form.wide}>
      <p>
        {left === 0
          ? 'The order stands as it was entered.'
          : `Press the places in the order of the book: ${left} ${left === 1 ? 'is' : 'are'} left.`}
      </p>
      <PlacePicker
        positions={positions}
        label="The places, to be pressed in the order of the book"
        textOf={(place) => (turn.includes(place) ? `${turn.indexOf(place) + 1}` : '')}
        captionOf={(place) => `place ${place + 1}`}
        nameOf={(place) =>
          turn.includes(place)
            ? `Place ${place + 1}: number ${turn.indexOf(place) + 1} in the order`
            : `Place ${place + 1}: not yet in the order`
        }
        isPicked={(place) => turn.includes(place)}
        onPick={(place) => {
          if (!turn.includes(place)) take([...turn, place]);
          else if (turn.at(-1) === place) take(turn.slice(0, -1));
        }}
      />
      <TextInput
        label="Or typed, by the numbers of the places"
        description="They count from the left, row by row: 1-3-5, 2-4-6"
        value={text}
        error={isTyped && !read.ok ? read.error.message : undefined}
        onChange={(event) => type(event.currentTarget.value)}
      />
      <p className={form.acts}>
        <Button onClick={() => take(turn.slice(0, -1))} disabled={turn.length === 0}>
          Take the last back
        </Button>
        <Button onClick={() => take([])} disabled={turn.length === 0}>
          Begin again
        </Button>
      </p>
    </div>
  );
}
