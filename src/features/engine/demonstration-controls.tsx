'use client';

import { useRouter } from 'next/navigation';
import type { Result } from '@/model/result';
import { Button } from '@/interface/parts/button';
import { Notice } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { openShopAction, resetDemonstrationAction } from './shop-actions';

/** The way into the demonstration yard and back, and its reset. */
export function DemonstrationControls({ inYard }: { readonly inYard: boolean }) {
  const router = useRouter();
  const { act, pending, problem } = useAct();
  const go = (work: () => Promise<Result<unknown>>) => act(work, () => router.push('/'));
  return (
    <>
      <p className="soft">
        {inYard
          ? 'You are in Larkmoor Yard. It is a file of its own: nothing done here touches your own shop.'
          : 'Larkmoor Yard: three made-up engines, one with its head cooling, one half tightened. It is a file of its own.'}
      </p>
      <p>
        {inYard ? (
          <>
            <Button onClick={() => go(() => openShopAction({ name: 'own' }))} disabled={pending}>
              Go to my own shop
            </Button>{' '}
            <Button rank="stop" onClick={() => go(() => resetDemonstrationAction())} disabled={pending}>
              Put the yard back as it was
            </Button>
          </>
        ) : (
          <Button onClick={() => go(() => openShopAction({ name: 'demonstration' }))} disabled={pending}>
            Walk round the demonstration yard
          </Button>
        )}
      </p>
      {problem && <Notice kind="stop">{problem.message}</Notice>}
    </>
  );
}
