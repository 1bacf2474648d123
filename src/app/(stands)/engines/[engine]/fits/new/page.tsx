import { NewFitsSheet } from '@/features/fits/new-fits-sheet';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function NewFitsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <NewFitsSheet engine={engine} has={shop.fits.ofEngine(engine.id).map(({ kind }) => kind)} />;
}
