import type { ReactNode } from 'react';
import { QuickReckoner } from '@/features/reckon/quick-reckoner';
import { nowMs } from '@/server/clock';
import { shelvesOnce, summariesOnce } from '@/server/request-reads';
import { engineTags } from '@/features/engine/queries';
import { currentShop, currentShopName } from '@/server/current-shop';
import { TroubleScreen } from '@/interface/shell/trouble-screen';
import { troubleIn } from '@/server/trouble-in';
import { Rail } from '@/interface/shell/rail';

export const dynamic = 'force-dynamic';

const HOMES = { own: 'my own shop', demonstration: 'Larkmoor Yard, a demonstration' } as const;

export default async function StandsLayout({ children }: { readonly children: ReactNode }) {
  const found = await troubleIn(async () => {
    const shop = await currentShop();
    return {
      tags: engineTags(summariesOnce(shop), nowMs()),
      name: await currentShopName(),
      films: shelvesOnce(shop).films,
    };
  });
  if (!found.ok) return <TroubleScreen message={found.message} nextStep={found.nextStep} />;
  return (
    <>
      <Rail
        tags={found.value.tags}
        home={HOMES[found.value.name]}
        reckoner={<QuickReckoner films={found.value.films} />}
      />
      {children}
    </>
  );
}
