import { bookCsv } from '@/features/book/csv-table';
import { bookOf } from '@/features/book/queries';
import { csvOfEngine } from '@/server/csv-answer';

/** The leaves of an engine's book as CSV. */
export async function GET(_: Request, { params }: { readonly params: Promise<{ readonly engine: string }> }) {
  return csvOfEngine((await params).engine, 'book', (rows, shop) => bookCsv(bookOf(shop, rows)));
}
