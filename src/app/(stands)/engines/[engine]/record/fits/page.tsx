import { FitsRecordPage } from '@/features/record/fits-record-page';
import { fitsRecord } from '@/features/record/queries';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function FitsRecord({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <FitsRecordPage {...fitsRecord(shop, engine)} />;
}
