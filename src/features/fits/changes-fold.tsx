'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { CHANGES, cellGroups, isVoidedBy, type ChangeId } from '@/core/fits';
import type { FitLine } from '@/model/fit/fit';
import { planOfFit } from '@/model/fit/kind-of-fit';
import type { FitState } from '@/model/fit/place-state';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';

/** The changes that can touch a reading of this fit. */
function changesOf({ fit, kind }: FitState): readonly ChangeId[] {
  const parts = [...new Set(cellGroups(planOfFit(fit)).flatMap((cells) => cells.map(({ part }) => part)))];
  return (Object.keys(CHANGES) as ChangeId[]).filter((change) =>
    parts.some((part) => isVoidedBy(change, part, kind.conditions[part] ?? [])),
  );
}

/** Says that something changed since the readings: those that rested on it go stale and say why. */
export function ChangesFold({ judged, add }: { readonly judged: FitState; readonly add: (line: FitLine) => void }) {
  const changes = changesOf(judged);
  const [change, setChange] = useState<ChangeId>(changes[0] ?? 'part-changed');
  const [place, setPlace] = useState('all');
  const [words, setWords] = useState('');
  const keep = () => {
    add({
      id: nanoid(),
      kind: 'change',
      place: place === 'all' ? null : Number(place),
      at: new Date().toISOString(),
      body: { change, words: words.trim() },
    });
    setWords('');
  };
  return (
    <Disclosure title="Something has changed since" line="a cap loosened, a bore cut: what rests on it is read again">
      <div className={form.grid}>
        <NativeSelect
          label="What changed"
          data={changes.map((id) => ({ value: id, label: CHANGES[id].name }))}
          value={change}
          onChange={(event) => setChange(event.currentTarget.value as ChangeId)}
        />
        <NativeSelect
          label="Where"
          data={[
            { value: 'all', label: 'everywhere' },
            ...judged.fit.places.map((name, i) => ({ value: String(i), label: name })),
          ]}
          value={place}
          onChange={(event) => setPlace(event.currentTarget.value)}
        />
        <TextInput label="In words" value={words} onChange={(event) => setWords(event.currentTarget.value)} />
        <div className={form.acts}>
          <Button onClick={keep}>It has changed</Button>
        </div>
      </div>
    </Disclosure>
  );
}
