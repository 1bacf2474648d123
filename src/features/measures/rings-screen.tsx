'use client';

import { plainFigure } from '@/core/units';
import { clockingDoubts, evenClocking, GAP_MARKS, type GapMark } from '@/core/fits';
import { choices } from '@/interface/words/choices';
import { NativeSelect, TextInput } from '@mantine/core';
import { useListState } from '@mantine/hooks';
import { useState } from 'react';
import type { EngineMeasure } from '@/model/engine/engine-measure';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Notice, Screen } from '@/interface/parts/screen';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import { ClockingDrawing } from './clocking-drawing';
import { KeepMeasure } from './kept-measure';
import styles from './measures.module.css';

interface MarkFields {
  readonly name: string;
  readonly deg: string;
  readonly kind: GapMark['kind'];
}

const START: readonly MarkFields[] = evenClocking(['Top ring', 'Second ring', 'Oil ring'], 30).map(
  ({ name, at_deg, kind }) => ({
    name,
    deg: String(at_deg),
    kind,
  }),
);

const ABOUT = {
  title: 'Clocking',
  remarks: [
    ['Apart', 'gaps 60° or more apart, so that gas finds no straight way; three rings lie 120° apart'],
    ['Keep off', 'the piston pin and the thrust side, by 15°'],
    ['Expander', 'its ends butt and do not overlap; rail gaps keep off them'],
    ['Recorded', 'as it is on this engine: the book of another may say otherwise'],
  ],
} as const;

/** What is typed of the ring gaps; as it is on disk, or to begin with. */
const clockingFields = (kept: EngineMeasure<'clocking'>['body'] | undefined) => ({
  marks: kept?.marks.map(({ name, at_deg, kind }): MarkFields => ({ name, deg: String(at_deg), kind })) ?? [...START],
  pin: String(kept?.pin_deg ?? (kept ? '' : 0)),
  thrust: String(kept?.thrust_deg ?? ''),
  note: kept?.note ?? '',
});

/** Where the ring gaps lie, drawn from above, and what stands against it. */
export function RingsScreen({
  engineId,
  kept: measure,
}: {
  readonly engineId: string;
  readonly kept?: EngineMeasure<'clocking'>;
}) {
  const onDisk = clockingFields(measure?.body);
  const [marks, { append, apply, pop, setItemProp, setState: setMarks }] = useListState<MarkFields>([...onDisk.marks]);
  const [pin, setPin] = useState(onDisk.pin);
  const [thrust, setThrust] = useState(onDisk.thrust);
  const [note, setNote] = useState(onDisk.note);
  const restore = (to: typeof onDisk) => {
    setMarks([...to.marks]);
    setPin(to.pin);
    setThrust(to.thrust);
    setNote(to.note);
  };
  const values = { marks, pin, thrust, note };
  const draft = useTableDraft({ name: 'clocking', values, onDisk, id: measure?.id, restore });
  useDefaultWorking(ABOUT);
  const read = marks.map(({ name, deg, kind }) => ({ name, at_deg: plainFigure(deg), kind }));
  const isWhole = read.every(
    (mark): mark is GapMark =>
      mark.at_deg !== undefined && mark.at_deg >= -360 && mark.at_deg <= 720 && mark.name.trim() !== '',
  );
  const given: readonly GapMark[] = read.flatMap((mark) =>
    mark.at_deg === undefined ? [] : [{ ...mark, at_deg: mark.at_deg }],
  );
  const [pin_deg, thrust_deg] = [plainFigure(pin), plainFigure(thrust)];
  const input = {
    marks: given,
    ...(pin_deg !== undefined && { pin_deg }),
    ...(thrust_deg !== undefined && { thrust_deg }),
  };
  const doubts = clockingDoubts(input);
  const add = (kind: GapMark['kind'], name: string) => append({ name, deg: '0', kind });
  const even = () => {
    const spread = evenClocking(
      marks.filter(({ kind }) => kind === 'gap').map(({ name }) => name),
      plainFigure(marks[0]?.deg ?? '') ?? 0,
    );
    apply((mark) => ({
      ...mark,
      deg: String(
        Number((spread.find(({ name }) => name === mark.name)?.at_deg ?? plainFigure(mark.deg) ?? 0).toFixed(1)),
      ),
    }));
  };
  return (
    <Screen title="Ring clocking" lead="Degrees clockwise from the front, seen from above.">
      <HydrationGate>
        <div className={styles.clock}>
          <ClockingDrawing {...input} />
          <div>
            {marks.map((mark, i) => (
              <div key={i} className={styles.row}>
                <b>{i + 1}</b>
                <TextInput
                  label="Name"
                  value={mark.name}
                  onChange={(event) => setItemProp(i, 'name', event.currentTarget.value)}
                />
                <TextInput
                  label="At, degrees"
                  inputMode="decimal"
                  value={mark.deg}
                  onChange={(event) => setItemProp(i, 'deg', event.currentTarget.value)}
                  error={plainFigure(mark.deg) === undefined && 'Give it in degrees.'}
                />
                <NativeSelect
                  label="What it is"
                  data={choices(GAP_MARKS, { gap: 'a gap', expander: 'an expander’s end' })}
                  value={mark.kind}
                  onChange={(event) => setItemProp(i, 'kind', event.currentTarget.value as GapMark['kind'])}
                />
              </div>
            ))}
          </div>
        </div>
        <p className={form.acts}>
          <Button onClick={() => add('gap', `Ring ${marks.length + 1}`)}>Another gap</Button>
          <Button
            onClick={() =>
              add('expander', `Expander end ${marks.filter(({ kind }) => kind === 'expander').length + 1}`)
            }
          >
            An expander’s end
          </Button>
          {marks.length > 1 && <Button onClick={pop}>Remove the last row</Button>}
          <Button onClick={even}>Spread evenly from the first</Button>
        </p>
        <div className={form.grid}>
          <TextInput
            label="Piston pin lies at, degrees"
            inputMode="decimal"
            value={pin}
            onChange={(event) => setPin(event.currentTarget.value)}
          />
          <TextInput
            label="Thrust side at, degrees"
            inputMode="decimal"
            value={thrust}
            onChange={(event) => setThrust(event.currentTarget.value)}
          />
          <TextInput label="Note" value={note} onChange={(event) => setNote(event.currentTarget.value)} />
        </div>
        {doubts.map((doubt) => (
          <Notice key={doubt.message} kind="wait">
            {doubt.message}
          </Notice>
        ))}
        <KeepMeasure
          engineId={engineId}
          kind="clocking"
          body={isWhole ? { ...input, note } : undefined}
          draft={draft}
        />
      </HydrationGate>
    </Screen>
  );
}
