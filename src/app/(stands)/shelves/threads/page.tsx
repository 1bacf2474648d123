import { ThreadFinder } from '@/features/shop/thread-finder';

export default function ThreadsPage() {
  return <ThreadFinder />;
}
