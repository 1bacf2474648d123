import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Face } from '@/features/bench/face';
import { facePage } from '@/features/bench/queries';
import { OwnUnit } from '@/interface/figures/preferences';
import { nowMs } from '@/server/clock';
import { currentShop, currentShopName } from '@/server/current-shop';
import { TroubleScreen } from '@/interface/shell/trouble-screen';
import { troubleIn } from '@/server/trouble-in';

export const metadata: Metadata = { title: 'At the bench' };
export const dynamic = 'force-dynamic';

export default async function FacePage({ params }: { readonly params: Promise<{ readonly tightening: string }> }) {
  const { tightening: id } = await params;
  const found = await troubleIn(async () => facePage(await currentShop(), id, nowMs()));
  if (!found.ok) return <TroubleScreen message={found.message} nextStep={found.nextStep} />;
  if (!found.value) notFound();
  const { tightening, events, joint, engine, changed, held, known } = found.value;
  const isDemonstration = (await currentShopName()) === 'demonstration';
  return (
    <OwnUnit unit={engine.preferredUnit}>
      <Face
        tighteningId={id}
        jointName={joint.name}
        engineName={isDemonstration ? `${engine.name}, a demonstration` : engine.name}
        purpose={tightening.purpose}
        plan={tightening.plan}
        events={events}
        caps={joint.pattern === 'caps'}
        known={known}
        back={`/engines/${engine.id}/${tightening.purpose === 'retorque' ? 'run-in' : 'tighten'}`}
        changed={changed}
        held={held}
        sheet={`/engines/${engine.id}/joints/${joint.id}`}
        openedAt={nowMs()}
        standIn={isDemonstration}
      />
    </OwnUnit>
  );
}
