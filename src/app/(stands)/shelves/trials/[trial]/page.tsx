import { notFound } from 'next/navigation';
import { TrialScreen } from '@/features/trial/trial-screen';
import { trialPage } from '@/features/trial/queries';
import { currentShop } from '@/server/current-shop';

export default async function TrialPage({ params }: { readonly params: Promise<{ readonly trial: string }> }) {
  const page = trialPage(await currentShop(), (await params).trial);
  if (!page) notFound();
  return <TrialScreen {...page} />;
}
