'use client';

import { useSearchParams } from 'next/navigation';
import { useCallback, type ReactNode } from 'react';
import { Disclosure } from '@/interface/parts/disclosure';
import { Notice, Screen, Section } from '@/interface/parts/screen';
import { sentInColumns } from '@/interface/shell/sent-in-columns';
import { useSingleKeys } from '@/interface/shell/use-single-keys';
import { ChangesFold } from './changes-fold';
import { LineDrawing } from './line-drawing';
import { NowList } from './now-list';
import { OpenLists } from './open-lists';
import type { OrderPage } from './queries';
import { CrankNotice, PausedNotice, PauseFold, TrialNotice } from './standing-notices';
import { StepPanel } from './step-panel';
import styles from './order-screen.module.css';

interface Of {
  readonly page: OrderPage;
}

interface Beside {
  /** What stands by a step that sets the timing. */
  readonly reckoner?: ReactNode;
  readonly children?: ReactNode;
}

const NAMED = 3;

/** What is wrong with the order itself, said as it is made. */
function OrderNotices({ page: { trouble, hanging } }: Of) {
  return (
    <>
      {trouble && <Notice kind="stop">{trouble} Change what comes before one of them.</Notice>}
      {hanging.length > 0 && (
        <Notice kind="wait">
          Nothing leads to{' '}
          {hanging
            .slice(0, NAMED)
            .map((name) => `“${name}”`)
            .join(', ')}
          {hanging.length > NAMED && ` and ${hanging.length - NAMED} more`}, and nothing rests on{' '}
          {hanging.length === 1 ? 'it' : 'them'}: say what comes before.
        </Notice>
      )}
    </>
  );
}

/** The step that is looked at: the one in the address, else the likeliest now; none asked for goes back to that. */
function useSelected({ steps, now, engineId }: OrderPage): readonly [string, (id: string) => void] {
  const asked = useSearchParams().get('step') ?? '';
  const stale = steps.find(({ canLook }) => canLook)?.step.id;
  const known = steps.some(({ step }) => step.id === asked);
  const selected = known ? asked : (stale ?? now[0] ?? steps[0]?.step.id ?? '');
  const select = useCallback(
    // The sheet has all steps already: only the address changes.
    (id: string) =>
      window.history.replaceState(null, '', `/engines/${engineId}/order${id === '' ? '' : `?step=${id}`}`),
    [engineId],
  );
  return [selected, select];
}

/** The order of the build: what can be done now, the line, the step that is looked at, and the three open lists. */
export const OrderScreen = sentInColumns<Of, Beside>(function Order({ page, reckoner, children }) {
  const [selected, select] = useSelected(page);
  const one = page.steps.find(({ step }) => step.id === selected);
  useSingleKeys({ n: () => document.querySelector<HTMLElement>('#more summary')?.click() });
  return (
    <Screen plain title="Order" lead="What may be done now, and what everything else waits for.">
      <OrderNotices page={page} />
      <PausedNotice page={page} />
      <TrialNotice page={page} />
      <CrankNotice page={page} />
      <Section title="Now">
        <NowList page={page} selected={selected} onSelect={select} />
      </Section>
      <div className={styles.work}>
        <LineDrawing steps={page.steps} layout={page.layout} selected={selected} onSelect={select} />
        {one && <StepPanel key={selected} page={page} one={one} onSelect={select} />}
      </div>
      {one?.step.kind === 'timing' && (
        <Disclosure title="Reckon the timing" line="degrees, drop, top by a stop, valve times, a rim" id="timing">
          {reckoner}
        </Disclosure>
      )}
      <OpenLists page={page} />
      <ChangesFold page={page} />
      <PauseFold page={page} />
      {children}
    </Screen>
  );
});
