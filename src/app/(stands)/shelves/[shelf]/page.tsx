import { notFound } from 'next/navigation';
import { shelfRows } from '@/features/shelves/queries';
import { ShelfScreen } from '@/features/shelves/shelf-screen';
import { currentShop } from '@/server/current-shop';

const KINDS = new Map([
  ['films', 'film'],
  ['grades', 'grade'],
  ['metals', 'metal'],
  ['threads-own', 'thread'],
] as const);

export default async function ShelfPage({ params }: { readonly params: Promise<{ readonly shelf: string }> }) {
  const kind = KINDS.get((await params).shelf as 'films');
  if (!kind) notFound();
  return <ShelfScreen key={kind} kind={kind} rows={shelfRows(await currentShop(), kind)} />;
}
