import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { RailOfShop } from '../rail-of-shop';
import { shelfStops } from '@/features/shelves/queries';
import { currentShop } from '@/server/current-shop';
import { handPullsOnce, shelvesOnce } from '@/server/request-reads';
import { OrderStrip } from '@/interface/shell/order-strip';
import { WorkingMargin, WorkingProvider } from '@/interface/shell/working-margin';
import styles from '@/interface/shell/engine-frame.module.css';

export const metadata: Metadata = {
  title: { default: 'The shelves', template: '%s · The shelves · Unhurried Spanner' },
};

export default async function ShelvesLayout({ children }: { readonly children: ReactNode }) {
  const shop = await currentShop();
  return (
    <>
      <RailOfShop />
      <WorkingProvider>
        <div className={styles.frame}>
          <OrderStrip stops={shelfStops(shop, shelvesOnce(shop), handPullsOnce(shop))} label="The shelves" />
          {children}
          <WorkingMargin />
        </div>
      </WorkingProvider>
    </>
  );
}
