import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { RailOfShop } from '../../rail-of-shop';
import { AsideNotice } from '@/features/engine/aside';
import { stopsOf } from '@/features/engine/queries';
import { OwnUnit } from '@/interface/figures/preferences';
import { currentShop } from '@/server/current-shop';
import { engineAt, type EngineParams } from '@/server/engine-at';
import { engineOnce, summariesOnce, summaryOnce } from '@/server/request-reads';
import { OrderStrip } from '@/interface/shell/order-strip';
import { WorkingMargin, WorkingProvider } from '@/interface/shell/working-margin';
import styles from '@/interface/shell/engine-frame.module.css';

export async function generateMetadata({ params }: EngineParams): Promise<Metadata> {
  const engine = engineOnce(await currentShop(), (await params).engine);
  const name = engine?.name ?? 'Not in this shop';
  return { title: { default: name, template: `%s · ${name} · Unhurried Spanner` } };
}

export default async function EngineLayout({ params, children }: EngineParams & { readonly children: ReactNode }) {
  const { shop, engine } = await engineAt(params);
  const own = summariesOnce(shop).find(({ engineId }) => engineId === engine.id);
  const summary = summaryOnce(shop, engine.id);
  return (
    <>
      <RailOfShop engine={engine.id} />
      <OwnUnit unit={engine.preferredUnit}>
        <WorkingProvider>
          <div className={styles.frame}>
            {own?.aside && <AsideNotice engine={{ id: engine.id, name: engine.name, ...own.aside }} />}
            {summary && <OrderStrip stops={stopsOf(engine.id, summary)} />}
            {children}
            <WorkingMargin />
          </div>
        </WorkingProvider>
      </OwnUnit>
    </>
  );
}
