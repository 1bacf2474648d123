import type { HeardAtBench } from './use-heard-wrench';
import { useFigures } from '@/interface/figures/preferences';
import keys from './face-keys.module.css';
import styles from './face-instruments.module.css';

const LOW_PCT = 20;

/** Whether a wrench is listened to, which one, and what it shows just now. */
export function FaceInstruments({ heard: { instruments, wrench, use } }: { readonly heard: HeardAtBench }) {
  const { asks, instrument, battery_pct } = wrench;
  const low = battery_pct !== undefined && battery_pct <= LOW_PCT ? `, battery ${Math.round(battery_pct)} %` : '';
  return (
    <div className={styles.instruments}>
      {asks !== undefined && (
        <button type="button" className={keys.other} onClick={() => use(asks)} data-asks>
          Use {asks} here
        </button>
      )}
      <button type="button" className={keys.other} aria-pressed={instruments.on} onClick={instruments.toggle}>
        {!instruments.on
          ? 'Listen to a wrench'
          : !instruments.ready
            ? 'Not listening yet'
            : instrument === undefined
              ? 'Listening'
              : `Listening to ${instrument}${low}`}
      </button>
    </div>
  );
}

/** What the wrench shows while it is pulled, large enough for whoever stands on it. */
export function FaceLive({ heard: { wrench } }: { readonly heard: HeardAtBench }) {
  const { plain } = useFigures();
  const { live } = wrench;
  return (
    live && (
      <output className={styles.live} data-testid="live-reading" aria-live="off">
        {plain(live.value)} {live.unit}
        {live.turned_deg !== undefined && `, ${plain(live.turned_deg)}°`}
      </output>
    )
  );
}
