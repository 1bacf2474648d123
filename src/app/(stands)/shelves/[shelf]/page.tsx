import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { shelfRows } from '@/features/shelves/queries';
import { SHELF_SHAPES } from '@/features/shelves/shelf-kinds';
import { ShelfScreen } from '@/features/shelves/shelf-screen';
import { currentShop } from '@/server/current-shop';

const KINDS = new Map([
  ['films', 'film'],
  ['grades', 'grade'],
  ['metals', 'metal'],
  ['threads-own', 'thread'],
] as const);

interface Props {
  readonly params: Promise<{ readonly shelf: string }>;
}

const kindAt = async ({ params }: Props) => KINDS.get((await params).shelf as 'films');

export async function generateMetadata(props: Props): Promise<Metadata> {
  const kind = await kindAt(props);
  return { title: kind && SHELF_SHAPES[kind].title };
}

export default async function ShelfPage(props: Props) {
  const kind = await kindAt(props);
  if (!kind) notFound();
  return <ShelfScreen key={kind} kind={kind} rows={shelfRows(await currentShop(), kind)} />;
}
