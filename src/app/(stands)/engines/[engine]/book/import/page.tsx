import { ImportSheet } from '@/features/book/import-sheet';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export default async function ImportPage({ params }: EngineParams) {
  const { engine, sources } = (await engineRowsAt(params)).rows;
  return <ImportSheet engineId={engine.id} sources={sources} />;
}
