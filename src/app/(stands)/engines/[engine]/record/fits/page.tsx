import type { Metadata } from 'next';
import { FitsRecordPage } from '@/features/record/fits-record-page';
import { fitsRecord } from '@/features/record/queries';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Record of the fits' };

export default async function FitsRecord({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  return <FitsRecordPage {...fitsRecord(shop, rows)} />;
}
