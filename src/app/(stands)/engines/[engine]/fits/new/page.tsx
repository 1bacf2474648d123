import type { Metadata } from 'next';
import { NewFitsScreen } from '@/features/fits/new-fits-screen';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'New fits' };

export default async function NewFitsPage({ params }: EngineParams) {
  const { engine, fits } = (await engineRowsAt(params)).rows;
  return <NewFitsScreen engine={engine} has={fits.map(({ kind }) => kind)} />;
}
