import { notFound } from 'next/navigation';
import { JointSheet } from '@/features/joint/joint-sheet';
import { jointPage } from '@/features/joint/queries';
import { nowMs } from '@/server/clock';
import { engineAt } from '@/server/engine-at';

export default async function JointPage({
  params,
}: {
  readonly params: Promise<{ readonly engine: string; readonly joint: string }>;
}) {
  const { shop, engine } = await engineAt(params);
  const page = jointPage(shop, engine, (await params).joint, nowMs());
  if (!page) notFound();
  return <JointSheet key={`${page.setting.joint.id} ${page.setting.leaf.id}`} {...page} />;
}
