import { notFound } from 'next/navigation';
import { FitScreen } from '@/features/fits/fit-screen';
import { fitPage } from '@/features/fits/queries';
import { engineRowsAt } from '@/server/engine-at';

export default async function FitPage({
  params,
}: {
  readonly params: Promise<{ readonly engine: string; readonly fit: string }>;
}) {
  const { shop, rows } = await engineRowsAt(params);
  const page = fitPage(shop, rows, (await params).fit);
  if (!page) notFound();
  return <FitScreen key={page.fit.id} engineId={rows.engine.id} {...page} />;
}
