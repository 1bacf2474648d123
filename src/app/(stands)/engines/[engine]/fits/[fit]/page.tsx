import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { FitScreen } from '@/features/fits/fit-screen';
import { fitPage } from '@/features/fits/queries';
import { engineRowsAt, titleFrom } from '@/server/engine-at';

interface Props {
  readonly params: Promise<{ readonly engine: string; readonly fit: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { fit: id } = await params;
  return titleFrom(params, ({ fits }) => fits.find((fit) => fit.id === id)?.name);
}

export default async function FitPage({ params }: Props) {
  const { shop, rows } = await engineRowsAt(params);
  const page = fitPage(shop, rows, (await params).fit);
  if (!page) notFound();
  return <FitScreen key={page.fit.id} engineId={rows.engine.id} {...page} />;
}
