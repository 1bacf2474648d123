import type { Metadata } from 'next';
import { trayPage } from '@/features/tray/queries';
import { TrayScreen } from '@/features/tray/tray-screen';
import { engineRowsAt, engineStateAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'The tray' };

export default async function TrayPage({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  return <TrayScreen page={trayPage(await engineStateAt(params), rows, shop.measures.all(rows.engine.id))} />;
}
