import type { Metadata } from 'next';
import { PracticeQuestions } from '@/features/shelves/practice-screen';
import { shopPractice } from '@/db/reads/shelves-of-shop';
import { currentShop } from '@/server/current-shop';
import { Screen } from '@/interface/parts/screen';

export const metadata: Metadata = { title: 'House practice' };

export default async function PracticePage() {
  const { practice, version } = shopPractice(await currentShop());
  return (
    <Screen
      plain
      title="House practice"
      lead="What this shop does where the books leave it open. The sheet of a joint prints which school gave its number."
    >
      <PracticeQuestions shop={practice} version={version} />
    </Screen>
  );
}
