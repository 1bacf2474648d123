'use client';

import { assertNotNegative, INCH_MM, isDomainError, plainFigure } from '@/core/units';
import { NativeSelect, TextInput } from '@mantine/core';
import { useListState, type UseListStateHandlers } from '@mantine/hooks';
import { useMemo, useState, type ReactNode } from 'react';
import { bearingSize } from '@/core/fits';
import { readLength } from '@/core/print';
import { isSameMark, type EngineMeasure, type EngineMeasures } from '@/model/engine/engine-measure';
import { useLengths } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import { KeepMeasure } from './kept-measure';
import { MarksPart } from './marks-part';
import { workingOfBearings } from './measure-working';
import styles from './measures.module.css';

type Bearings = EngineMeasures['bearings'];

type Found =
  | { readonly ok: true; readonly step_mm: number; readonly off_mm: number }
  | { readonly ok: false; readonly message: string }
  | undefined;

interface Sizes {
  readonly journal_mm: number | null;
  readonly journalStandard_mm: number | null;
  readonly housing_mm: number | null;
  readonly housingStandard_mm: number | null;
  readonly tolerance_mm: number | null;
}

function attempt<T extends object>(
  work: () => T,
): (T & { readonly ok: true }) | { readonly ok: false; readonly message: string } {
  try {
    return { ...work(), ok: true };
  } catch (error) {
    if (isDomainError(error)) return { ok: false, message: error.message };
    throw error;
  }
}

/** `0.010 in, 0.020 in` in mm; a bare figure is mm. */
const readSteps = (text: string) =>
  attempt(() => {
    const steps_mm = text
      .split(/[;,]\s+|;|\s{2,}/)
      .map((part) => part.trim())
      .filter(Boolean)
      .map((part) => plainFigure(part) ?? readLength(part).min_mm);
    steps_mm.forEach((step, i) => assertNotNegative(step, `steps_mm[${i}]`));
    return { steps_mm };
  });

const find = (
  measured: number | null,
  standard: number | null,
  steps: readonly number[],
  kind: 'journal' | 'housing',
  tolerance: number | null,
): Found =>
  measured === null || standard === null || tolerance === null
    ? undefined
    : attempt(() => bearingSize(measured, standard, steps, kind, tolerance));

/** Which step the journal and the housing come to, by what has been typed so far. */
function found(v: Sizes, stepText: string) {
  const steps = readSteps(stepText);
  const list = steps.ok ? steps.steps_mm : [];
  return {
    steps,
    list,
    journal: find(v.journal_mm, v.journalStandard_mm, list, 'journal', v.tolerance_mm),
    housing: find(v.housing_mm, v.housingStandard_mm, list, 'housing', v.tolerance_mm),
  };
}

const USUAL = ['Main bearings', 'Big ends'];

type Shell = Bearings['shells'][number];

interface ShellsProps {
  readonly shells: Bearings['shells'];
  readonly rows: UseListStateHandlers<Shell>;
}

/** The marks on the shells of each bearing: two that do not match go back to the box. */
function Shells({ shells, rows }: ShellsProps) {
  return (
    <>
      {shells.map((shell, i) => (
        <div key={i} className={styles.row}>
          <b>{i + 1}</b>
          <TextInput
            label={`Mark on the upper shell, ${i + 1}`}
            value={shell.upper}
            onChange={(event) => rows.setItemProp(i, 'upper', event.currentTarget.value)}
          />
          <TextInput
            label={`Mark on the lower shell, ${i + 1}`}
            value={shell.lower}
            onChange={(event) => rows.setItemProp(i, 'lower', event.currentTarget.value)}
            error={
              shell.lower !== '' &&
              shell.upper !== '' &&
              !isSameMark(shell.upper, shell.lower) &&
              'These two do not match.'
            }
          />
        </div>
      ))}
      <p className={form.acts}>
        <Button onClick={() => rows.append({ upper: '', lower: '' })}>Another bearing</Button>
        {shells.length > 1 && <Button onClick={rows.pop}>Remove the last row</Button>}
      </p>
    </>
  );
}

/** What is typed of the sizes; as it is on disk, or to begin with. */
function sizeFields(kept: Bearings | undefined, inch: boolean) {
  const sizes: Sizes = kept ?? {
    journal_mm: null,
    journalStandard_mm: null,
    housing_mm: null,
    housingStandard_mm: null,
    tolerance_mm: 0.02,
  };
  const step = (mm: number) => (inch ? `${Number((mm / INCH_MM).toFixed(4))} in` : `${mm} mm`);
  const usual = inch ? '0.010 in, 0.020 in, 0.030 in' : '0.25 mm, 0.50 mm, 0.75 mm';
  return {
    sizes,
    stepText: kept ? kept.steps_mm.map(step).join(', ') : usual,
    shells: kept?.shells ?? [{ upper: '', lower: '' }],
  };
}

function SizePart({
  engineId,
  name,
  measure,
  which,
}: {
  readonly engineId: string;
  readonly name: string;
  readonly measure?: EngineMeasure<'bearings'>;
  readonly which: ReactNode;
}) {
  const { size, gap, inch } = useLengths();
  const kept = measure?.body;
  const onDisk = sizeFields(kept, inch);
  const [v, setV] = useState(onDisk.sizes);
  const [stepText, setStepText] = useState(onDisk.stepText);
  const [shells, shellRows] = useListState<Shell>([...onDisk.shells]);
  const restore = (to: typeof onDisk) => {
    setV(to.sizes);
    setStepText(to.stepText);
    shellRows.setState([...to.shells]);
  };
  const values = { sizes: v, stepText, shells };
  const draft = useTableDraft({ name: `bearings ${name}`, values, onDisk, id: measure?.id, restore });
  const set = (name: keyof Sizes) => (value: number | null) => setV((before) => ({ ...before, [name]: value }));
  const { steps, list, journal, housing } = useMemo(() => found(v, stepText), [v, stepText]);
  const { journal_mm, journalStandard_mm, housing_mm, housingStandard_mm, tolerance_mm } = v;
  const given =
    journal_mm !== null &&
    journalStandard_mm !== null &&
    housing_mm !== null &&
    housingStandard_mm !== null &&
    tolerance_mm !== null;
  const body =
    given && steps.ok && journal?.ok && housing?.ok
      ? { name, journal_mm, journalStandard_mm, housing_mm, housingStandard_mm, tolerance_mm, steps_mm: list, shells }
      : undefined;
  const working = useMemo(() => {
    const measured = (measured_mm: number | null, standard_mm: number | null, size: Found) =>
      measured_mm === null || standard_mm === null
        ? undefined
        : { measured_mm, standard_mm, ...(size?.ok && { step_mm: size.step_mm }) };
    return workingOfBearings(
      measured(journal_mm, journalStandard_mm, journal),
      measured(housing_mm, housingStandard_mm, housing),
      { size, gap },
    );
  }, [journal_mm, journalStandard_mm, housing_mm, housingStandard_mm, journal, housing, size, gap]);
  useDefaultWorking(working);
  const told = (one: Found, words: string) =>
    one &&
    (one.ok ? (
      <p data-testid={`size-${words}`}>
        <b className="figure">{one.step_mm === 0 ? 'Standard' : `${gap(one.step_mm)} ${words}`}</b>, off it by{' '}
        {gap(one.off_mm)}.
      </p>
    ) : (
      <Notice kind="stop">{one.message}</Notice>
    ));
  return (
    <Section title="Bearing size" key={draft.key}>
      <div className={form.grid}>
        {which}
        <MeasureField bothSystems label="Journal, measured" value={v.journal_mm} onChange={set('journal_mm')} />
        <MeasureField
          bothSystems
          label="Journal, standard"
          value={v.journalStandard_mm}
          onChange={set('journalStandard_mm')}
        />
        <MeasureField bothSystems label="Housing, measured" value={v.housing_mm} onChange={set('housing_mm')} />
        <MeasureField
          bothSystems
          label="Housing, standard"
          value={v.housingStandard_mm}
          onChange={set('housingStandard_mm')}
        />
        <TextInput
          label="Steps on sale"
          description="0.010 in, 0.020 in"
          value={stepText}
          onChange={(event) => setStepText(event.currentTarget.value)}
          error={!steps.ok && steps.message}
        />
        <MeasureField
          bothSystems
          label="Counts as that size within"
          value={v.tolerance_mm}
          onChange={set('tolerance_mm')}
          zero
        />
      </div>
      {told(journal, 'under')}
      {told(housing, 'over')}
      {journal?.ok && housing?.ok && (
        <p>
          Shells: {journal.step_mm === 0 ? 'standard' : `${gap(journal.step_mm)} under`} inside,{' '}
          {housing.step_mm === 0 ? 'standard' : `${gap(housing.step_mm)} over`} outside, for a journal of{' '}
          {size(journal_mm ?? 0)}.
        </p>
      )}
      <Shells shells={shells} rows={shellRows} />
      <KeepMeasure engineId={engineId} kind="bearings" body={body} words="Save the sizes" draft={draft} />
    </Section>
  );
}

/** Which shell from journal and housing, the shells' own marks, and what belongs to what. */
export function BearingsScreen({
  engineId,
  bearings,
  marks,
}: {
  readonly engineId: string;
  readonly bearings: readonly EngineMeasure<'bearings'>[];
  readonly marks?: EngineMeasure<'marks'>;
}) {
  const [name, setName] = useState(bearings[0]?.body.name ?? 'Main bearings');
  const names = [...new Set([...bearings.map(({ body }) => body.name), ...USUAL])];
  const which = (
    <NativeSelect
      label="Which bearings"
      data={names}
      value={name}
      onChange={(event) => setName(event.currentTarget.value)}
    />
  );
  return (
    <Screen title="Bearing sizes and match marks" lead="Measured before anything is ordered.">
      <HydrationGate>
        <SizePart
          key={name}
          engineId={engineId}
          name={name}
          measure={bearings.find(({ body }) => body.name === name)}
          which={which}
        />
        <MarksPart engineId={engineId} measure={marks} />
      </HydrationGate>
    </Screen>
  );
}
