import { TrialsScreen } from '@/features/trial/trials-screen';
import { currentShop } from '@/server/current-shop';

export default async function TrialsPage() {
  return <TrialsScreen trials={(await currentShop()).trials.all()} />;
}
