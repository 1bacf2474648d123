import type { Guard } from '@/core/joint';
import styles from './guard-list.module.css';

/** What stands against the figure: a full triangle stops, an open one asks for a look. */
export const GuardList = ({ guards }: { readonly guards: readonly Guard[] }) =>
  guards.length === 0 ? null : (
    <ul className={styles.guards} aria-label="What stands against it">
      {[...guards]
        .sort((a, b) => Number(b.severity === 'stop') - Number(a.severity === 'stop'))
        .map((guard) => (
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
            </span>
          </li>
        ))}
    </ul>
  );
