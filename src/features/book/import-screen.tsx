'use client';

import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { Source } from '@/model/book/source';
import { useFigures } from '@/interface/figures/preferences';
import { Button } from '@/interface/parts/button';
import { TableImport, type TableShown } from '@/interface/parts/table-import';
import { COLUMN_USES, type ColumnUse } from './column-uses';
import type { ImportRow, ImportTable } from './csv-table';
import { importTableAction, previewTableAction } from './import-actions';
import table from '@/interface/parts/table.module.css';
import styles from './import-screen.module.css';

type Preview = ImportTable & { readonly aside: string };

function RowLine({ row }: { readonly row: ImportRow }) {
  const { torque, plain } = useFigures();
  const read = () => {
    if (row.reason) return row.reason;
    if (row.deg !== undefined) return `${plain(row.deg)}° of turn`;
    const [low, high] = [torque(row.min_Nm ?? 0), torque(row.max_Nm ?? 0)];
    return low === high ? low : `${low} to ${high}`;
  };
  return (
    <tr data-aside={row.reason !== undefined || undefined}>
      <td>{row.line}</td>
      <td>{row.subject}</td>
      <td>{row.page}</td>
      <td className="printed">{row.printedText && `“${row.printedText}”`}</td>
      <td>{row.conditionText}</td>
      <td className={row.reason ? styles.reason : styles.read}>{read()}</td>
    </tr>
  );
}

const COLUMNS = ['Line', 'Subject', 'Page', 'Printed', 'Threads', 'Read as'];

const Rows = ({ rows }: { readonly rows: readonly ImportRow[] }) => (
  <div className={table.frame} tabIndex={0} role="group" aria-label="The rows">
    <table className={table.table}>
      <thead>
        <tr>
          {COLUMNS.map((column) => (
            <th key={column} scope="col">
              {column}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <RowLine key={row.line} row={row} />
        ))}
      </tbody>
    </table>
  </div>
);

/** What each column is; one that is given to a column is taken from the one that had it. */
const ColumnMatch = ({
  preview,
  onUses,
}: {
  readonly preview: Preview;
  readonly onUses: (uses: ColumnUse[]) => void;
}) => (
  <div className={styles.columns}>
    {preview.headings.map((heading, i) => (
      <NativeSelect
        key={i}
        label={heading || `Column ${i + 1}`}
        data={[...COLUMN_USES]}
        value={preview.uses[i]}
        onChange={(event) => {
          const use = event.currentTarget.value as ColumnUse;
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

interface Props {
  readonly engineId: string;
  readonly sources: readonly Source[];
}

/**
 * Reads a table of figures in: columns matched, each row shown as it will be read, nothing written until agreed, bad
 * rows kept aside.
 */
export function ImportScreen({ engineId, sources }: Props) {
  const [sourceId, setSourceId] = useState(sources[0]?.id ?? '');
  const foot = ({ text, preview, pending, enter }: TableShown<Preview>) => {
    const good = preview.rows.filter((row) => row.reason === undefined).length;
    const aside = preview.rows.length - good;
    return (
      <p className={styles.acts}>
        <NativeSelect
          aria-label="Into which source"
          data={sources.map(({ id, title }) => ({ value: id, label: title }))}
          value={sourceId}
          onChange={(event) => setSourceId(event.currentTarget.value)}
        />
        <Button
          rank="main"
          onClick={() => enter(() => importTableAction({ text, uses: preview.uses, engineId, sourceId }))}
          disabled={pending || good === 0}
        >
          {good === 1 ? 'Enter 1 entry' : `Enter ${good} leaves`}
        </Button>
        {aside > 0 && (
          <a download="kept-aside.csv" href={`data:text/csv;charset=utf-8,${encodeURIComponent(preview.aside)}`}>
            {aside === 1 ? 'The row' : `The ${aside} rows`} kept aside, with reasons
          </a>
        )}
      </p>
    );
  };
  return (
    <TableImport<Preview>
      title="A table of figures"
      lead="Each row is shown as it will be read. Nothing is written until you agree."
      look={(text) => previewTableAction({ text })}
      doneAt={`/engines/${engineId}/book`}
    >
      {(shown) => (
        <>
          <ColumnMatch
            preview={shown.preview}
            onUses={(uses) => shown.lookAgain(() => previewTableAction({ text: shown.text, uses }))}
          />
          <Rows rows={shown.preview.rows} />
          {foot(shown)}
        </>
      )}
    </TableImport>
  );
}
