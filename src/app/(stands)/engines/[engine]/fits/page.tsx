import { FitsSheet } from '@/features/fits/fits-sheet';
import { fitsPage } from '@/features/fits/queries';
import { engineAt, type EngineParams } from '@/interface/server/engine-at';

export default async function FitsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <FitsSheet {...fitsPage(shop, engine)} />;
}
