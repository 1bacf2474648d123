import { NewFitsSheet } from '@/features/fits/new-fits-sheet';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export default async function NewFitsPage({ params }: EngineParams) {
  const { engine, fits } = (await engineRowsAt(params)).rows;
  return <NewFitsSheet engine={engine} has={fits.map(({ kind }) => kind)} />;
}
