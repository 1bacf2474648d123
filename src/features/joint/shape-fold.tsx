'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { MAX_FASTENERS, patternPositions, type PatternKind } from '@/core/tightening';
import type { JointDetail } from '@/model/joint/joint-detail';
import { tryCore } from '@/model/try-core';
import type { Joint } from '@/model/joint/joint';
import { DraftNote } from '@/interface/parts/action-form';
import { useOutside } from '@/interface/parts/use-outside';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import { keyOfShape } from '@/model/joint/joint-shape';
import { followPlaces, goesWithPlaces, type Origins } from '@/model/joint/places-followed';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { Notice } from '@/interface/parts/screen';
import { TakeAway } from '@/interface/parts/take-away';
import { CopyJointForm } from './copy-joint-form';
import { PATTERNS } from './joint-words';
import { PlacesEditor } from './places-editor';
import {
  originsIn,
  placesIn,
  placesOfPattern,
  retyped,
  textOfPlaces,
  typedOf,
  unreadLine,
  type TypedPlaces,
} from './places-of-text';
import type { OtherShape } from './queries';
import type { JointChange } from './schema';

interface Props {
  readonly joint: Joint;
  /** A nut of it was pulled: what is altered is for the next round. */
  readonly pulled: boolean;
  /** A round of it is half pulled: how many there are, and where, stands until it is done. */
  readonly halfPulled: boolean;
  readonly others: readonly OtherShape[];
  readonly onChange: (change: JointChange) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

const FORMS = ['shape', 'copy-joint'];

/** What stands on disk, told from what stood there before. */
const idOf = (joint: Joint): string => `${joint.name} ${keyOfShape(joint)}`;

/** How many places were typed, or why they cannot be. */
function countOfPlaces(text: string): { readonly count?: number; readonly refusal?: string } {
  const line = unreadLine(text);
  if (line !== undefined) return { refusal: `Line ${line} is no place: give two figures, as in 30 25.` };
  const places = placesIn(text);
  const found = tryCore(() => patternPositions('free', places.length, places));
  return found.ok ? { count: places.length } : { refusal: found.error.message };
}

/** What a count that was typed comes to, or why it is none. */
function countOf(
  text: string,
  pattern: PatternKind,
  places: string,
): { readonly count?: number; readonly refusal?: string } {
  if (pattern === 'free') return countOfPlaces(places);
  const count = Number(text.trim());
  if (!Number.isInteger(count) || count < 1 || count > MAX_FASTENERS)
    return { refusal: `Give a whole number from 1 to ${MAX_FASTENERS}, not “${text}”.` };
  return pattern === 'caps' && count % 2 === 1
    ? { refusal: 'A line of caps has two fasteners each, so an even number.' }
    : { count };
}

const counted = (count: number, one: string, many: string) =>
  count === 0 ? [] : [`${count} ${count === 1 ? one : many}`];

/** What becomes of what was said of places: what goes with those that are taken away, or has to be looked at anew. */
function goingWords({ detail }: Joint, origins: Origins | undefined): string | undefined {
  const { placeNotes, holes, kinds } = detail;
  if (placeNotes.length + holes.length + kinds.length === 0) return undefined;
  if (!origins)
    return 'Notes, holes and kinds stay with the number of their place: look at each of them when this is saved.';
  const going = goesWithPlaces(detail, origins);
  const list = [
    ...counted(going.notes, 'note', 'notes'),
    ...counted(going.holes, 'hole that was looked at', 'holes that were looked at'),
    ...counted(going.kinds, 'kind', 'kinds'),
  ];
  return list.length === 0 ? undefined : `With the places that are taken away: ${list.join(', ')}.`;
}

/** The places as they are typed. What was said of one goes by its number: of a pattern those are the places it has. */
function useTypedPlaces(joint: Joint) {
  const onDisk = textOfPlaces(joint.detail.places ?? []);
  const begun = joint.pattern === 'free' ? undefined : textOfPlaces(placesOfPattern(joint.pattern, joint.fasteners));
  const numbered = begun ?? onDisk;
  const [typed, setTyped] = useState<TypedPlaces>(typedOf(onDisk));
  // Saved, or taken back past this sheet: what stands here is held against what is there now.
  useOutside(numbered, (kept) => setTyped(({ text }) => retyped(kept, typedOf(kept), text)));
  return { onDisk, begun, numbered, typed, setTyped };
}

/** What the joint is called, how many fasteners it has and how they lie; while a round is half pulled these stand. */
export function ShapeFold({ joint, pulled, halfPulled, others, onChange, onDetail }: Props) {
  const [name, setName] = useState(joint.name);
  const [fasteners, setFasteners] = useState(String(joint.fasteners));
  const [pattern, setPattern] = useState<PatternKind>(joint.pattern);
  const { onDisk, begun, numbered, typed, setTyped } = useTypedPlaces(joint);
  const places = typed.text;
  const draft = useTableDraft({
    name: 'shape',
    values: { name, fasteners, pattern, places },
    onDisk: {
      name: joint.name,
      fasteners: String(joint.fasteners),
      pattern: joint.pattern,
      places: onDisk,
    },
    id: idOf(joint),
    restore: (kept) => {
      setName(kept.name);
      setFasteners(kept.fasteners);
      setPattern(kept.pattern);
      setTyped(retyped(numbered, typedOf(numbered), kept.places));
    },
  });
  const { count, refusal } = countOf(fasteners, pattern, places);
  const isMoved = !halfPulled && pattern === 'free' && textOfPlaces(placesIn(places)) !== onDisk;
  const changes: JointChange = {
    ...(name.trim() !== joint.name && name.trim() !== '' && { name: name.trim() }),
    ...(!halfPulled && count !== undefined && count !== joint.fasteners && { fasteners: count }),
    ...(!halfPulled && pattern !== joint.pattern && { pattern }),
  };
  const isChanged = Object.keys(changes).length > 0 || isMoved;
  const isOther = changes.fasteners !== undefined || changes.pattern !== undefined || isMoved;
  const said = isOther && goingWords(joint, pattern === 'free' ? originsIn(typed) : undefined);
  const where = PATTERNS.find(({ value }) => value === joint.pattern)?.label ?? '';
  return (
    <Disclosure title="Name, number and pattern" line={`${joint.fasteners}: ${where.toLowerCase()}`} forms={FORMS}>
      <DraftNote draft={draft} />
      <form
        className={form.form}
        onSubmit={(event) => {
          event.preventDefault();
          if (!isChanged || !(halfPulled || refusal === undefined)) return;
          const followed = pattern === 'free' ? followPlaces(joint.detail, originsIn(typed)) : { turn: null };
          const change: JointChange = {
            ...changes,
            // The book's own order is of the places there were.
            ...(isOther &&
              joint.orderSchool === 'as-printed' &&
              followed.turn === null && { orderSchool: 'centre-out' }),
          };
          const detail = isOther
            ? { ...followed, firstCap: null, ...(pattern === 'free' && { places: placesIn(places) }) }
            : {};
          draft.saved(idOf({ ...joint, ...change, detail: { ...joint.detail, ...detail } }));
          onChange(change);
          if (isOther) onDetail(detail);
        }}
      >
        <div className={form.grid}>
          <TextInput
            className={form.double}
            label="Name of the joint"
            maxLength={80}
            value={name}
            error={name.trim() === '' ? 'Give the joint a name.' : undefined}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          {!halfPulled && (
            <>
              {pattern !== 'free' && (
                <TextInput
                  label="Number of fasteners"
                  inputMode="numeric"
                  value={fasteners}
                  error={refusal}
                  onChange={(event) => setFasteners(event.currentTarget.value)}
                />
              )}
              <NativeSelect
                className={form.double}
                label="How they lie"
                data={[...PATTERNS]}
                value={pattern}
                onChange={(event) => {
                  const next = event.currentTarget.value as PatternKind;
                  // As many as there are places, until another number is typed.
                  if (pattern === 'free') setFasteners(String(placesIn(places).length));
                  if (next === 'free' && places.trim() === '') setTyped(typedOf(numbered));
                  setPattern(next);
                }}
              />
              {pattern === 'free' && (
                <PlacesEditor
                  typed={typed}
                  onDisk={numbered}
                  onTyped={setTyped}
                  error={refusal}
                  isBegun={places === begun}
                  others={others}
                />
              )}
            </>
          )}
          {said && <Notice kind="wait">{said}</Notice>}
          <div className={form.acts}>
            <Button type="submit" disabled={!isChanged || (!halfPulled && refusal !== undefined)}>
              Save these
            </Button>
            <TakeAway kind="joint" id={joint.id} name={joint.name} after={`/engines/${joint.engineId}/joints`} />
          </div>
        </div>
      </form>
      <p>
        <a href={`/api/joints/${joint.id}/drawing`} download>
          The drawing as a file (SVG)
        </a>
        {joint.pattern === 'free' && ', in millimetres: printed at full size it lies on the part'}
      </p>
      {(pulled || halfPulled) && (
        <p className="soft">
          {halfPulled
            ? 'A round of it is half pulled: how many there are, and how they lie, stands until it is done.'
            : 'Nuts of it were pulled: another number or other places are for the next round, and what was pulled stays as it was.'}
        </p>
      )}
      <CopyJointForm jointId={joint.id} />
    </Disclosure>
  );
}
