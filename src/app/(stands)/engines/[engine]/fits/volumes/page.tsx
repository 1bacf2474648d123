import { VolumesSheet } from '@/features/measures/volumes-sheet';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function VolumesPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <VolumesSheet engineId={engine.id} kept={shop.measures.latest(engine.id, 'volumes')} />;
}
