import { ThreadFinder } from '@/features/shop/thread-finder';
import { currentShop } from '@/interface/server/current-shop';

export default async function ThreadsPage() {
  return <ThreadFinder own={(await currentShop()).shelf.own('thread')} />;
}
