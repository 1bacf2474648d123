import { partsCsv } from '@/features/tray/parts-csv';
import { csvOfEngine } from '@/server/csv-answer';
import { engineStateOf } from '@/model/engine/engine-rows';

/** What lies on an engine's tray, as CSV. */
export async function GET(_: Request, { params }: { readonly params: Promise<{ readonly engine: string }> }) {
  return csvOfEngine((await params).engine, 'tray', (rows) =>
    partsCsv(engineStateOf(rows).order.tray, rows.order.steps),
  );
}
