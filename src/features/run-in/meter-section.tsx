'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { METER_UNITS, type DistanceUnit } from '@/core/heat';
import type { MeterReading } from '@/model/heat/heat-log';
import { useFigures } from '@/interface/figures/preferences';
import { nearTime } from '@/interface/figures/times';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Section } from '@/interface/parts/screen';
import { useDrafts } from '@/interface/parts/use-draft';
import { DayAndTimeFields } from '@/interface/parts/time-fields';
import { useActionForm } from '@/interface/parts/use-action-form';
import { send } from '@/interface/parts/send';
import { addMeterAction, strikeHeatAction } from './actions';
import type { SinceTight } from './since-tight';
import styles from './run-in-screen.module.css';
import { fieldOf, isoOfField, timeProps, useOwnClock } from './time-field';

const UNIT_NAMES: Readonly<Record<MeterReading['unit'], string>> = {
  mi: 'miles, odometer',
  km: 'km, odometer',
  h: 'hours, hour meter',
};

const add = (fields: Record<string, string>) =>
  addMeterAction({ ...fields, at: isoOfField(fields.at ?? ''), sentAt: new Date().toISOString() });

interface Props {
  readonly engineId: string;
  readonly now: number;
  readonly unit: DistanceUnit;
  readonly meters: readonly MeterReading[];
  readonly sinceTight: readonly SinceTight[];
}

/** What the odometer reads, or the hour meter; one that reads less than before was exchanged, or turned over. */
function MeterForm({ engineId, now, unit, onDone }: Pick<Props, 'engineId' | 'now' | 'unit'> & { onDone: () => void }) {
  const [jumped, setJumped] = useState(false);
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm<Record<string, string>, unknown>(
    'meter',
    { id: nanoid(), engineId, at: fieldOf(now), reads: '', unit, jumpFrom: '', jumpTo: '' },
    add,
    onDone,
  );
  useOwnClock({ at: now }, now, fields);
  const field = fields.getInputProps;
  const asks = jumped || fields.errors.reads !== undefined || fields.values.jumpFrom !== '';
  return (
    <ActionForm label="The meter" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput label="It reads" inputMode="decimal" {...field('reads')} />
      <NativeSelect
        label="In"
        data={METER_UNITS.map((value) => ({ value, label: UNIT_NAMES[value] }))}
        {...field('unit')}
      />
      <DayAndTimeFields label="Read at" {...timeProps(fields, 'at')} />
      {asks && (
        <>
          <TextInput
            label="It had come to"
            description="The old one’s last figure, or where it turned over, such as 100,000"
            inputMode="decimal"
            {...field('jumpFrom')}
          />
          <TextInput
            label="and went on from"
            description="The new one’s first figure; 0 where it turned over"
            inputMode="decimal"
            {...field('jumpTo')}
          />
        </>
      )}
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Save what it reads
        </Button>
        {!asks && (
          <button type="button" className="text-button" onClick={() => setJumped(true)}>
            It was exchanged, or turned over
          </button>
        )}
      </div>
    </ActionForm>
  );
}

/** `212 miles, 6.4 hours, 3 heats`; what is not known is said to be so. */
function Since({
  since: { name, since, way, hours, heats },
  now,
}: {
  readonly since: SinceTight;
  readonly now: number;
}) {
  const { plain } = useFigures();
  const unsaid = way && way.unsaidRuns > 0 ? ` and ${way.unsaidRuns} runs of unknown length` : '';
  return (
    <li className={styles.line}>
      <span>
        {name}, tight since {nearTime(since, now)}
      </span>
      <span className="figure">
        {way ? `${plain(Math.round(way.value * 10) / 10)} ${way.unit}${unsaid}` : 'how far is not known'},{' '}
        {hours === undefined ? 'hours not known' : `${plain(Math.round(hours * 10) / 10)} h`}, {heats}{' '}
        {heats === 1 ? 'heat' : 'heats'}
      </span>
    </li>
  );
}

/** Odometer and hours as they were read, and how far it went since each joint was tightened. */
export function MeterSection({ engineId, now, unit, meters, sinceTight }: Props) {
  const { plain } = useFigures();
  const [entering, { open, close }] = useDisclosure(false);
  useDrafts((names) => names.includes('meter') && open());
  const [refusal, setRefusal] = useState<string>();
  const strike = async (strikesId: string) => {
    const outcome = await send(strikeHeatAction, { id: nanoid(), engineId, strikesId });
    setRefusal(outcome.ok ? undefined : outcome.error.message);
  };
  return (
    <Section title="Odometer and hours">
      {meters.length === 0 && !entering && (
        <p className="soft">
          Not read yet. Hours are counted by the runs; miles by its odometer, or by what the runs say.
        </p>
      )}
      {sinceTight.length > 0 && (
        <ul aria-label="Since they were tightened">
          {sinceTight.map((one) => (
            <Since key={one.jointId} since={one} now={now} />
          ))}
        </ul>
      )}
      {refusal && <p role="alert">{refusal}</p>}
      {meters.length > 0 && (
        <ul aria-label="As read">
          {meters.map(({ id, at, reads, unit: own, jump, who }) => (
            <li key={id} className={styles.line}>
              <span className="figure">
                {nearTime(at, now)}: {plain(reads)} {own}
                {jump && `, after it had come to ${plain(jump.from)} and went on from ${plain(jump.to)}`}
                {who && `, ${who}`}
              </span>
              <button type="button" className={`text-button ${styles.strike}`} onClick={() => strike(id)}>
                Undo<span className="only-spoken"> what was read {nearTime(at, now)}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {entering ? (
        <MeterForm engineId={engineId} now={now} unit={unit} onDone={close} />
      ) : (
        <p className={form.acts}>
          <Button onClick={open}>Read the odometer</Button>
        </p>
      )}
    </Section>
  );
}
