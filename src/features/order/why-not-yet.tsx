'use client';

import { useState } from 'react';
import { Button } from '@/interface/parts/button';
import { useSingleKeys } from '@/interface/shell/use-single-keys';
import { STEP_STATE_WORDS } from '@/interface/words/order-words';
import { whyNotYet } from '@/model/order/likeliest';
import type { StepState, WaitsFor } from '@/model/order/step-state';
import type { OrderPage } from './queries';
import { Station } from './station';
import styles from './order-screen.module.css';

interface Props {
  readonly page: OrderPage;
  readonly one: StepState;
  readonly onSelect: (id: string) => void;
}

const SAID: Readonly<Record<WaitsFor['kind'], string>> = {
  step: 'is to be done first',
  stale: 'is to be looked at first',
  hides: 'is there already, and must not be yet',
  part: '',
  trial: '',
};

/** What a step waits for, and, by one key, the whole chain of what that waits for in turn. */
export function WhyNotYet({ page, one, onSelect }: Props) {
  const [whole, setWhole] = useState(false);
  const waiting = one.waits.length > 0;
  useSingleKeys(waiting ? { y: () => setWhole((was) => !was) } : {});
  if (!waiting) return null;
  const byId = new Map(page.steps.map((state) => [state.step.id, state]));
  const chain = whole ? whyNotYet(byId, one.step.id) : [];
  const named = (id: string) => byId.get(id);
  return (
    <div className={styles.why}>
      <h3 className={styles.smallTitle}>Waits for</h3>
      <ul>
        {one.waits.map((wait) => (
          <li key={JSON.stringify(wait)}>
            {'stepId' in wait ? (
              <>
                <button type="button" className="text-button" onClick={() => onSelect(wait.stepId)}>
                  {named(wait.stepId)?.step.name}
                </button>{' '}
                {SAID[wait.kind]}
              </>
            ) : (
              wait.words
            )}
          </li>
        ))}
      </ul>
      <Button onClick={() => setWhole(!whole)} aria-expanded={whole}>
        Why not yet <kbd>Y</kbd>
      </Button>
      {whole && (
        <ol className={styles.chain} aria-label="The whole chain">
          {chain.map(({ stepId, depth }) => {
            const state = named(stepId);
            return (
              state && (
                <li key={stepId} style={{ paddingInlineStart: `${Math.min(depth, 8) * 0.75}rem` }}>
                  <button type="button" className={styles.chainStep} onClick={() => onSelect(stepId)}>
                    <Station state={state.state} /> {state.step.name}
                    <span className="only-spoken"> ({STEP_STATE_WORDS[state.state]})</span>
                  </button>
                </li>
              )
            );
          })}
        </ol>
      )}
    </div>
  );
}
