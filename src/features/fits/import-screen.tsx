'use client';

import '@mantine/core/styles/Progress.css';
import { Checkbox, Progress } from '@mantine/core';
import { useState } from 'react';
import { useLengths } from '@/interface/figures/preferences';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import table from '@/interface/parts/table.module.css';
import { Notice } from '@/interface/parts/screen';
import { TableImport, type TableShown } from '@/interface/parts/table-import';
import { previewReadingsAction } from './import-actions';
import type { ReadingRow } from './readings-csv';
import { useTableEntry } from './use-table-entry';
import styles from './places.module.css';

function RowTable({ rows }: { readonly rows: readonly ReadingRow[] }) {
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

type Rows = readonly ReadingRow[];

interface FootProps extends TableShown<Rows> {
  readonly engineId: string;
}

/** What is doubtful goes in only where it is said to be so. */
function Foot({ text, preview, pending, engineId, lookAgain }: FootProps) {
  const [sure, setSure] = useState(false);
  const { enter, stop, entry, problem } = useTableEntry(engineId);
  const readable = preview.filter(({ reason }) => reason === undefined);
  const doubtful = readable.filter(({ doubt }) => doubt !== undefined).length;
  const good = sure ? readable.length : readable.length - doubtful;
  const aside = preview.length - good;
  if (entry)
    return (
      <>
        <Progress
          value={(100 * entry.entered) / Math.max(1, entry.total)}
          aria-label="Readings entered"
          transitionDuration={0}
        />
        <p className={form.acts}>
          <Button onClick={stop}>Stop</Button>
          <span role="status">
            {entry.total === 0
              ? 'The table is being looked through.'
              : `${entry.entered} of ${entry.total} entered. What is entered stays.`}
          </span>
        </p>
      </>
    );
  return (
    <>
      {problem && <Notice kind="stop">{problem.message}</Notice>}
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
        <Button
          rank="main"
          onClick={() => enter({ text, sure }, () => lookAgain(() => previewReadingsAction({ text, engineId })))}
          disabled={pending || good === 0}
        >
          {good === 1 ? 'Enter 1 reading' : `Enter ${good} readings`}
        </Button>
        {aside > 0 && <span>{aside === 1 ? 'One row is' : `${aside} rows are`} kept aside.</span>}
      </p>
    </>
  );
}

/** Readings from a table: each shown as it will be read, nothing written until agreed. */
export const ReadingsImportScreen = ({ engineId }: { readonly engineId: string }) => (
  <TableImport<Rows>
    title="Readings in"
    lead="Headings as in the table that goes out: Fit, Place, Part, Station, Angle, Typed, Unit, Instrument, Read by. Nothing is written until you agree."
    look={(text) => previewReadingsAction({ text, engineId })}
    doneAt={`/engines/${engineId}/fits`}
  >
    {(shown) => (
      <>
        <RowTable rows={shown.preview} />
        <Foot {...shown} engineId={engineId} />
      </>
    )}
  </TableImport>
);
