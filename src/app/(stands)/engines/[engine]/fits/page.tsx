import type { Metadata } from 'next';
import { FitsScreen } from '@/features/fits/fits-screen';
import { fitsPage } from '@/features/fits/queries';
import { MeasureLinks } from '@/features/measures/measure-links';
import { currentShop } from '@/server/current-shop';
import { engineStateAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Fits' };

export default async function FitsPage({ params }: EngineParams) {
  const state = await engineStateAt(params);
  const { id } = state.engine;
  return (
    <FitsScreen {...fitsPage(state)}>
      <MeasureLinks engineId={id} measures={(await currentShop()).measures.all(id)} />
    </FitsScreen>
  );
}
