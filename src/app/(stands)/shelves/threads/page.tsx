import { ThreadFinder } from '@/features/shelves/thread-finder';
import { currentShop } from '@/server/current-shop';

export default async function ThreadsPage() {
  return <ThreadFinder own={(await currentShop()).shelf.own('thread')} />;
}
