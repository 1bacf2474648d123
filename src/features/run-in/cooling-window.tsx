'use client';

import type { CoolingWindow } from '@/core/heat';
import { fetchedPart } from '@/interface/parts/fetched-part';
import { nearTime } from '@/interface/figures/times';
import styles from './run-in-screen.module.css';

const CoolingChart = fetchedPart(() => import('./cooling-chart').then((module) => module.default), {
  space: <div className={styles.chartSpace} />,
});

/** How the head cools, and the window in which it is cold enough. */
export const CurveOfWindow = ({
  window,
  ranTo,
  now,
}: {
  readonly window: CoolingWindow;
  readonly ranTo: number;
  readonly now: number;
}) => (
  <>
    <p className={styles.window}>
      Cold enough from <b>{nearTime(window.from, now)}</b>, by <b>{nearTime(window.by, now)}</b>. The clock only
      proposes; a reading of {window.target_C.toFixed(0)} °C or less at the head opens it.
    </p>
    <div
      role="img"
      aria-label={`The head cools to ${window.target_C.toFixed(0)} °C between ${nearTime(window.from, now)} and ${nearTime(window.by, now)}`}
    >
      <CoolingChart window={window} ranTo={ranTo} />
    </div>
    <p className={styles.legend}>
      Full line: exponential, the early end. Broken line: still air, the late end. Diamonds: readings reckoned with.
      <span> The band is wider on either side by what sensor and air may be off.</span>
    </p>
  </>
);
