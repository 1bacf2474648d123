import type { Metadata } from 'next';
import { VolumesScreen } from '@/features/measures/volumes-screen';
import { engineAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Volumes' };

export default async function VolumesPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <VolumesScreen engineId={engine.id} kept={shop.measures.latest(engine.id, 'volumes')} />;
}
