import { notFound } from 'next/navigation';
import { StretchSheet } from '@/features/stretch/stretch-sheet';
import { stretchPage } from '@/features/stretch/queries';
import { nowMs } from '@/server/clock';
import { engineAt } from '@/server/engine-at';
import { shelvesOnce } from '@/server/request-reads';

export default async function StretchPage({
  params,
}: {
  readonly params: Promise<{ readonly engine: string; readonly joint: string }>;
}) {
  const { shop, engine } = await engineAt(params);
  const page = stretchPage(shop, engine, (await params).joint, nowMs(), shelvesOnce(shop));
  if (!page) notFound();
  return <StretchSheet {...page} />;
}
