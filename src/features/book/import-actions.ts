'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { leafOfText } from '@/model/book/leaf-of-text';
import { shopAction, shopQuestion } from '@/server/shop-action';
import { COLUMN_USES, type ColumnUse } from './column-uses';
import { asideCsv, readTable } from './csv-table';
import { MAX_TABLE_CHARACTERS } from './schema';
import { assertSourceInBook } from './source-in-book';

const tableFields = {
  text: Joi.string()
    .max(MAX_TABLE_CHARACTERS)
    .required()
    .messages({ 'string.empty': 'Paste the table, or choose its file.' }),
  uses: Joi.array()
    .items(Joi.string().valid(...COLUMN_USES))
    .max(200),
};

const previewSchema = Joi.object<{ text: string; uses?: ColumnUse[] }, true>(tableFields);
const importSchema = Joi.object<{ text: string; uses?: ColumnUse[]; engineId: string; sourceId: string }, true>({
  ...tableFields,
  engineId: Joi.string().required(),
  sourceId: Joi.string().required(),
});

/** Shows each row as it would be read. Nothing is written. */
export const previewTableAction = shopQuestion(previewSchema, ({ text, uses }) => {
  const table = readTable(text, uses);
  return { ...table, aside: asideCsv(table.rows) };
});

/** Enters the rows that can be read, all of them or none; the rest stays aside. */
export const importTableAction = shopAction(
  importSchema,
  ({ text, uses, engineId, sourceId }, { shop, nowIso, tell }) => {
    assertSourceInBook(shop, engineId, sourceId);
    const rows = readTable(text, uses).rows.filter((row) => row.reason === undefined);
    for (const { subject, page, printedText, conditionText } of rows)
      shop.book.addLeaf({
        id: nanoid(10),
        engineId,
        sourceId,
        page,
        subject,
        printedText,
        replacesId: null,
        createdAt: nowIso,
        ...leafOfText({ kind: 'torque', printedText, conditionText: conditionText || null, readingIndex: 0 }),
      });
    tell(`${rows.length === 1 ? '1 entry was' : `${rows.length} entries were`} read in from a table`);
    return { entered: rows.length };
  },
);
