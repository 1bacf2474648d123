'use client';

import { NativeSelect } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { Source } from '@/model/book/source';
import { useFigures } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Button } from '@/interface/parts/button';
import { TableInput } from '@/interface/parts/table-input';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import { send } from '@/interface/parts/use-action-form';
import type { ColumnUse, ImportRow, ImportTable } from './csv-table';
import { importTableAction, previewTableAction } from './import-actions';
import table from '@/interface/parts/table.module.css';
import styles from './import-sheet.module.css';

const USES: readonly ColumnUse[] = ['subject', 'page', 'figure', 'unit', 'threads', 'left out'];

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

/**
 * Reads a table of figures in: columns matched, each row shown as it will be read, nothing written until agreed, bad
 * rows kept aside.
 */
export function ImportSheet({ engineId, sources }: { readonly engineId: string; readonly sources: readonly Source[] }) {
  const router = useRouter();
  const [text, setText] = useState('');
  const [preview, setPreview] = useState<Preview>();
  const [sourceId, setSourceId] = useState(sources[0]?.id ?? '');
  const [refusal, setRefusal] = useState<string>();
  const [pending, startTransition] = useTransition();
  const look = (table: string, uses?: readonly ColumnUse[]) =>
    startTransition(async () => {
      const outcome = await send(previewTableAction, { text: table, ...(uses && { uses }) });
      setRefusal(outcome.ok ? undefined : outcome.error.message);
      setPreview(outcome.ok ? outcome.result : undefined);
    });
  const enter = () =>
    startTransition(async () => {
      const outcome = await send(importTableAction, { text, uses: preview?.uses, engineId, sourceId });
      if (outcome.ok) return router.push(`/engines/${engineId}/book`);
      return setRefusal(outcome.error.message);
    });
  const good = preview?.rows.filter((row) => row.reason === undefined).length ?? 0;
  const aside = (preview?.rows.length ?? 0) - good;
  return (
    <Screen title="A table of figures" lead="Each row is shown as it will be read. Nothing is written until you agree.">
      <HydrationGate>
        <TableInput text={text} onText={setText} onLook={(read) => look(read)} pending={pending} />
        {refusal && <Notice kind="stop">{refusal}</Notice>}
        {preview && (
          <Section title="As it will be read">
            <div className={styles.columns}>
              {preview.headings.map((heading, i) => (
                <NativeSelect
                  key={i}
                  label={heading || `Column ${i + 1}`}
                  data={[...USES]}
                  value={preview.uses[i]}
                  onChange={(event) => {
                    const use = event.currentTarget.value as ColumnUse;
                    look(
                      text,
                      preview.uses.map((before, at) =>
                        at === i ? use : before === use && use !== 'left out' ? 'left out' : before,
                      ),
                    );
                  }}
                />
              ))}
            </div>
            <div className={table.frame} tabIndex={0} role="group" aria-label="The rows">
              <table className={table.table}>
                <thead>
                  <tr>
                    <th scope="col">Line</th>
                    <th scope="col">Subject</th>
                    <th scope="col">Page</th>
                    <th scope="col">Printed</th>
                    <th scope="col">Threads</th>
                    <th scope="col">Read as</th>
                  </tr>
                </thead>
                <tbody>
                  {preview.rows.map((row) => (
                    <RowLine key={row.line} row={row} />
                  ))}
                </tbody>
              </table>
            </div>
            <p className={styles.acts}>
              <NativeSelect
                aria-label="Into which source"
                data={sources.map(({ id, title }) => ({ value: id, label: title }))}
                value={sourceId}
                onChange={(event) => setSourceId(event.currentTarget.value)}
              />
              <Button rank="main" onClick={enter} disabled={pending || good === 0}>
                {good === 1 ? 'Enter 1 leaf' : `Enter ${good} leaves`}
              </Button>
              {aside > 0 && (
                <a download="kept-aside.csv" href={`data:text/csv;charset=utf-8,${encodeURIComponent(preview.aside)}`}>
                  {aside === 1 ? 'The row' : `The ${aside} rows`} kept aside, with reasons
                </a>
              )}
            </p>
          </Section>
        )}
      </HydrationGate>
    </Screen>
  );
}
