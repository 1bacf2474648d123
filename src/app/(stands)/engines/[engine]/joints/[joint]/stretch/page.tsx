import { notFound } from 'next/navigation';
import { StretchScreen } from '@/features/stretch/stretch-screen';
import { stretchPage } from '@/features/stretch/queries';
import { nowMs } from '@/server/clock';
import { engineRowsAt } from '@/server/engine-at';
import { shelvesOnce } from '@/server/request-reads';

export default async function StretchPage({
  params,
}: {
  readonly params: Promise<{ readonly engine: string; readonly joint: string }>;
}) {
  const { shop, rows } = await engineRowsAt(params);
  const page = stretchPage(shop, rows, (await params).joint, nowMs(), shelvesOnce(shop));
  if (!page) notFound();
  return <StretchScreen {...page} />;
}
