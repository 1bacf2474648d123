import type { Metadata } from 'next';
import { holdingMeasures, measuresOf } from '@/model/engine/engine-measure';
import { BearingsScreen } from '@/features/measures/bearings-screen';
import { engineAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Bearing sizes' };

export default async function BearingsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  const holding = holdingMeasures(shop.measures.all(engine.id));
  return (
    <BearingsScreen
      engineId={engine.id}
      bearings={measuresOf(holding, 'bearings')}
      marks={measuresOf(holding, 'marks').at(-1)}
    />
  );
}
