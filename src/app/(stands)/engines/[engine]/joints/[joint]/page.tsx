import { notFound } from 'next/navigation';
import { JointScreen } from '@/features/joint/joint-screen';
import { jointPage } from '@/features/joint/queries';
import { nowMs } from '@/server/clock';
import { engineRowsAt } from '@/server/engine-at';
import { shelvesOnce } from '@/server/request-reads';

export default async function JointPage({
  params,
}: {
  readonly params: Promise<{ readonly engine: string; readonly joint: string }>;
}) {
  const { shop, rows } = await engineRowsAt(params);
  const page = jointPage(shop, rows, shelvesOnce(shop), (await params).joint, nowMs());
  if (!page) notFound();
  return <JointScreen key={`${page.inputs.joint.id} ${page.inputs.leaf.id}`} {...page} />;
}
