/** What a column of a table of figures may be. */
export const COLUMN_USES = ['subject', 'page', 'figure', 'unit', 'threads', 'left out'] as const;
export type ColumnUse = (typeof COLUMN_USES)[number];
