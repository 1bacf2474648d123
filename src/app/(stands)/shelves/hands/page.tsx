import type { Metadata } from 'next';
import { HandsScreen } from '@/features/hand/hands-screen';
import { handsOf } from '@/model/trial/hand-pull';
import { currentShop } from '@/server/current-shop';
import { currentWho } from '@/server/current-who';
import { handPullsOnce, shelvesOnce } from '@/server/request-reads';

export const metadata: Metadata = { title: 'By hand' };

export default async function HandsPage() {
  const shop = await currentShop();
  const { wrenches } = shelvesOnce(shop);
  const pulls = handPullsOnce(shop);
  return (
    <HandsScreen
      hands={handsOf(pulls)}
      last={pulls.at(-1)}
      wrenches={wrenches
        .filter(({ aside }) => aside === undefined)
        .map(({ name, accuracy_pct }) => ({ name, accuracy_pct }))}
      who={await currentWho()}
    />
  );
}
