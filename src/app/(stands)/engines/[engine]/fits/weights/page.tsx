import type { Metadata } from 'next';
import { holdingMeasures, measuresOf } from '@/model/engine/engine-measure';
import { WeightsScreen } from '@/features/measures/weights-screen';
import { engineAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Weights' };

export default async function WeightsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  const holding = holdingMeasures(shop.measures.all(engine.id));
  return (
    <WeightsScreen
      engineId={engine.id}
      weights={measuresOf(holding, 'weights')}
      balance={measuresOf(holding, 'balance').at(-1)}
    />
  );
}
