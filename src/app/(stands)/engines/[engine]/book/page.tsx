import type { Metadata } from 'next';
import { BookScreen } from '@/features/book/book-screen';
import { bookOf } from '@/features/book/queries';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Book' };

export default async function BookPage({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  return <BookScreen engineId={rows.engine.id} engineName={rows.engine.name} sources={bookOf(shop, rows)} />;
}
