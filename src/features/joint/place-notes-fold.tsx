'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { positionsOf, turnOf } from '@/model/joint/joint-shape';
import type { Joint } from '@/model/joint/joint';
import type { JointDetail } from '@/model/joint/joint-detail';
import { MAX_PLACE_NOTES, PLACE_NOTES, type PlaceNoteKind } from '@/model/joint/place-note';
import { tryCore } from '@/model/try-core';
import { DraftNote } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import { PlacePicker } from '@/interface/pattern/place-picker';
import { PLACE_NOTE_CHOICES, placeNoteWords } from '@/interface/words/place-note-words';

interface Props {
  readonly joint: Joint;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

interface HalfSaid {
  readonly picked: readonly number[];
  readonly kind: PlaceNoteKind;
  readonly words: string;
}

const NOTHING: HalfSaid = { picked: [], kind: PLACE_NOTES[0], words: '' };
const FORMS = ['place-note'];

/** What is special about a place: written here, said at the bench before it is pulled. */
export function PlaceNotesFold({ joint, onDetail }: Props) {
  const { placeNotes } = joint.detail;
  const found = tryCore(() => ({ positions: positionsOf(joint), turn: turnOf(joint) }));
  const [picked, setPicked] = useState<ReadonlySet<number>>(new Set());
  const [kind, setKind] = useState<PlaceNoteKind>(PLACE_NOTES[0]);
  const [words, setWords] = useState('');
  const draft = useTableDraft({
    name: 'place-note',
    // What is special stays chosen for the next places, and is nothing by itself.
    values: picked.size === 0 && words === '' ? NOTHING : { picked: [...picked], kind, words },
    onDisk: NOTHING,
    id: undefined,
    restore: (said) => {
      setPicked(new Set(said.picked.filter((place) => place < joint.fasteners)));
      setKind(said.kind);
      setWords(said.words);
    },
  });
  if (!found.ok) return null;
  const { positions, turn } = found.result;
  const named = (place: number) => `number ${turn.indexOf(place) + 1}`;
  const without = new Set(placeNotes.map(({ place }) => place)).size;
  const add = () => {
    const fresh = [...picked].sort((a, b) => a - b).map((place) => ({ place, kind, words: words.trim() }));
    onDetail({ placeNotes: [...placeNotes, ...fresh] });
    setPicked(new Set());
    setWords('');
  };
  return (
    <Disclosure
      title="What is special about a place"
      line={without === 0 ? 'nothing noted' : `${without} of ${positions.length} noted`}
      forms={FORMS}
    >
      <DraftNote draft={draft} />
      {placeNotes.length > 0 && (
        <ul className="points">
          {placeNotes.map((note, i) => (
            <li key={i}>
              <b>Number {turn.indexOf(note.place) + 1}</b>: {placeNoteWords(note)}{' '}
              <button
                type="button"
                className="text-button"
                onClick={() => onDetail({ placeNotes: placeNotes.filter((_, other) => other !== i) })}
              >
                Take it off
                <span className="only-spoken">
                  {' '}
                  of {named(note.place)}, {placeNoteWords(note)}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <p>Press the places that it is true of; they have the numbers of the order.</p>
      <PlacePicker
        positions={positions}
        label="The places, to be pressed where something is special"
        textOf={(place) => `${turn.indexOf(place) + 1}`}
        nameOf={(place) => `Place of ${named(place)}`}
        isPicked={(place) => picked.has(place)}
        onPick={(place) =>
          setPicked((before) =>
            before.has(place) ? new Set([...before].filter((one) => one !== place)) : new Set([...before, place]),
          )
        }
      />
      <div className={form.grid}>
        <NativeSelect
          className={form.double}
          label="What is special"
          data={[...PLACE_NOTE_CHOICES]}
          value={kind}
          onChange={(event) => setKind(event.currentTarget.value as PlaceNoteKind)}
        />
        <TextInput
          className={form.double}
          label="In words"
          description="Which sealant, how long, held by what"
          maxLength={200}
          value={words}
          onChange={(event) => setWords(event.currentTarget.value)}
        />
        <div className={form.acts}>
          <Button onClick={add} disabled={picked.size === 0 || placeNotes.length + picked.size > MAX_PLACE_NOTES}>
            {picked.size > 1 ? `Note it of ${picked.size} places` : 'Note it'}
          </Button>
        </div>
      </div>
    </Disclosure>
  );
}
