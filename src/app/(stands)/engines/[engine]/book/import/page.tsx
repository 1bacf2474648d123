import { ImportSheet } from '@/features/book/import-sheet';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function ImportPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <ImportSheet engineId={engine.id} sources={shop.book.sources(engine.id)} />;
}
