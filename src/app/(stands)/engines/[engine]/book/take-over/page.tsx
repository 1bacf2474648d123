import type { Metadata } from 'next';
import { toTakeOver } from '@/db/reads/to-take-over';
import { takeOverPage } from '@/features/take-over/queries';
import { TakeOverScreen } from '@/features/take-over/take-over-screen';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';
import { summariesOnce } from '@/server/request-reads';

export const metadata: Metadata = { title: 'Take over from another engine' };

interface Props extends EngineParams {
  readonly searchParams: Promise<{ readonly from?: string | string[] }>;
}

export default async function TakeOverRoute({ params, searchParams }: Props) {
  const { shop, rows } = await engineRowsAt(params);
  const { from } = await searchParams;
  const others = summariesOnce(shop)
    .filter(({ engineId }) => engineId !== rows.engine.id)
    .map(({ engineId, name }) => ({ id: engineId, name }))
    .sort((a, b) => a.name.localeCompare(b.name));
  const other = others.find(({ id }) => id === from);
  const offered = other && {
    ...other,
    ...takeOverPage(rows, toTakeOver(shop, other.id)),
  };
  return <TakeOverScreen engineId={rows.engine.id} engineName={rows.engine.name} others={others} from={offered} />;
}
