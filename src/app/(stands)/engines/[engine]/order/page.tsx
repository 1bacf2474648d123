import type { Metadata } from 'next';
import { NoOrderScreen } from '@/features/order/no-order-screen';
import { OrderScreen } from '@/features/order/order-screen';
import { orderPage, proposedMeetings } from '@/features/order/queries';
import { TimingReckoner } from '@/features/reckon/timing-reckoner';
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
  if (page.steps.length === 0) return <NoOrderScreen page={page} meetings={proposedMeetings(rows)} />;
  return (
    <OrderScreen sent={inColumns({ page })} reckoner={<TimingReckoner />}>
      <AsideFold asides={asidesOf(rows, 'step')} />
    </OrderScreen>
  );
}
