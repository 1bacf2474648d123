'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { MAX_FASTENERS, patternPositions, type PatternKind } from '@/core/tightening';
import type { JointDetail } from '@/model/joint/joint-detail';
import { tryCore } from '@/model/try-core';
import type { Joint } from '@/model/joint/joint';
import { DraftNote } from '@/interface/parts/action-form';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import { keyOfShape } from '@/model/joint/joint-shape';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { TakeAway } from '@/interface/parts/take-away';
import { CopyJointForm } from './copy-joint-form';
import { PATTERNS } from './joint-words';
import { PlacesEditor } from './places-editor';
import { placesIn, placesOfPattern, textOfPlaces, unreadLine } from './places-of-text';
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

/** What the joint is called, how many fasteners it has and how they lie; while a round is half pulled these stand. */
export function ShapeFold({ joint, pulled, halfPulled, others, onChange, onDetail }: Props) {
  const [name, setName] = useState(joint.name);
  const [fasteners, setFasteners] = useState(String(joint.fasteners));
  const [pattern, setPattern] = useState<PatternKind>(joint.pattern);
  const [places, setPlaces] = useState(textOfPlaces(joint.detail.places ?? []));
  const draft = useTableDraft({
    name: 'shape',
    values: { name, fasteners, pattern, places },
    onDisk: {
      name: joint.name,
      fasteners: String(joint.fasteners),
      pattern: joint.pattern,
      places: textOfPlaces(joint.detail.places ?? []),
    },
    id: idOf(joint),
    restore: (typed) => {
      setName(typed.name);
      setFasteners(typed.fasteners);
      setPattern(typed.pattern);
      setPlaces(typed.places);
    },
  });
  const { count, refusal } = countOf(fasteners, pattern, places);
  const begun = joint.pattern === 'free' ? undefined : textOfPlaces(placesOfPattern(joint.pattern, joint.fasteners));
  const isMoved =
    !halfPulled && pattern === 'free' && textOfPlaces(placesIn(places)) !== textOfPlaces(joint.detail.places ?? []);
  const changes: JointChange = {
    ...(name.trim() !== joint.name && name.trim() !== '' && { name: name.trim() }),
    ...(!halfPulled && count !== undefined && count !== joint.fasteners && { fasteners: count }),
    ...(!halfPulled && pattern !== joint.pattern && { pattern }),
  };
  const isChanged = Object.keys(changes).length > 0 || isMoved;
  const where = PATTERNS.find(({ value }) => value === joint.pattern)?.label ?? '';
  return (
    <Disclosure title="Name, number and pattern" line={`${joint.fasteners}: ${where.toLowerCase()}`} forms={FORMS}>
      <DraftNote draft={draft} />
      <form
        className={form.form}
        onSubmit={(event) => {
          event.preventDefault();
          if (!isChanged || !(halfPulled || refusal === undefined)) return;
          const isOther = changes.fasteners !== undefined || changes.pattern !== undefined || isMoved;
          const change: JointChange = {
            ...changes,
            // The book's own order is of the places there were.
            ...(isOther && joint.orderSchool === 'as-printed' && { orderSchool: 'centre-out' }),
          };
          const detail = isOther
            ? { turn: null, firstCap: null, ...(pattern === 'free' && { places: placesIn(places) }) }
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
                  if (next === 'free' && places.trim() === '') setPlaces(begun ?? '');
                  setPattern(next);
                }}
              />
              {pattern === 'free' && (
                <PlacesEditor
                  text={places}
                  onText={setPlaces}
                  error={refusal}
                  isBegun={places === begun}
                  others={others}
                />
              )}
            </>
          )}
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
