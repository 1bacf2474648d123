import type { Metadata } from 'next';
import { BookScreen } from '@/features/book/book-screen';
import { bookOf } from '@/features/book/queries';
import { AsideFold } from '@/features/removal/aside-fold';
import { asidesOf, rowsAside } from '@/features/removal/queries';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Book' };

export default async function BookPage({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  const { id, name } = rows.engine;
  return (
    <BookScreen engineId={id} engineName={name} sources={bookOf(shop, rows)}>
      <AsideFold asides={[...asidesOf(rows, 'leaf'), ...rowsAside('source', rows.sources, ({ title }) => title)]} />
    </BookScreen>
  );
}
