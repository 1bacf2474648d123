import { notFound } from 'next/navigation';
import { JointRecordPage } from '@/features/record/joint-record-page';
import { jointRecord } from '@/features/record/queries';
import { engineAt } from '@/server/engine-at';

export default async function JointRecordRoute({
  params,
}: {
  readonly params: Promise<{ readonly engine: string; readonly joint: string }>;
}) {
  const { shop, engine } = await engineAt(params);
  const record = jointRecord(shop, engine, (await params).joint);
  if (!record) notFound();
  return <JointRecordPage {...record} />;
}
