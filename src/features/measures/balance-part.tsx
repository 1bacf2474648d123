'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useListState } from '@mantine/hooks';
import { useState } from 'react';
import { IMBALANCE_UNITS, balanced, imbalance_gmm, type ImbalanceUnit } from '@/core/fits';
import { useFigures } from '@/interface/figures/preferences';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { Section } from '@/interface/parts/screen';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import type { EngineMeasure } from '@/model/engine/engine-measure';
import { KeepMeasure } from './kept-measure';
import styles from './measures.module.css';

interface PlaneFields {
  readonly name: string;
  readonly before: number | null;
  readonly after: number | null;
  readonly allowed: number | null;
}

const NO_PLANES: readonly PlaneFields[] = [
  { name: 'Front', before: null, after: null, allowed: null },
  { name: 'Rear', before: null, after: null, allowed: null },
];

/** What is typed off a balancing report; as it is on disk, or to begin with. */
function balanceFields(kept: EngineMeasure<'balance'>['body'] | undefined) {
  const unit: ImbalanceUnit = kept?.unit ?? 'g·mm';
  const per = imbalance_gmm(1, unit);
  const planes: readonly PlaneFields[] =
    kept?.planes.map((plane) => ({
      name: plane.name,
      before: plane.before_gmm / per,
      after: plane.after_gmm / per,
      allowed: plane.allowed_gmm === undefined ? null : plane.allowed_gmm / per,
    })) ?? NO_PLANES;
  return { report: kept?.report ?? '', unit, planes };
}

/** What a balancing report says, before and after, plane by plane. */
export function BalancePart({
  engineId,
  measure,
}: {
  readonly engineId: string;
  readonly measure?: EngineMeasure<'balance'>;
}) {
  const kept = measure?.body;
  const { significant } = useFigures();
  const onDisk = balanceFields(kept);
  const [report, setReport] = useState(onDisk.report);
  const [unit, setUnit] = useState(onDisk.unit);
  const per = imbalance_gmm(1, unit);
  const [planes, planeRows] = useListState<PlaneFields>([...onDisk.planes]);
  const restore = (to: typeof onDisk) => {
    setReport(to.report);
    setUnit(to.unit);
    planeRows.setState([...to.planes]);
  };
  const draft = useTableDraft({ name: 'balance', values: { report, unit, planes }, onDisk, id: measure?.id, restore });
  const { setItemProp } = planeRows;
  const given = planes.flatMap(({ name, before, after, allowed }) =>
    before === null || after === null
      ? []
      : [
          {
            name,
            before_gmm: before * per,
            after_gmm: after * per,
            ...(allowed !== null && { allowed_gmm: allowed * per }),
          },
        ],
  );
  const found = given.length === planes.length ? balanced(given) : undefined;
  return (
    <Section title="Imbalance, before and after" key={draft.key}>
      <div className={form.grid}>
        <TextInput
          label="From which report"
          value={report}
          onChange={(event) => setReport(event.currentTarget.value)}
        />
        <NativeSelect
          label="Printed in"
          data={[...IMBALANCE_UNITS]}
          value={unit}
          onChange={(event) => setUnit(event.currentTarget.value as ImbalanceUnit)}
        />
      </div>
      {planes.map((plane, i) => {
        const one = found?.[i];
        return (
          <div key={i} className={styles.row}>
            <TextInput
              label="Plane"
              value={plane.name}
              onChange={(event) => setItemProp(i, 'name', event.currentTarget.value)}
            />
            <MeasureField
              label={`Before, ${unit}`}
              kind="number"
              value={plane.before}
              onChange={(before) => setItemProp(i, 'before', before)}
              zero
            />
            <MeasureField
              label={`After, ${unit}`}
              kind="number"
              value={plane.after}
              onChange={(after) => setItemProp(i, 'after', after)}
              zero
            />
            <MeasureField
              label={`Allowed, ${unit}`}
              kind="number"
              value={plane.allowed}
              onChange={(allowed) => setItemProp(i, 'allowed', allowed)}
            />
            <span
              className={styles.off}
              data-kind={one?.verdict === 'inside' ? 'done' : one?.verdict === 'out' ? 'stop' : undefined}
            >
              {one && (one.removed >= 0 ? `${significant(one.removed * 100, 2)} % removed` : 'it grew')}
              {one?.verdict === 'out' && ', too much left'}
            </span>
          </div>
        );
      })}
      <KeepMeasure
        engineId={engineId}
        kind="balance"
        body={found ? { report, unit, planes: given } : undefined}
        words="Save the report"
        draft={draft}
      />
    </Section>
  );
}
