import type { Metadata } from 'next';
import { AsideFold } from '@/features/removal/aside-fold';
import { rowsAside } from '@/features/removal/queries';
import { TrialsScreen } from '@/features/trial/trials-screen';
import { currentShop } from '@/server/current-shop';

export const metadata: Metadata = { title: 'Lubricant trials' };

export default async function TrialsPage() {
  const trials = (await currentShop()).trials.all();
  return (
    <TrialsScreen trials={trials.filter(({ aside }) => aside === undefined)}>
      <AsideFold asides={rowsAside('trial', trials, ({ name }) => name)} />
    </TrialsScreen>
  );
}
