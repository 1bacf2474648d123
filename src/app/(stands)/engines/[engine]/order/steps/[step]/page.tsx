import type { Metadata } from 'next';
import { Link } from '@/interface/parts/link';
import { notFound } from 'next/navigation';
import { NotesFold } from '@/features/notes/notes-fold';
import { Screen } from '@/interface/parts/screen';
import { notesOf } from '@/model/engine/engine-rows';
import { engineRowsAt, titleFrom } from '@/server/engine-at';

interface Props {
  readonly params: Promise<{ readonly engine: string; readonly step: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { step } = await params;
  return titleFrom(params, ({ order }) => order.steps.find(({ id }) => id === step)?.name);
}

export default async function StepNotesPage({ params }: Props) {
  const { rows } = await engineRowsAt(params);
  const { step: id } = await params;
  const step = rows.order.steps.find((one) => one.id === id);
  if (!step) notFound();
  const of = { engineId: rows.engine.id, stepId: step.id };
  return (
    <Screen
      plain
      title={step.name}
      aside={<Link href={`/engines/${rows.engine.id}/order?step=${step.id}`}>Back to the order</Link>}
    >
      <NotesFold open of={of} notes={notesOf(rows, of)} />
    </Screen>
  );
}
