import { ReadingsImportSheet } from '@/features/fits/import-sheet';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function ReadingsImportPage({ params }: EngineParams) {
  const { engine } = await engineAt(params);
  return <ReadingsImportSheet engineId={engine.id} />;
}
