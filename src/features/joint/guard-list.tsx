'use client';

import type { Guard } from '@/core/joint';
import { useShowWorking, type Working } from '@/interface/shell/working-margin';
import styles from './guard-list.module.css';

const workingOf = ({ severity, message, working, source }: Guard): Working | undefined =>
  working && {
    title: severity === 'stop' ? 'What stops it' : 'What to look at',
    lines: working,
    remarks: source === undefined ? [] : [['Source', source]],
    caution: message,
  };

/** What stands against the figure: a full triangle stops, an open one asks for a look; a share shows its working. */
export function GuardList({ guards }: { readonly guards: readonly Guard[] }) {
  const show = useShowWorking(guards.flatMap((guard) => workingOf(guard) ?? []));
  if (guards.length === 0) return null;
  return (
    <ul className={styles.guards} aria-label="What stands against it">
      {[...guards]
        .sort((a, b) => Number(b.severity === 'stop') - Number(a.severity === 'stop'))
        .map((guard) => {
          const working = workingOf(guard);
          return (
            <li
              key={guard.code + guard.message}
              className={styles.guard}
              data-severity={guard.severity}
              data-code={guard.code}
            >
              <span className={styles.sign} aria-hidden>
                {guard.severity === 'stop' ? '▲' : '△'}
              </span>
              <span>
                <span className="only-spoken">{guard.severity === 'stop' ? 'Stops: ' : 'Look at: '}</span>
                {guard.message}
                {working && (
                  <>
                    {' '}
                    <button type="button" className="text-button" data-working {...show(working)}>
                      Its working
                    </button>
                  </>
                )}
              </span>
            </li>
          );
        })}
    </ul>
  );
}
