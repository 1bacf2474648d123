'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { DomainError } from '@/core/units';
import { leafOfText } from '@/model/book/leaf-of-text';
import { nowIso } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { COLUMN_USES, asideCsv, readTable, type ColumnUse } from './csv-table';

const MAX_CHARACTERS = 5_000_000;

const tableFields = {
  text: Joi.string()
    .max(MAX_CHARACTERS)
    .required()
    .messages({ 'string.empty': 'Paste the table, or choose its file.' }),
  uses: Joi.array()
    .items(Joi.string().valid(...COLUMN_USES))
    .max(200),
};

const previewSchema = Joi.object<{ text: string; uses?: ColumnUse[] }>(tableFields);
const importSchema = Joi.object<{ text: string; uses?: ColumnUse[]; engineId: string; sourceId: string }>({
  ...tableFields,
  engineId: Joi.string().required(),
  sourceId: Joi.string().required(),
});

/** Shows each row as it would be read. Nothing is written. */
export async function previewTableAction(input: unknown) {
  return runAction(previewSchema, input, ({ text, uses }) => {
    const table = readTable(text, uses);
    return { ...table, aside: asideCsv(table.rows) };
  });
}

/** Enters the rows that can be read, all of them or none; the rest stays aside. */
export async function importTableAction(input: unknown) {
  return runAction(importSchema, input, async ({ text, uses, engineId, sourceId }) => {
    const shop = await currentShop();
    if (!shop.book.sources(engineId).some((source) => source.id === sourceId))
      throw new DomainError('not-found', 'That source is not in this engine’s book.', 'sourceId');
    const rows = readTable(text, uses).rows.filter((row) => row.reason === undefined);
    shop.transaction(() => {
      for (const { subject, page, printedText, conditionText } of rows)
        shop.book.addLeaf({
          id: nanoid(10),
          engineId,
          sourceId,
          page,
          subject,
          printedText,
          replacesId: null,
          createdAt: nowIso(),
          ...leafOfText({ kind: 'torque', printedText, conditionText: conditionText || null, readingIndex: 0 }),
        });
    });
    revalidatePath('/', 'layout');
    return { entered: rows.length };
  });
}
