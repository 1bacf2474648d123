import type { StepStanding } from '@/model/order/step-state';
import styles from './station.module.css';

/** How a step stands, told by shape: ticked disc, half disc, triangle, open ring, small ring, barred square. */
export function Station({ state }: { readonly state: StepStanding }) {
  return (
    <svg className={styles.station} data-state={state} viewBox="0 0 24 24" aria-hidden>
      {state === 'done' && (
        <>
          <circle cx="12" cy="12" r="9" className={styles.full} />
          <path d="M7.5 12.5l3 3 6-7" className={styles.tick} />
        </>
      )}
      {state === 'trial' && (
        <>
          <circle cx="12" cy="12" r="8" className={styles.ring} />
          <path d="M12 4a8 8 0 0 1 0 16z" className={styles.full} />
        </>
      )}
      {state === 'stale' && (
        <>
          <path d="M12 3l10 18H2z" className={styles.ring} />
          <path d="M12 10v5M12 17.5v1" className={styles.mark} />
        </>
      )}
      {state === 'open' && <circle cx="12" cy="12" r="8" className={styles.open} />}
      {state === 'waiting' && <circle cx="12" cy="12" r="4.5" className={styles.thin} />}
      {state === 'barred' && (
        <>
          <rect x="4" y="4" width="16" height="16" className={styles.ring} />
          <path d="M4 12h16" className={styles.mark} />
        </>
      )}
    </svg>
  );
}
