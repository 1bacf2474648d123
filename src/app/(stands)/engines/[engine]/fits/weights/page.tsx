import { holdingMeasures, measuresOf } from '@/model/engine/engine-measure';
import { WeightsSheet } from '@/features/measures/weights-sheet';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function WeightsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  const holding = holdingMeasures(shop.measures.all(engine.id));
  return (
    <WeightsSheet
      engineId={engine.id}
      weights={measuresOf(holding, 'weights')}
      balance={measuresOf(holding, 'balance').at(-1)}
    />
  );
}
