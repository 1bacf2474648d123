import { Link } from '@/interface/parts/link';
import type { ReactNode } from 'react';
import { Notice, Screen } from '@/interface/parts/screen';
import { BeingWorkedOut } from '@/interface/shell/being-worked-out';
import { fullTime } from '@/interface/figures/times';
import styles from './due-list.module.css';
import type { DueLine } from './due';
import { PrintKey } from './print-key';
import { DueList } from './due-list';

/** As many as are read at one sitting; the rest stand on the sheets of their engines. */
const MOST = 100;

/** Everything over all engines that is due, waits, is on order, is out, or is overdue. */
export const DueScreen = ({
  lines,
  unknown,
  now,
  calendar,
}: {
  readonly lines: readonly DueLine[];
  /** So many engines are not in it yet. */
  readonly unknown: number;
  readonly now: number;
  readonly calendar: ReactNode;
}) => (
  <Screen
    plain
    title="Due"
    aside={lines.length > 0 && <PrintKey what="Print the day" />}
    lead={
      <>
        Over all engines, the overdue first. Each leads to where it is done. <Link href="/">On the stands</Link>
      </>
    }
  >
    <p className={styles.printed}>As it stood on {fullTime(now)}</p>
    {unknown > 0 && <BeingWorkedOut engines={unknown} />}
    {lines.length > 0 ? (
      <DueList lines={lines.slice(0, MOST)} />
    ) : (
      unknown === 0 && <Notice kind="done">Nothing is due.</Notice>
    )}
    {lines.length > MOST && <p className="soft">{lines.length - MOST} more stand on the sheets of their engines.</p>}
    <div className={styles.unprinted}>{calendar}</div>
  </Screen>
);
