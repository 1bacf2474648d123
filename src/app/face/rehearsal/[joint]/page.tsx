import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Rehearsal } from '@/features/bench/rehearsal';
import { rehearsalPage } from '@/features/bench/rehearsal-page';
import { OwnUnit } from '@/interface/figures/preferences';
import { TroubleScreen } from '@/interface/shell/trouble-screen';
import { nowMs } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { troubleIn } from '@/server/trouble-in';
import { tryCore } from '@/model/try-core';

export const metadata: Metadata = { title: 'Rehearsal' };
export const dynamic = 'force-dynamic';

export default async function RehearsalRoute({ params }: { readonly params: Promise<{ readonly joint: string }> }) {
  const { joint: id } = await params;
  const now = nowMs();
  const found = await troubleIn(async () => {
    const shop = await currentShop();
    return tryCore(() => rehearsalPage(shop, id, now));
  });
  if (!found.ok) return <TroubleScreen message={found.message} nextStep={found.nextStep} />;
  if (!found.value.ok)
    return <TroubleScreen message={found.value.error.message} nextStep="Put it right on its sheet." />;
  if (!found.value.result) notFound();
  const { engine, joint, plan, known, prevailing_Nm } = found.value.result;
  return (
    <OwnUnit unit={engine.preferredUnit}>
      <Rehearsal
        joint={joint}
        engineName={engine.name}
        plan={plan}
        known={known}
        prevailing_Nm={prevailing_Nm}
        sheet={`/engines/${engine.id}/joints/${joint.id}`}
        openedAt={now}
      />
    </OwnUnit>
  );
}
