import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { FitScreen } from '@/features/fits/fit-screen';
import { fitPage } from '@/features/fits/queries';
import { NotesFold } from '@/features/notes/notes-fold';
import { notesOf } from '@/model/engine/engine-rows';
import { inColumns } from '@/interface/shell/in-columns';
import { engineRowsAt, titleFrom } from '@/server/engine-at';

interface Props {
  readonly params: Promise<{ readonly engine: string; readonly fit: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { fit: id } = await params;
  return titleFrom(params, ({ fits }) => fits.find((fit) => fit.id === id)?.name);
}

export default async function FitPage({ params }: Props) {
  const { shop, rows } = await engineRowsAt(params);
  const page = fitPage(shop, rows, (await params).fit);
  if (!page) notFound();
  const of = { engineId: rows.engine.id, jointId: null, fitId: page.fit.id };
  const notes = <NotesFold of={of} notes={notesOf(rows, of)} />;
  return <FitScreen key={page.fit.id} engineId={rows.engine.id} sent={inColumns(page)} notes={notes} />;
}
