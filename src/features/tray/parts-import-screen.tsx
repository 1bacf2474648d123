'use client';

import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import table from '@/interface/parts/table.module.css';
import { TableImport } from '@/interface/parts/table-import';
import { enterPartsAction, previewPartsAction } from './actions';
import type { PartRow } from './parts-csv';

interface Preview {
  readonly rows: readonly PartRow[];
}

const HEADINGS = ['Line', 'Part', 'Needed', 'Here', 'Goes to', 'Read as'];

const RowTable = ({ rows }: Preview) => (
  <div className={table.frame} tabIndex={0} role="group" aria-label="The rows">
    <table className={table.table}>
      <thead>
        <tr>
          {HEADINGS.map((heading) => (
            <th key={heading} scope="col">
              {heading}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ line, name, need, here, goesTo, reason }) => (
          <tr key={line} data-aside={reason !== undefined || undefined}>
            <td>{line}</td>
            <td>{name}</td>
            <td className="figure">{need}</td>
            <td className="figure">{here}</td>
            <td>{goesTo}</td>
            <td>{reason ?? 'on the tray'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);

/** Parts from a table: each shown as it will be read, nothing written until agreed. */
export const PartsImportScreen = ({ engineId }: { readonly engineId: string }) => (
  <TableImport<Preview>
    title="Parts in"
    lead="Headings as in the table that goes out: Part, Needed, Here, Mark, Number, Bag, Goes to, From, Condition. Part and Needed are enough."
    look={(text) => previewPartsAction({ text, engineId })}
    doneAt={`/engines/${engineId}/order/tray`}
  >
    {({ text, preview: { rows }, pending, enter }) => {
      const good = rows.filter(({ part }) => part !== undefined).length;
      const aside = rows.length - good;
      return (
        <>
          <RowTable rows={rows} />
          <p className={form.acts}>
            <Button
              rank="main"
              disabled={pending || good === 0}
              onClick={() => enter(() => enterPartsAction({ text, engineId }))}
            >
              {good === 1 ? 'Put 1 part on the tray' : `Put ${good} parts on the tray`}
            </Button>
            {aside > 0 && <span>{aside === 1 ? 'One row is' : `${aside} rows are`} kept aside.</span>}
          </p>
        </>
      );
    }}
  </TableImport>
);
