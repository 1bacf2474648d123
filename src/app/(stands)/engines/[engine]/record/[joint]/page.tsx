import { notFound } from 'next/navigation';
import { JointRecordPage } from '@/features/record/joint-record-page';
import { jointRecord } from '@/features/record/queries';
import { nowMs } from '@/server/clock';
import { engineRowsAt } from '@/server/engine-at';
import { shelvesOnce } from '@/server/request-reads';

export default async function JointRecordRoute({
  params,
}: {
  readonly params: Promise<{ readonly engine: string; readonly joint: string }>;
}) {
  const { shop, rows } = await engineRowsAt(params);
  const record = jointRecord(rows, shelvesOnce(shop), (await params).joint, nowMs());
  if (!record) notFound();
  return <JointRecordPage {...record} />;
}
