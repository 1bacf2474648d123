import type { Metadata } from 'next';
import { Link } from '@/interface/parts/link';
import { notFound } from 'next/navigation';
import { NotesFold } from '@/features/notes/notes-fold';
import { Screen } from '@/interface/parts/screen';
import { notesOf } from '@/model/engine/engine-rows';
import { engineRowsAt, titleFrom } from '@/server/engine-at';

interface Props {
  readonly params: Promise<{ readonly engine: string; readonly part: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { part } = await params;
  return titleFrom(params, ({ order }) => order.parts.find(({ id }) => id === part)?.name);
}

export default async function PartNotesPage({ params }: Props) {
  const { rows } = await engineRowsAt(params);
  const { part: id } = await params;
  const part = rows.order.parts.find((one) => one.id === id);
  if (!part) notFound();
  const of = { engineId: rows.engine.id, partId: part.id };
  return (
    <Screen
      plain
      title={part.name}
      aside={<Link href={`/engines/${rows.engine.id}/order/tray#part-${part.id}`}>Back to the tray</Link>}
    >
      <NotesFold open of={of} notes={notesOf(rows, of)} />
    </Screen>
  );
}
