import type { Metadata } from 'next';
import { JointsScreen } from '@/features/joint/joints-screen';
import { torqueLeaves } from '@/model/book/leaves-of-joint';
import { jointSummaries } from '@/features/joint/queries';
import { AsideFold } from '@/features/removal/aside-fold';
import { asidesOf } from '@/features/removal/queries';
import { inColumns } from '@/interface/shell/in-columns';
import { nowMs } from '@/server/clock';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';
import { shelvesOnce } from '@/server/request-reads';

export const metadata: Metadata = { title: 'Joints' };

export default async function JointsPage({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  return (
    <JointsScreen
      sent={inColumns({
        engineId: rows.engine.id,
        joints: jointSummaries(rows, shelvesOnce(shop), nowMs()),
        canAdd: torqueLeaves(rows.leaves).length > 0,
      })}
    >
      <AsideFold asides={asidesOf(rows, 'joint')} />
    </JointsScreen>
  );
}
