'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { nanoid } from 'nanoid';
import { STOOD_CHOICES } from '@/interface/words/seen-words';
import { fetchedPart } from '@/interface/parts/fetched-part';
import { useState } from 'react';
import { isHeatCycle, minutesAt, type Stood } from '@/core/heat';
import { HEAT_CYCLE_SCHOOLS, LEAST_CYCLES, type HeatCycleSchool } from '@/model/practice/house-practice';
import { TEMPERATURE_USES, type TemperatureUse } from '@/model/heat/temperature-table';
import { useFigures } from '@/interface/figures/preferences';
import { clockTime } from '@/interface/figures/times';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Notice } from '@/interface/parts/screen';
import { TableImport, type TableShown } from '@/interface/parts/table-import';
import { DayAndTimeFields } from '@/interface/parts/time-fields';
import { enterTemperaturesAction, previewTemperaturesAction, type TemperaturePreview } from './temperature-actions';
import styles from './run-in-screen.module.css';
import { fieldOf, isoOfField } from './time-field';

const TemperatureChart = fetchedPart(() => import('./temperature-chart').then((module) => module.default), {
  space: <div className={styles.chartSpace} />,
});

const MINUTE_MS = 60_000;

/** An air-cooled head that works hard is read at so much beside a stud; more is rather another unit. */
const HOTTEST_C = 150;

/** Joints that are gone over again, and what a run has to come to for each. */
export interface CountsFor {
  readonly name: string;
  readonly school: HeatCycleSchool;
}

interface Props {
  readonly engineId: string;
  readonly now: number;
  readonly counts: readonly CountsFor[];
  /** It would be the first run, and the first start's sheet is not finished. */
  readonly asksWhy: boolean;
}

/** When its first line was: as the table has it, on the day that is given; else so that it ends now. */
function firstField({ firstAt, points }: TemperaturePreview, now: number): string {
  const length = (points.at(-1)?.[0] ?? 0) * MINUTE_MS;
  if (firstAt?.includes('T')) {
    const at = Date.parse(firstAt);
    return Number.isNaN(at) ? '' : fieldOf(at);
  }
  if (firstAt === undefined) return fieldOf(now - length);
  const [hour = '', minute = ''] = firstAt.split(':');
  const today = `${fieldOf(now).slice(0, 10)}T${hour.padStart(2, '0')}:${minute}`;
  // What would end in the future was of the day before.
  const at = Date.parse(today);
  return at + length > now ? fieldOf(at - 24 * 60 * MINUTE_MS) : today;
}

/** What each column is; one that is given to a column is taken from the one that had it. */
const Columns = ({
  preview,
  onUses,
}: {
  readonly preview: TemperaturePreview;
  readonly onUses: (uses: TemperatureUse[]) => void;
}) => (
  <div className={form.grid}>
    {preview.headings.map((heading, i) => (
      <NativeSelect
        key={i}
        label={heading || `Column ${i + 1}`}
        data={[...TEMPERATURE_USES]}
        value={preview.uses[i]}
        onChange={(event) => {
          const use = event.currentTarget.value as TemperatureUse;
          onUses(
            preview.uses.map((before, at) =>
              at === i ? use : before === use && use !== 'left out' ? 'left out' : before,
            ),
          );
        }}
      />
    ))}
  </div>
);

/** Whether the run, as it is taken, counts as a heat cycle for each joint that is gone over again. */
function Counts({
  preview,
  from_min,
  to_min,
  counts,
}: { readonly preview: TemperaturePreview; readonly from_min: number; readonly to_min: number } & Pick<
  Props,
  'counts'
>) {
  const series = preview.points.filter(([minutes]) => minutes >= from_min && minutes <= to_min);
  const highest_C = series.reduce((high, [, C]) => Math.max(high, C), Number.NEGATIVE_INFINITY);
  const run = {
    id: '',
    ranFrom: from_min * MINUTE_MS,
    ranTo: to_min * MINUTE_MS,
    highest_C,
    ambient_C: 0,
    series,
  };
  const said = counts.length > 0 ? counts : HEAT_CYCLE_SCHOOLS.map((school) => ({ name: 'A run', school }));
  return (
    <ul className="points">
      {said.map(({ name, school }, i) => {
        const least = LEAST_CYCLES[school];
        return (
          <li key={i}>
            {name}: {least.minutes} min at {least.highest_C} °C {least.at} are asked for; it was{' '}
            {Math.floor(minutesAt(series, least.highest_C))} min there, and{' '}
            <b>{isHeatCycle(run, least) ? 'counts' : 'does not count'}</b>
            {isHeatCycle(run, least) && ', where the head had cooled since the run before'}.
          </li>
        );
      })}
    </ul>
  );
}

/** One table as it is read: its columns, its curve, the run in it, and what is written of it. */
function Shown({ engineId, now, counts, asksWhy, shown }: Props & { readonly shown: TableShown<TemperaturePreview> }) {
  const { preview, text, pending, enter, lookAgain } = shown;
  const { plain } = useFigures();
  const [firstAt, setFirstAt] = useState(() => firstField(preview, now));
  const first = Date.parse(firstAt);
  const end_min = preview.points.at(-1)?.[0] ?? 0;
  const [span, setSpan] = useState({ from_min: preview.run?.from_min ?? 0, to_min: preview.run?.to_min ?? end_min });
  const [ambient, setAmbient] = useState(() => String(preview.air_C ?? preview.run?.began_C ?? ''));
  const [probed, setProbed] = useState<'head' | 'coolant-or-oil' | ''>('');
  const [stood, setStood] = useState<Stood | ''>('');
  const [startReason, setStartReason] = useState('');
  const [id] = useState(() => nanoid());
  const hourOf = (minutes: number) =>
    Number.isNaN(first) ? `${Math.round(minutes)} min` : clockTime(first + minutes * MINUTE_MS);
  const field = (minutes: number) => (Number.isNaN(first) ? '' : fieldOf(first + minutes * MINUTE_MS));
  const minutesOf = (value: string) => Math.min(end_min, Math.max(0, (Date.parse(value) - first) / MINUTE_MS));
  const setEnd = (end: 'from_min' | 'to_min') => (value: string) => {
    const minutes = minutesOf(value);
    if (!Number.isNaN(minutes)) setSpan((before) => ({ ...before, [end]: minutes }));
  };
  return (
    <>
      <Columns preview={preview} onUses={(uses) => lookAgain(() => previewTemperaturesAction({ text, uses }))} />
      {preview.run ? (
        <p>
          {preview.lines} lines, up to <b>{plain(preview.run.highest_C)} °C</b>: running from {hourOf(span.from_min)} to{' '}
          {hourOf(span.to_min)}
          {preview.run.isStopped
            ? `, then cooled to ${plain(preview.run.cooledTo_C)} °C.`
            : '; it does not cool in this table.'}
        </p>
      ) : (
        <Notice kind="wait">{preview.why}</Notice>
      )}
      {preview.run && preview.run.highest_C > HOTTEST_C && (
        <Notice kind="wait">
          No head and no coolant is read at {plain(preview.run.highest_C)} °C without harm: is it in °F? Write °F into
          the heading of its column, and look at it again.
        </Notice>
      )}
      <div role="img" aria-label="The temperatures that were recorded, with the run marked in them">
        <TemperatureChart points={preview.points} {...span} hourOf={hourOf} />
      </div>
      <div className={form.grid}>
        <DayAndTimeFields label="Its first line" value={firstAt} onChange={setFirstAt} />
        <DayAndTimeFields label="Started" value={field(span.from_min)} onChange={setEnd('from_min')} />
        <DayAndTimeFields label="Stopped" value={field(span.to_min)} onChange={setEnd('to_min')} />
        <NativeSelect
          label="Where the probe sat"
          data={[
            { value: '', label: 'Say where' },
            { value: 'head', label: 'On the head, beside a stud' },
            { value: 'coolant-or-oil', label: 'In the coolant or the oil' },
          ]}
          value={probed}
          onChange={(event) => setProbed(event.currentTarget.value as typeof probed)}
        />
        <TextInput label="Air, °C" value={ambient} onChange={(event) => setAmbient(event.currentTarget.value)} />
        <NativeSelect
          label="Left to cool"
          data={[{ value: '', label: 'Nobody said' }, ...STOOD_CHOICES]}
          value={stood}
          onChange={(event) => setStood(event.currentTarget.value as Stood | '')}
        />
        {asksWhy && (
          <TextInput
            className={form.wide}
            label="Why it was started all the same"
            description="Its first start’s sheet is not finished. If it ran before it came here, say that."
            value={startReason}
            onChange={(event) => setStartReason(event.currentTarget.value)}
          />
        )}
      </div>
      <Counts preview={preview} {...span} counts={counts} />
      <p className="soft">
        Heat soaks out after an engine was stopped, so that the stop is taken late rather than early: put it right where
        you know it. Of a probe on the head what was read as it cooled is kept too, and opens the retorque as a reading
        by hand would.
      </p>
      {preview.aside.length > 0 && (
        <Notice kind="wait">
          {preview.aside.length} {preview.aside.length === 1 ? 'line is' : 'lines are'} left out: line{' '}
          {preview.aside[0]?.line}, {preview.aside[0]?.reason}.
        </Notice>
      )}
      <p className={form.acts}>
        <Button
          rank="main"
          disabled={pending || probed === ''}
          onClick={() =>
            enter(() =>
              enterTemperaturesAction({
                id,
                engineId,
                text,
                uses: [...preview.uses],
                sentAt: new Date().toISOString(),
                firstAt: isoOfField(firstAt),
                ...span,
                ambient_C: ambient,
                probed,
                startReason,
                ...(stood && { stood }),
              }),
            )
          }
        >
          Log this run
        </Button>
        {probed === '' && <span className="soft">Say where the probe sat first.</span>}
      </p>
    </>
  );
}

/** A run from a recorder's table of temperatures: shown as it will be read, nothing written until agreed. */
export const TemperatureScreen = (props: Props) => (
  <TableImport<TemperaturePreview>
    title="A recorded run"
    lead="A table of times and temperatures, as a recorder keeps it. The run is looked for in it; nothing is written until you agree."
    look={(text) => previewTemperaturesAction({ text })}
    doneAt={`/engines/${props.engineId}/run-in`}
  >
    {(shown) => <Shown key={`${shown.text.length} ${shown.preview.uses.join()}`} {...props} shown={shown} />}
  </TableImport>
);
