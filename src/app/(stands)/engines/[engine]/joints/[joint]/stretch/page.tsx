import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { StretchScreen } from '@/features/stretch/stretch-screen';
import { stretchPage } from '@/features/stretch/queries';
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
    return joint && `${joint.name} by stretch`;
  });
}

export default async function StretchPage({ params }: Props) {
  const { shop, rows } = await engineRowsAt(params);
  const page = stretchPage(shop, rows, (await params).joint, nowMs(), shelvesOnce(shop));
  if (!page) notFound();
  return <StretchScreen {...page} />;
}
