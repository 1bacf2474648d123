import { BookSheet } from '@/features/book/book-sheet';
import { bookOf } from '@/features/book/queries';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function BookPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <BookSheet engineId={engine.id} engineName={engine.name} sources={bookOf(shop, engine.id)} />;
}
