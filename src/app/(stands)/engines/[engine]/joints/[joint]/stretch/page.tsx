import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { AsideFold } from '@/features/removal/aside-fold';
import { rowsAside } from '@/features/removal/queries';
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
  const { joint: id } = await params;
  const page = stretchPage(rows, id, nowMs(), shelvesOnce(shop));
  if (!page) notFound();
  const sets = rows.bolts.flatMap(({ set }) => (set.jointId === id ? [set] : []));
  return (
    <StretchScreen page={page}>
      <AsideFold asides={rowsAside('bolt-set', sets, ({ name }) => name)} />
    </StretchScreen>
  );
}
