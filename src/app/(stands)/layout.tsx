import type { ReactNode } from 'react';
import { TroubleScreen } from '@/interface/shell/trouble-screen';
import { currentShop } from '@/server/current-shop';
import { summariesOnce } from '@/server/request-reads';
import { troubleIn } from '@/server/trouble-in';

export const dynamic = 'force-dynamic';

/** Whatever is under it needs the shop's file: where that cannot be used, one screen says so instead. */
export default async function StandsLayout({ children }: { readonly children: ReactNode }) {
  const found = await troubleIn(async () => void summariesOnce(await currentShop()));
  return found.ok ? children : <TroubleScreen message={found.message} nextStep={found.nextStep} />;
}
