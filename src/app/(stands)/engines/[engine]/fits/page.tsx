import { FitsSheet } from '@/features/fits/fits-sheet';
import { fitsPage } from '@/features/fits/queries';
import { SheetLinks } from '@/features/measures/measure-links';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function FitsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return (
    <FitsSheet {...fitsPage(shop, engine)}>
      <SheetLinks engineId={engine.id} sheets={shop.measures.all(engine.id)} />
    </FitsSheet>
  );
}
