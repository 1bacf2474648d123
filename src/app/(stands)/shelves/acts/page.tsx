import type { Metadata } from 'next';
import { ActsScreen } from '@/features/removal/acts-screen';
import { currentShop } from '@/server/current-shop';

export const metadata: Metadata = { title: 'Last acts' };

export default async function ShopActsPage() {
  return <ActsScreen acts={(await currentShop()).acts.last(null)} />;
}
