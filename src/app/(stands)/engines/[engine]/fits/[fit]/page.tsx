import { notFound } from 'next/navigation';
import { FitSheet } from '@/features/fits/fit-sheet';
import { fitPage } from '@/features/fits/queries';
import { engineAt } from '@/server/engine-at';

export default async function FitPage({
  params,
}: {
  readonly params: Promise<{ readonly engine: string; readonly fit: string }>;
}) {
  const { shop, engine } = await engineAt(params);
  const page = fitPage(shop, engine, (await params).fit);
  if (!page) notFound();
  return <FitSheet key={page.fit.id} engineId={engine.id} {...page} />;
}
