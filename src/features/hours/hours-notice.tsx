'use client';

import { Button } from '@/interface/parts/button';
import { Notice } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { keepHoursAction } from './shop-actions';
import styles from './hours-notice.module.css';

export interface HoursNoticeProps {
  /** The zone whose hours the pages tell. */
  readonly zone: string;
  /** The device’s. */
  readonly own: string;
  /** By the shop’s clock, ms since 1970. */
  readonly now: number;
  readonly onLeave: () => void;
}

/** @throws RangeError a zone that the browser does not know */
const hourAt = (at: number, timeZone: string) =>
  new Intl.DateTimeFormat('en-GB', { timeZone, weekday: 'short', hour: '2-digit', minute: '2-digit' }).format(at);

const said = (zone: string) => zone.replaceAll('_', ' ');

function words({ zone, own, now }: Omit<HoursNoticeProps, 'onLeave'>): string {
  const told = 'What cools and what falls due is told by the clock of the machine that keeps the shop';
  try {
    const [there, here] = [hourAt(now, zone), hourAt(now, own)];
    return there === here
      ? `${told}, in ${said(zone)}: it goes with this device’s, in ${said(own)}, now, but not all the year.`
      : `${told}: ${there} in ${said(zone)}, where it is ${here} on this device, in ${said(own)}.`;
  } catch {
    return `${told}, in ${said(zone)}; this device is in ${said(own)}.`;
  }
}

/** What the two clocks say, and a key to set the shop by this device’s. */
export function HoursNotice({ onLeave, ...clocks }: HoursNoticeProps) {
  const { act, pending, problem } = useAct();
  return (
    <div className={styles.hours}>
      <Notice kind="wait">{words(clocks)}</Notice>
      <p className={styles.acts}>
        <Button onClick={() => act(() => keepHoursAction({ zone: clocks.own }))} busy={pending}>
          Go by this device’s
        </Button>
        <Button onClick={onLeave}>Leave it</Button>
      </p>
      {problem && <Notice kind="stop">{problem.message}</Notice>}
    </div>
  );
}
