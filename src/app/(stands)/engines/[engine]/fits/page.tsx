import type { Metadata } from 'next';
import { FitsScreen } from '@/features/fits/fits-screen';
import { fitsPage } from '@/features/fits/queries';
import { MeasureLinks } from '@/features/measures/measure-links';
import { AsideFold } from '@/features/removal/aside-fold';
import { asidesOf } from '@/features/removal/queries';
import { currentShop } from '@/server/current-shop';
import { engineStateAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Fits' };

export default async function FitsPage({ params }: EngineParams) {
  const state = await engineStateAt(params);
  const { id } = state.engine;
  const shop = await currentShop();
  return (
    <FitsScreen {...fitsPage(state)}>
      <MeasureLinks engineId={id} measures={shop.measures.all(id)} />
      <AsideFold asides={asidesOf(shop, id, 'fit')} />
    </FitsScreen>
  );
}
