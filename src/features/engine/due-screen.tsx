import Link from 'next/link';
import type { ReactNode } from 'react';
import { Notice, Screen } from '@/interface/parts/screen';
import type { DueLine } from './due';
import { PrintKey } from './print-key';
import { DueList } from './due-list';

/** As many as are read at one sitting; the rest stand on the sheets of their engines. */
const MOST = 100;

/** Everything over all engines that is due, waits, is on order, is out, or is overdue. */
export const DueScreen = ({
  lines,
  calendar,
}: {
  readonly lines: readonly DueLine[];
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
    {lines.length === 0 ? <Notice kind="done">Nothing is due.</Notice> : <DueList lines={lines.slice(0, MOST)} />}
    {lines.length > MOST && <p className="soft">{lines.length - MOST} more stand on the sheets of their engines.</p>}
    {calendar}
  </Screen>
);
