import { TrialsSheet } from '@/features/trial/trials-sheet';
import { currentShop } from '@/server/current-shop';

export default async function TrialsPage() {
  return <TrialsSheet trials={(await currentShop()).trials.all()} />;
}
