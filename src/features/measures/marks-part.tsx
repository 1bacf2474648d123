'use client';

import { TextInput } from '@mantine/core';
import { useListState } from '@mantine/hooks';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Section } from '@/interface/parts/screen';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import { isSameMark, type EngineMeasure } from '@/model/engine/engine-measure';
import { KeepMeasure } from './kept-measure';
import styles from './measures.module.css';

type Pair = EngineMeasure<'marks'>['body']['pairs'][number];

/** The marks on what belongs together, and whether they say so. */
export function MarksPart({
  engineId,
  measure,
}: {
  readonly engineId: string;
  readonly measure?: EngineMeasure<'marks'>;
}) {
  const kept = measure?.body;
  const onDisk = { pairs: kept?.pairs ?? [{ place: 'Rod 1', one: '', other: '' }] };
  const [pairs, { append, pop, setItemProp, setState }] = useListState<Pair>([...onDisk.pairs]);
  const restore = (to: typeof onDisk) => setState([...to.pairs]);
  const draft = useTableDraft({ name: 'marks', values: { pairs }, onDisk, id: measure?.id, restore });
  const isWhole = pairs.every(
    ({ place, one, other }) => place.trim() !== '' && one.trim() !== '' && other.trim() !== '',
  );
  return (
    <Section title="Match marks" key={draft.key}>
      {pairs.map((pair, i) => (
        <div key={i} className={styles.row}>
          <TextInput
            label="What"
            value={pair.place}
            onChange={(event) => setItemProp(i, 'place', event.currentTarget.value)}
          />
          <TextInput
            label={`Mark on the one, ${i + 1}`}
            value={pair.one}
            onChange={(event) => setItemProp(i, 'one', event.currentTarget.value)}
          />
          <TextInput
            label={`Mark on its cap or half, ${i + 1}`}
            value={pair.other}
            onChange={(event) => setItemProp(i, 'other', event.currentTarget.value)}
            error={
              pair.one !== '' &&
              pair.other !== '' &&
              !isSameMark(pair.one, pair.other) &&
              'These two do not belong together.'
            }
          />
        </div>
      ))}
      <p className={form.acts}>
        <Button onClick={() => append({ place: `Rod ${pairs.length + 1}`, one: '', other: '' })}>Another pair</Button>
        {pairs.length > 1 && <Button onClick={pop}>Remove the last row</Button>}
      </p>
      <KeepMeasure
        engineId={engineId}
        kind="marks"
        body={isWhole ? { pairs } : undefined}
        words="Save the marks"
        draft={draft}
      />
    </Section>
  );
}
