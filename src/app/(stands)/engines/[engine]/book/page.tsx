import { BookSheet } from '@/features/book/book-sheet';
import { bookOf } from '@/features/book/queries';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export default async function BookPage({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  return <BookSheet engineId={rows.engine.id} engineName={rows.engine.name} sources={bookOf(shop, rows)} />;
}
