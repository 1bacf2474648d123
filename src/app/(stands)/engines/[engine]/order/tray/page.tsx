import type { Metadata } from 'next';
import { trayPage } from '@/features/tray/queries';
import { TrayScreen } from '@/features/tray/tray-screen';
import { inColumns } from '@/interface/shell/in-columns';
import { engineRowsAt, engineStateAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'The tray' };

export default async function TrayPage({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  const page = trayPage(await engineStateAt(params), rows, shop.measures.all(rows.engine.id));
  return <TrayScreen sent={inColumns({ page })} />;
}
