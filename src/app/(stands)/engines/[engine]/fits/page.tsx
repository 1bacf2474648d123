import type { Metadata } from 'next';
import { FitsScreen } from '@/features/fits/fits-screen';
import { fitsPage } from '@/features/fits/queries';
import { MeasureLinks } from '@/features/measures/measure-links';
import { AsideFold } from '@/features/removal/aside-fold';
import { asidesOf } from '@/features/removal/queries';
import { inColumns } from '@/interface/shell/in-columns';
import { engineRowsAt, engineStateAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Fits' };

export default async function FitsPage({ params }: EngineParams) {
  const state = await engineStateAt(params);
  const { id } = state.engine;
  // The rows that its state was worked out of: read once a request.
  const { shop, rows } = await engineRowsAt(params);
  return (
    <FitsScreen sent={inColumns(fitsPage(state))}>
      <MeasureLinks engineId={id} measures={shop.measures.all(id)} />
      <AsideFold asides={asidesOf(rows, 'fit')} />
    </FitsScreen>
  );
}
