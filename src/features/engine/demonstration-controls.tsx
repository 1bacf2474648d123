'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { Result } from '@/model/result';
import { Button } from '@/interface/parts/button';
import { Notice } from '@/interface/parts/screen';
import { send } from '@/interface/parts/use-action-form';
import { openShopAction, resetDemonstrationAction } from './shop-actions';

/** The way into the demonstration yard and back, and its reset. */
export function DemonstrationControls({ inYard }: { readonly inYard: boolean }) {
  const router = useRouter();
  const [pending, startTransition] = useTransition();
  const [refusal, setRefusal] = useState<string>();
  const act = (work: () => Promise<Result<unknown>>) =>
    startTransition(async () => {
      const outcome = await send(work, undefined);
      setRefusal(outcome.ok ? undefined : outcome.error.message);
      if (outcome.ok) {
        router.push('/');
      }
    });
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
            <Button onClick={() => act(() => openShopAction({ name: 'own' }))} disabled={pending}>
              Go to my own shop
            </Button>{' '}
            <Button rank="stop" onClick={() => act(() => resetDemonstrationAction())} disabled={pending}>
              Put the yard back as it was
            </Button>
          </>
        ) : (
          <Button onClick={() => act(() => openShopAction({ name: 'demonstration' }))} disabled={pending}>
            Walk round the demonstration yard
          </Button>
        )}
      </p>
      {refusal && <Notice kind="stop">{refusal}</Notice>}
    </>
  );
}
