'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { EngineMeasures, MeasureKind } from '@/model/engine/engine-measure';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Notice } from '@/interface/parts/screen';
import { send } from '@/interface/parts/use-action-form';
import { keepSheetAction } from './actions';

interface Props<K extends MeasureKind> {
  readonly engineId: string;
  readonly kind: K;
  /** Undefined while something is still to be given. */
  readonly body: EngineMeasures[K] | undefined;
  readonly words?: string;
}

/** The key that keeps a sheet, and what was said to it. */
export function KeepSheet<K extends MeasureKind>({ engineId, kind, body, words = 'Keep it' }: Props<K>) {
  const router = useRouter();
  const [said, setSaid] = useState<{ readonly ok: boolean; readonly words: string }>();
  const [pending, startTransition] = useTransition();
  const keep = () =>
    startTransition(async () => {
      const outcome = await send(keepSheetAction, { engineId, kind, body });
      setSaid(outcome.ok ? { ok: true, words: 'Kept.' } : { ok: false, words: outcome.error.message });
      router.refresh();
    });
  return (
    <>
      <p className={form.acts}>
        <Button rank="main" onClick={keep} disabled={pending || body === undefined}>
          {words}
        </Button>
        {said?.ok && (
          <span className="soft" role="status">
            {said.words}
          </span>
        )}
      </p>
      {said && !said.ok && <Notice kind="stop">{said.words}</Notice>}
    </>
  );
}
