import type { ReactNode } from 'react';
import { engineTags } from '@/features/engine/queries';
import { currentShop, currentShopName } from '@/interface/server/current-shop';
import { TroubleScreen, troubleIn } from '@/interface/shell/trouble-screen';
import { Rail } from '@/interface/shell/rail';

export const dynamic = 'force-dynamic';

const HOMES = { own: 'my own shop', demonstration: 'Larkmoor Yard, a demonstration' } as const;

export default async function StandsLayout({ children }: { readonly children: ReactNode }) {
  const found = await troubleIn(async () => ({ tags: engineTags(await currentShop()), name: await currentShopName() }));
  if (!found.ok) return <TroubleScreen message={found.message} nextStep={found.nextStep} />;
  return (
    <>
      <Rail tags={found.value.tags} home={HOMES[found.value.name]} />
      {children}
    </>
  );
}
