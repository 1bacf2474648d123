'use client';

import { STEP_KIND_WORDS } from '@/interface/words/order-words';
import type { OrderPage } from './queries';
import { Station } from './station';
import styles from './order-screen.module.css';

interface Props {
  readonly page: OrderPage;
  readonly selected: string;
  readonly onSelect: (id: string) => void;
}

const MOST = 6;

/** What can be done at this moment, the likeliest first; before it what is to be looked at again. */
export function NowList({ page, selected, onSelect }: Props) {
  const byId = new Map(page.steps.map((one) => [one.step.id, one]));
  const stale = page.steps.filter(({ canLook }) => canLook);
  const open = page.now.flatMap((id) => byId.get(id) ?? []);
  const shown = [...stale, ...open].slice(0, MOST);
  const more = stale.length + open.length - shown.length;
  if (shown.length === 0) {
    const left = page.steps.filter(({ state }) => state !== 'done').length;
    return <p>{left === 0 ? 'Every step is done.' : 'Nothing can be done now: see what the others wait for.'}</p>;
  }
  return (
    <>
      <ol className={styles.now}>
        {shown.map(({ step, state, why }) => (
          <li key={step.id}>
            <button
              type="button"
              className={styles.nowStep}
              aria-pressed={step.id === selected}
              onClick={() => onSelect(step.id)}
            >
              <Station state={state} />
              <span>
                <b>{step.name}</b>
                <span className={styles.small}>
                  {state === 'stale'
                    ? `To be looked at: ${why ?? ''}`
                    : [STEP_KIND_WORDS[step.kind], step.branch].filter(Boolean).join(', ')}
                  {step.detail.people > 1 && `, ${step.detail.people} people`}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ol>
      {more > 0 && <p className="soft">and {more} more, on the line below</p>}
    </>
  );
}
