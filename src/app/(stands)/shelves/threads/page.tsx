import { ThreadFinder } from '@/features/shelves/thread-finder';
import { currentShop } from '@/server/current-shop';
import { shelvesOnce } from '@/server/request-reads';

export default async function ThreadsPage() {
  return <ThreadFinder own={shelvesOnce(await currentShop()).threads} />;
}
