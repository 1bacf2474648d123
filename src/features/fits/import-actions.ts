'use server';

import { longQuestion } from '@/server/shop-action';
import { rowsOfTable, tableSchema } from './enter-readings';

/** Shows each row as it would be read. Nothing is written. */
export const previewReadingsAction = longQuestion(tableSchema, ({ text, engineId }, shop) =>
  rowsOfTable(shop, engineId, text),
);
