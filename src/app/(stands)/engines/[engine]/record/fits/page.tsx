import { FitsRecordPage } from '@/features/record/fits-record-page';
import { fitsRecord } from '@/features/record/queries';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export default async function FitsRecord({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  return <FitsRecordPage {...fitsRecord(shop, rows)} />;
}
