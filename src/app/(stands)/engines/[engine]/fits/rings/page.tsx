import type { Metadata } from 'next';
import { RingsScreen } from '@/features/measures/rings-screen';
import { engineAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Rings' };

export default async function RingsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <RingsScreen engineId={engine.id} kept={shop.measures.latest(engine.id, 'clocking')} />;
}
