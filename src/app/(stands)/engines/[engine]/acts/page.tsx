import type { Metadata } from 'next';
import { ActsScreen } from '@/features/removal/acts-screen';
import { engineAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Last acts' };

export default async function ActsPage({ params }: EngineParams) {
  const { shop, engine } = await engineAt(params);
  return <ActsScreen acts={shop.acts.last(engine.id)} of={engine.name} />;
}
