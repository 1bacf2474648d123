'use client';

import { useParams } from 'next/navigation';
import { putAsideAction } from '@/features/engine/actions';
import { Refusal } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { Notice, Screen } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import form from '@/interface/parts/form.module.css';
import key from '@/interface/parts/button.module.css';

/** One engine's page that could not be made: the others are not touched by it, and its rows can be taken along. */
export default function EngineErrorScreen({ reset }: { readonly reset: () => void }) {
  const { engine } = useParams<{ engine: string }>();
  const { act, problem } = useAct();
  return (
    <Screen plain title="This page of the engine cannot be made">
      <Notice kind="stop">
        Something of this engine’s record cannot be read. What is on disk is left as it is, and no other engine is
        touched by it.
      </Notice>
      <p>
        Try again; the server’s window says more. Its rows can be taken along as they lie on disk, and a copy of the
        shop from before can be put in place.
      </p>
      <p className={form.acts}>
        <Button rank="main" onClick={reset}>
          Try again
        </Button>
        <Button onClick={() => act(() => putAsideAction({ engineId: engine, reason: 'its record cannot be read' }))}>
          Put it aside
        </Button>
        <a className={key.key} href={`/api/engines/${engine}/rows`} download>
          Its rows as they are
        </a>
        {/* A plain link, for the whole page is to be asked for: what is here has failed. */}
        {/* oxlint-disable-next-line nextjs/no-html-link-for-pages */}
        <a className={key.key} href="/copies">
          Copies of the shop
        </a>
      </p>
      <Refusal problem={problem} />
    </Screen>
  );
}
