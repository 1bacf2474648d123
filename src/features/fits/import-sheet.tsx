'use client';

import { Checkbox } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { useLengths } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import table from '@/interface/parts/table.module.css';
import { TableInput } from '@/interface/parts/table-input';
import { send } from '@/interface/parts/use-action-form';
import { importReadingsAction, previewReadingsAction } from './import-actions';
import type { ReadingRow } from './readings-csv';
import styles from './places.module.css';

function Rows({ rows }: { readonly rows: readonly ReadingRow[] }) {
  const { size } = useLengths();
  return (
    <div className={table.frame} tabIndex={0} role="group" aria-label="The rows">
      <table className={table.table}>
        <thead>
          <tr>
            <th scope="col">Line</th>
            <th scope="col">Fit</th>
            <th scope="col">Place</th>
            <th scope="col">Part</th>
            <th scope="col">Typed</th>
            <th scope="col">Read as</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.line} data-aside={row.reason !== undefined || undefined}>
              <td>{row.line}</td>
              <td>{row.fit}</td>
              <td>{row.place}</td>
              <td>
                {row.part} <span className="soft">{row.cell}</span>
              </td>
              <td className="figure">
                {row.typed} {row.unit}
              </td>
              <td className={row.reason ? styles.apart : 'figure'}>
                {row.reason ?? (row.value_mm === undefined ? '' : size(row.value_mm))}
                {row.doubt && <span className={styles.apart}> {row.doubt}</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Readings from a table: each shown as it will be read, nothing written until agreed. */
export function ReadingsImportSheet({ engineId }: { readonly engineId: string }) {
  const router = useRouter();
  const [text, setText] = useState('');
  const [rows, setRows] = useState<readonly ReadingRow[]>();
  const [sure, setSure] = useState(false);
  const [refusal, setRefusal] = useState<string>();
  const [pending, startTransition] = useTransition();
  const look = (read: string) =>
    startTransition(async () => {
      const outcome = await send(previewReadingsAction, { text: read, engineId });
      setRefusal(outcome.ok ? undefined : outcome.error.message);
      setRows(outcome.ok ? outcome.result : undefined);
    });
  const enter = () =>
    startTransition(async () => {
      const outcome = await send(importReadingsAction, { text, engineId, sure });
      if (outcome.ok) return router.push(`/engines/${engineId}/fits`);
      return setRefusal(outcome.error.message);
    });
  const readable = rows?.filter(({ reason }) => reason === undefined) ?? [];
  const doubtful = readable.filter(({ doubt }) => doubt !== undefined).length;
  const good = sure ? readable.length : readable.length - doubtful;
  const aside = (rows?.length ?? 0) - good;
  return (
    <Screen
      title="Readings in"
      lead="Headings as in the table that goes out: Fit, Place, Part, Station, Angle, Typed, Unit, Instrument, Read by. Nothing is written until you agree."
    >
      <HydrationGate>
        <TableInput text={text} onText={setText} onLook={look} pending={pending} />
        {refusal && <Notice kind="stop">{refusal}</Notice>}
        {rows && (
          <Section title="As it will be read">
            <Rows rows={rows} />
            {doubtful > 0 && (
              <Checkbox
                label={
                  doubtful === 1
                    ? 'The doubtful reading is really so: enter it too'
                    : `The ${doubtful} doubtful readings are really so: enter them too`
                }
                checked={sure}
                onChange={(event) => setSure(event.currentTarget.checked)}
              />
            )}
            <p className={form.acts}>
              <Button rank="main" onClick={enter} disabled={pending || good === 0}>
                {good === 1 ? 'Enter 1 reading' : `Enter ${good} readings`}
              </Button>
              {aside > 0 && <span>{aside === 1 ? 'One row is' : `${aside} rows are`} kept aside.</span>}
            </p>
          </Section>
        )}
      </HydrationGate>
    </Screen>
  );
}
