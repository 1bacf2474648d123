import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { JointScreen } from '@/features/joint/joint-screen';
import { jointPage } from '@/features/joint/queries';
import { NotesFold } from '@/features/notes/notes-fold';
import { notesOf } from '@/model/engine/engine-rows';
import { inColumns } from '@/interface/shell/in-columns';
import { nowMs } from '@/server/clock';
import { engineRowsAt, titleFrom } from '@/server/engine-at';
import { shelvesOnce } from '@/server/request-reads';

interface Props {
  readonly params: Promise<{ readonly engine: string; readonly joint: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { joint: id } = await params;
  return titleFrom(params, ({ joints }) => joints.find((joint) => joint.id === id)?.name);
}

export default async function JointPage({ params }: Props) {
  const { shop, rows } = await engineRowsAt(params);
  const page = jointPage(rows, shelvesOnce(shop), (await params).joint, nowMs());
  if (!page) notFound();
  const { id, engineId, fasteners } = page.inputs.joint;
  const of = { engineId, jointId: id, fitId: null };
  const notes = <NotesFold of={of} notes={notesOf(rows, of)} fasteners={fasteners} />;
  return <JointScreen key={`${id} ${page.inputs.leaf.id}`} sent={inColumns(page)} notes={notes} />;
}
