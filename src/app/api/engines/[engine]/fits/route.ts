import { readingsCsv } from '@/features/fits/readings-csv';
import { csvOfEngine } from '@/server/csv-answer';

/** Every reading of an engine's fits as CSV, struck ones marked. */
export async function GET(_: Request, { params }: { readonly params: Promise<{ readonly engine: string }> }) {
  return csvOfEngine((await params).engine, 'fits', ({ fits, lines }) => readingsCsv(fits, lines));
}
