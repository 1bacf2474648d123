import type { Metadata } from 'next';
import { TrialsScreen } from '@/features/trial/trials-screen';
import { currentShop } from '@/server/current-shop';

export const metadata: Metadata = { title: 'Lubricant trials' };

export default async function TrialsPage() {
  return <TrialsScreen trials={(await currentShop()).trials.all()} />;
}
