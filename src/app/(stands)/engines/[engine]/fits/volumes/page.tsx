import { VolumesSheet } from '@/features/fits/volumes-sheet';
import { engineAt, type EngineParams } from '@/interface/server/engine-at';

export default async function VolumesPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <VolumesSheet engineId={engine.id} kept={shop.sheets.latest(engine.id, 'volumes')?.body} />;
}
