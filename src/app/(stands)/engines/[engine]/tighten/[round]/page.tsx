import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PaperScreen } from '@/features/bench/paper-screen';
import { engineRowsAt } from '@/server/engine-at';

export const metadata: Metadata = { title: 'From a paper card' };

interface Context {
  readonly params: Promise<{ readonly engine: string; readonly round: string }>;
}

export default async function PaperPage({ params }: Context) {
  const { rows } = await engineRowsAt(params);
  const { round: id } = await params;
  const round = rows.tightenings.find((one) => one.id === id);
  const joint = round && rows.joints.find((one) => one.id === round.jointId);
  if (!joint) notFound();
  return (
    <PaperScreen
      roundId={id}
      jointName={joint.name}
      plan={round.plan}
      events={rows.events.get(id) ?? []}
      back={`/engines/${rows.engine.id}/tighten`}
    />
  );
}
