import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { JointRecordPage } from '@/features/record/joint-record-page';
import { jointRecord } from '@/features/record/queries';
import { nowMs } from '@/server/clock';
import { engineRowsAt, titleFrom } from '@/server/engine-at';
import { shelvesOnce } from '@/server/request-reads';

interface Props {
  readonly params: Promise<{ readonly engine: string; readonly joint: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { joint: id } = await params;
  return titleFrom(params, ({ joints }) => {
    const joint = joints.find((one) => one.id === id);
    return joint && `Record of ${joint.name}`;
  });
}

export default async function JointRecordRoute({ params }: Props) {
  const { shop, rows } = await engineRowsAt(params);
  const record = jointRecord(rows, shelvesOnce(shop), (await params).joint, nowMs());
  if (!record) notFound();
  return <JointRecordPage {...record} />;
}
