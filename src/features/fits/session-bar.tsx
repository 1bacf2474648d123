'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { CONDITIONS, type Answer, type Answers, type ConditionId, type FitKind } from '@/core/fits';
import { READING_UNITS_MM, type ReadingUnit } from '@/core/units';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { RESOLUTIONS, type Session } from './session';
import styles from './session-bar.module.css';

const UNITS: readonly { readonly value: ReadingUnit; readonly label: string }[] = [
  { value: 'mm', label: 'mm' },
  { value: 'µm', label: 'µm' },
  { value: 'in', label: 'inches' },
  { value: 'thou', label: 'thou' },
  { value: '0.0001 in', label: 'tenths (0.0001 in)' },
];

interface Props {
  readonly kind: FitKind;
  readonly session: Session;
  readonly change: (part: Partial<Session>) => void;
}

/** How readings are taken: unit, instrument and resolution at hand, the rest in a fold. */
export function SessionBar({ kind, session, change }: Props) {
  const isPair = kind.shape === 'pair';
  const text = (name: 'instrument' | 'outerInstrument' | 'standard' | 'part_C' | 'gauge_C' | 'by' | 'reportedBy') => ({
    value: session[name],
    autoComplete: 'off',
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => change({ [name]: event.currentTarget.value }),
  });
  const isListed = RESOLUTIONS.some(({ mm }) => mm === session.resolution_mm);
  const resolutions = isListed
    ? RESOLUTIONS
    : [...RESOLUTIONS, { mm: session.resolution_mm, name: `${session.resolution_mm} mm` }];
  const rest = [
    session.standard && `from a standard of ${session.standard}`,
    session.part_C && `part at ${session.part_C} °C`,
    session.by && `by ${session.by}`,
    session.reportedBy && `reported by ${session.reportedBy}`,
  ].filter(Boolean);
  return (
    <>
      <div className={styles.session}>
        <NativeSelect
          label="Read in"
          data={UNITS.filter(({ value }) => value in READING_UNITS_MM)}
          value={session.unit}
          onChange={(event) => change({ unit: event.currentTarget.value as ReadingUnit })}
        />
        <NativeSelect
          label="Reads to"
          data={resolutions.map(({ mm, name }) => ({ value: String(mm), label: name }))}
          value={String(session.resolution_mm)}
          onChange={(event) => change({ resolution_mm: Number(event.currentTarget.value) })}
        />
        <TextInput
          label={isPair ? `Instrument, ${kind.sides[0].toLowerCase()}` : 'Instrument'}
          {...text('instrument')}
        />
        {isPair && <TextInput label={`Instrument, ${kind.sides[1].toLowerCase()}`} {...text('outerInstrument')} />}
      </div>
      <Disclosure
        title="Standard, temperature, by whom"
        line={rest.length > 0 ? rest.join('; ') : 'sizes read whole, at 20 °C'}
      >
        <div className={form.grid}>
          <TextInput
            label="Set to a standard of"
            description="Then read as +0.012 or −0.5; empty for whole sizes"
            {...text('standard')}
          />
          <TextInput label="Part at, °C" description="Empty: at 20 °C" inputMode="decimal" {...text('part_C')} />
          <TextInput label="Gauge at, °C" inputMode="decimal" {...text('gauge_C')} />
          <TextInput label="Read by" {...text('by')} />
          <TextInput label="Reported by" description="Another shop’s measurement" {...text('reportedBy')} />
        </div>
      </Disclosure>
    </>
  );
}

interface ConditionsProps {
  readonly conditions: readonly ConditionId[];
  readonly answers: Answers;
  readonly change: (answers: Answers) => void;
}

/** Under which conditions the readings are taken: asked for, and kept with each. */
export function Conditions({ conditions, answers, change }: ConditionsProps) {
  if (conditions.length === 0) return null;
  const said = conditions.every((id) => answers[id] !== undefined);
  const box = (id: ConditionId, answer: Answer, label: string) => (
    <label className={form.choice}>
      <input
        type="radio"
        name={`condition-${id}`}
        checked={answers[id] === answer}
        onChange={() => change({ ...answers, [id]: answer })}
      />
      <span>
        {label}
        <span className="only-spoken">: {CONDITIONS[id]}</span>
      </span>
    </label>
  );
  return (
    <fieldset className={styles.conditions} data-said={said || undefined}>
      <legend>While it is read</legend>
      {conditions.map((id) => (
        <div key={id} className={styles.condition}>
          <span>{CONDITIONS[id]}</span>
          {box(id, 'yes', 'Yes')}
          {box(id, 'no', 'No')}
        </div>
      ))}
    </fieldset>
  );
}
