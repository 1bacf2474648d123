'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import type { ShelfKind, ShelfRows } from '@/model/shelf/shelf-rows';
import { formatFixed } from '@/interface/figures/format';
import { useFigures } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Screen } from '@/interface/parts/screen';
import { ActionForm, Refusal } from '@/interface/parts/action-form';
import { useAct } from '@/interface/parts/use-act';
import { useActionForm } from '@/interface/parts/use-action-form';
import { useDrafts } from '@/interface/parts/use-draft';
import { useShowWorking, type Working } from '@/interface/shell/working-margin';
import { keepShelfRowAction, removeShelfRowAction } from './actions';
import { SHELF_SHAPES, type ShelfShape } from './shelf-kinds';
import table from '@/interface/parts/table.module.css';
import styles from './shelves.module.css';

type AnyRow = ShelfRows[ShelfKind];

export interface ShelvedRow {
  readonly row: AnyRow;
  /** Of the own row, which a writer must name; 0 where there is none. */
  readonly version: number;
  /** The shipped row that lies beneath an own one. */
  readonly shipped?: AnyRow;
}

interface FormProps {
  readonly shape: ShelfShape<ShelfKind>;
  readonly row?: AnyRow;
  readonly version: number;
  readonly onDone: () => void;
}

const NEW = 'new';
const rowFormName = (id: string) => `row-${id}`;

/** Puts a row of one's own on the shelf, over a shipped one or beside it. */
function RowForm({ shape, row, version, onDone }: FormProps) {
  const keep = ({ version: read, name, source, ...values }: Readonly<Record<string, string>>) => {
    const made = { id: row?.id ?? '', name, source, provenance: 'own', ...shape.rowOf(values) };
    return keepShelfRowAction({ kind: shape.kind, row: made, version: Number(read) });
  };
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm<Record<string, string>, unknown>(
    rowFormName(row?.id ?? NEW),
    {
      version: String(version),
      name: row?.name ?? '',
      source: row?.provenance === 'own' ? row.source : '',
      ...Object.fromEntries(shape.fields.map(({ name }) => [name, ''])),
      ...(row ? shape.valuesOf(row) : {}),
    },
    keep,
    (_, entered) => {
      entered.reset();
      onDone();
    },
    (stale) => ({ version: String(stale.version) }),
  );
  const field = fields.getInputProps;
  return (
    <ActionForm
      focus
      label={row ? `Change ${row.name}` : 'New row'}
      onSubmit={fields.onSubmit(submit)}
      problem={problem}
      draft={draft}
    >
      <TextInput label="Name" {...field('name')} />
      <TextInput label="Where the figures come from" {...field('source')} />
      {shape.fields.map(({ name, label }) => (
        <TextInput key={name} label={label} inputMode="decimal" {...field(name)} />
      ))}
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Save the row
        </Button>
        <Button
          onClick={() => {
            draft.discard();
            onDone();
          }}
        >
          Leave it
        </Button>
      </div>
    </ActionForm>
  );
}

const STANDING = { standard: 'standard', typical: 'typical', own: 'own' } as const;

/** One shelf: every row with its source and standing; own rows over the shipped ones, which stay beneath. */
export function ShelfScreen({ kind, rows }: { readonly kind: ShelfKind; readonly rows: readonly ShelvedRow[] }) {
  const shape = SHELF_SHAPES[kind] as unknown as ShelfShape<ShelfKind>;
  const { decimalSign } = useFigures();
  const [changing, setChanging] = useState<string>();
  const { act, problem } = useAct();
  const done = () => setChanging(undefined);
  // A row that was left half filled comes up again.
  useDrafts((names) =>
    setChanging([NEW, ...rows.map(({ row }) => row.id)].find((id) => names.includes(rowFormName(id)))),
  );
  const remove = (id: string, version: number) => act(() => removeShelfRowAction({ kind, id, version }));
  const cell = (value: number | undefined, column: number) =>
    value === undefined ? '' : formatFixed(value, shape.decimals[column] ?? 0, decimalSign);
  const workingOf = ({ row, shipped }: ShelvedRow): Working => ({
    title: row.name,
    remarks: [
      ['Source', row.source],
      ['Status', STANDING[row.provenance]],
      ...(shipped ? [['As shipped', shape.cells(shipped).map(cell).join(' · ')] as const] : []),
    ],
  });
  const show = useShowWorking(rows.map(workingOf));
  return (
    <Screen
      title={shape.title}
      lead={shape.lead}
      aside={
        <Button rank="main" onClick={() => setChanging(NEW)}>
          A row of your own
        </Button>
      }
    >
      <HydrationGate>
        {changing === NEW && <RowForm shape={shape} version={0} onDone={done} />}
        <Refusal problem={problem} />
        <div className={table.frame} tabIndex={0} role="group" aria-label={`${shape.title}, the rows`}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">Name</th>
                {shape.columns.map((column, i) => (
                  <th key={i} scope="col" className={table.right}>
                    {column}
                  </th>
                ))}
                <th scope="col">Status</th>
                <th scope="col">
                  <span className="only-spoken">Acts</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ row, shipped, version }) => (
                <tr key={row.id} {...show(workingOf({ row, shipped, version }))}>
                  <th scope="row" className={styles.name}>
                    {row.name}
                  </th>
                  {shape.cells(row).map((value, i) => (
                    <td key={i} className={table.right}>
                      {cell(value, i)}
                    </td>
                  ))}
                  <td className={row.provenance === 'own' ? styles.own : undefined}>{STANDING[row.provenance]}</td>
                  <td>
                    <span className={styles.links}>
                      <button
                        type="button"
                        className={`text-button ${styles.link}`}
                        onClick={() => setChanging(row.id)}
                      >
                        Change<span className="only-spoken"> {row.name}</span>
                      </button>
                      {row.provenance === 'own' && (
                        <button
                          type="button"
                          className={`text-button ${styles.link}`}
                          onClick={() => remove(row.id, version)}
                        >
                          {shipped ? 'As shipped' : 'Take off'}
                          <span className="only-spoken"> {row.name}</span>
                        </button>
                      )}
                    </span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {rows.length === 0 && <p className="soft">None yet.</p>}
        {rows.map(
          ({ row, version }) =>
            row.id === changing && (
              <section key={row.id} className={styles.change}>
                <h2>{row.name}, as this shop has it</h2>
                <RowForm shape={shape} row={row} version={version} onDone={done} />
              </section>
            ),
        )}
      </HydrationGate>
    </Screen>
  );
}
