'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { EngineSheets, SheetKind } from '@/model/engine/engine-measure';
import { Key } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Remark } from '@/interface/parts/sheet';
import { send } from '@/interface/parts/use-action-form';
import { keepSheetAction } from './sheet-actions';

interface Props<K extends SheetKind> {
  readonly engineId: string;
  readonly kind: K;
  /** Undefined while something is still to be given. */
  readonly body: EngineSheets[K] | undefined;
  readonly words?: string;
}

/** The key that keeps a sheet, and what was said to it. */
export function KeepSheet<K extends SheetKind>({ engineId, kind, body, words = 'Keep it' }: Props<K>) {
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
        <Key rank="main" onClick={keep} disabled={pending || body === undefined}>
          {words}
        </Key>
        {said?.ok && (
          <span className="soft" role="status">
            {said.words}
          </span>
        )}
      </p>
      {said && !said.ok && <Remark kind="stop">{said.words}</Remark>}
    </>
  );
}
