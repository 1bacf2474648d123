import { WeightsSheet } from '@/features/measures/weights-sheet';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function WeightsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return (
    <WeightsSheet
      engineId={engine.id}
      weights={shop.measures.holding(engine.id, 'weights').map(({ body }) => body)}
      balance={shop.measures.latest(engine.id, 'balance')?.body}
    />
  );
}
