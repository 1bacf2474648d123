import type { Metadata } from 'next';
import { OrderRecordPage } from '@/features/record/order-record-page';
import { orderRecord } from '@/features/record/queries';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Record of the order' };

export default async function OrderRecord({ params }: EngineParams) {
  const { rows } = await engineRowsAt(params);
  return <OrderRecordPage {...orderRecord(rows)} />;
}
