import type { Metadata } from 'next';
import { ThreadFinder } from '@/features/shelves/thread-finder';
import { currentShop } from '@/server/current-shop';
import { shelvesOnce } from '@/server/request-reads';

export const metadata: Metadata = { title: 'Threads' };

export default async function ThreadsPage() {
  return <ThreadFinder own={shelvesOnce(await currentShop()).threads} />;
}
