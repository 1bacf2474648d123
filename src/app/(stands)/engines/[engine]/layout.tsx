import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { engineState } from '@/db/reads/engine-state';
import { stopsOf } from '@/features/engine/queries';
import { OwnUnit } from '@/interface/figures/preferences';
import { currentShop } from '@/server/current-shop';
import { engineAt, type EngineParams } from '@/server/engine-at';
import { OrderStrip } from '@/interface/shell/order-strip';
import { WorkingMargin, WorkingProvider } from '@/interface/shell/working-margin';
import styles from '@/interface/shell/engine-frame.module.css';

export async function generateMetadata({ params }: EngineParams): Promise<Metadata> {
  const engine = (await currentShop()).engines.find((await params).engine);
  return { title: engine?.name ?? 'Not in this shop' };
}

export default async function EngineLayout({ params, children }: EngineParams & { readonly children: ReactNode }) {
  const { shop, engine } = await engineAt(params);
  return (
    <OwnUnit unit={engine.preferredUnit}>
      <WorkingProvider>
        <div className={styles.frame}>
          <OrderStrip stops={stopsOf(engineState(shop, engine))} />
          {children}
          <WorkingMargin />
        </div>
      </WorkingProvider>
    </OwnUnit>
  );
}
