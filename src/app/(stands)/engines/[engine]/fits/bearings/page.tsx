import { BearingsSheet } from '@/features/measures/bearings-sheet';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function BearingsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return (
    <BearingsSheet
      engineId={engine.id}
      bearings={shop.measures.holding(engine.id, 'bearings').map(({ body }) => body)}
      marks={shop.measures.latest(engine.id, 'marks')?.body}
    />
  );
}
