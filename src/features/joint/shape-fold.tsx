'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { MAX_FASTENERS, type PatternKind } from '@/core/tightening';
import type { Joint } from '@/model/joint/joint';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { TakeAway } from '@/interface/parts/take-away';
import { PATTERNS } from './joint-words';
import type { JointChange } from './schema';

interface Props {
  readonly joint: Joint;
  /** A nut of it was pulled: how many there are, and where, is history. */
  readonly pulled: boolean;
  readonly onChange: (change: JointChange) => void;
}

/** What a count that was typed comes to, or why it is none. */
function countOf(text: string, pattern: PatternKind): { readonly count?: number; readonly refusal?: string } {
  const count = Number(text.trim());
  if (!Number.isInteger(count) || count < 1 || count > MAX_FASTENERS)
    return { refusal: `Give a whole number from 1 to ${MAX_FASTENERS}, not “${text}”.` };
  return pattern === 'caps' && count % 2 === 1
    ? { refusal: 'A line of caps has two fasteners each, so an even number.' }
    : { count };
}

/** What the joint is called, and before its first pull how many fasteners it has and how they lie. */
export function ShapeFold({ joint, pulled, onChange }: Props) {
  const [name, setName] = useState(joint.name);
  const [fasteners, setFasteners] = useState(String(joint.fasteners));
  const [pattern, setPattern] = useState<PatternKind>(joint.pattern);
  const { count, refusal } = countOf(fasteners, pattern);
  const changes: JointChange = {
    ...(name.trim() !== joint.name && name.trim() !== '' && { name: name.trim() }),
    ...(!pulled && count !== undefined && count !== joint.fasteners && { fasteners: count }),
    ...(!pulled && pattern !== joint.pattern && { pattern }),
  };
  const isChanged = Object.keys(changes).length > 0;
  const where = PATTERNS.find(({ value }) => value === joint.pattern)?.label ?? '';
  return (
    <Disclosure title="Name, number and pattern" line={`${joint.fasteners}: ${where.toLowerCase()}`}>
      <form
        className={form.form}
        onSubmit={(event) => {
          event.preventDefault();
          if (isChanged && (pulled || refusal === undefined)) onChange(changes);
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
          {!pulled && (
            <>
              <TextInput
                label="Number of fasteners"
                inputMode="numeric"
                value={fasteners}
                error={refusal}
                onChange={(event) => setFasteners(event.currentTarget.value)}
              />
              <NativeSelect
                className={form.double}
                label="How they lie"
                data={[...PATTERNS]}
                value={pattern}
                onChange={(event) => setPattern(event.currentTarget.value as PatternKind)}
              />
            </>
          )}
          <div className={form.acts}>
            <Button type="submit" disabled={!isChanged || (!pulled && refusal !== undefined)}>
              Save these
            </Button>
            <TakeAway kind="joint" id={joint.id} name={joint.name} after={`/engines/${joint.engineId}/joints`} />
          </div>
        </div>
      </form>
      {pulled && (
        <p className="soft">Nuts of it were pulled: how many there are, and how they lie, stands as it was pulled.</p>
      )}
    </Disclosure>
  );
}
