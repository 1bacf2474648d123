import type { Metadata } from 'next';
import { LabelsScreen } from '@/features/tray/labels-screen';
import { trayPage } from '@/features/tray/queries';
import { engineRowsAt, engineStateAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Labels for the bags' };

export default async function LabelsPage({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  return <LabelsScreen page={trayPage(await engineStateAt(params), rows, shop.measures.all(rows.engine.id))} />;
}
