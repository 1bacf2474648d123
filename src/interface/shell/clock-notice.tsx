import { fullTime } from '../figures/times';
import { Notice } from '../parts/screen';
import styles from './rail.module.css';

/** Said on every page while the machine's clock stands before what was written already. */
export const ClockNotice = ({ now, last }: { readonly now: number; readonly last: string }) => (
  <div className={styles.clock}>
    <Notice kind="stop">
      The clock of the machine that keeps the shop went back: it says {fullTime(now)}, and the last line was written at{' '}
      {fullTime(last)}. Set it. Until then the order of the lines is kept, but their times, what is due and what has
      cooled are wrong.
    </Notice>
  </div>
);
