import type { Metadata } from 'next';
import { DrawnNoOrder } from '@/features/order/no-order-box';
import { OrderScreen } from '@/features/order/order-screen';
import { orderPage, proposedMeetings } from '@/features/order/queries';
import { TimingBox } from '@/features/reckon/timing-box';
import { AsideFold } from '@/features/removal/aside-fold';
import { asidesOf } from '@/features/removal/queries';
import { inColumns } from '@/interface/shell/in-columns';
import { nowIso } from '@/server/clock';
import { engineRowsAt, engineStateAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'Order' };

export default async function OrderOfBuildPage({ params }: EngineParams) {
  const state = await engineStateAt(params);
  const { rows } = await engineRowsAt(params);
  const page = orderPage(rows, state, nowIso());
  if (page.steps.length === 0) return <DrawnNoOrder page={page} meetings={proposedMeetings(rows)} />;
  return (
    <OrderScreen sent={inColumns({ page })} reckoner={<TimingBox />}>
      <AsideFold asides={asidesOf(rows, 'step')} />
    </OrderScreen>
  );
}
