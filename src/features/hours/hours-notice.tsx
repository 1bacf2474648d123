'use client';

import { useState, useSyncExternalStore } from 'react';
import { Button } from '@/interface/parts/button';
import { Notice } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { keepHoursAction } from './shop-actions';
import styles from './hours-notice.module.css';

interface Props {
  /** The zone whose hours the pages tell. */
  readonly zone: string;
  /** By the shop’s clock, ms since 1970. */
  readonly now: number;
}

const LEFT = 'spanner-hours-left';

const zoneOfDevice = () => new Intl.DateTimeFormat('en').resolvedOptions().timeZone;

/** What a clock of a zone shows; the device’s own without one. @throws RangeError a zone that the browser does not know */
const shownAt = (at: number, timeZone?: string) =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone,
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  }).format(at);

const hourAt = (at: number, timeZone?: string) =>
  new Intl.DateTimeFormat('en-GB', { timeZone, weekday: 'short', hour: '2-digit', minute: '2-digit' }).format(at);

/** Once a month over the year to come: summer time begins and ends on other days elsewhere. */
const MONTHS = Array.from({ length: 12 }, (_, month) => month * 30.5 * 86_400_000);

function isSame(zone: string, now: number): boolean {
  try {
    return MONTHS.every((later) => shownAt(now + later, zone) === shownAt(now + later));
  } catch {
    return false;
  }
}

function isLeft(pair: string): boolean {
  try {
    return localStorage.getItem(LEFT) === pair;
  } catch {
    return false;
  }
}

function leave(pair: string): void {
  try {
    localStorage.setItem(LEFT, pair);
  } catch {
    // A device that keeps nothing is asked again on the next page.
  }
}

const nothing = () => () => undefined;

const said = (zone: string) => zone.replaceAll('_', ' ');

function words(zone: string, own: string, now: number): string {
  const told = 'What cools and what falls due is told by the clock of the machine that keeps the shop';
  try {
    const [there, here] = [hourAt(now, zone), hourAt(now)];
    return there === here
      ? `${told}, in ${said(zone)}: it goes with this device’s, in ${said(own)}, now, but not all the year.`
      : `${told}: ${there} in ${said(zone)}, where it is ${here} on this device, in ${said(own)}.`;
  } catch {
    return `${told}, in ${said(zone)}; this device is in ${said(own)}.`;
  }
}

/** Said where this device goes by other hours than the machine that keeps the shop, as one does that runs in UTC. */
export function HoursNotice({ zone, now }: Props) {
  const isAtDevice = useSyncExternalStore(
    nothing,
    () => true,
    () => false,
  );
  const { act, pending, problem } = useAct();
  const [isPassed, setPassed] = useState(false);
  if (!isAtDevice || isPassed) return null;
  const own = zoneOfDevice();
  const pair = `${zone} ${own}`;
  if (isSame(zone, now) || isLeft(pair)) return null;
  return (
    <div className={styles.hours}>
      <Notice kind="wait">{words(zone, own, now)}</Notice>
      <p className={styles.acts}>
        <Button onClick={() => act(() => keepHoursAction({ zone: own }))} busy={pending}>
          Go by this device’s
        </Button>
        <Button
          onClick={() => {
            leave(pair);
            setPassed(true);
          }}
        >
          Leave it
        </Button>
      </p>
      {problem && <Notice kind="stop">{problem.message}</Notice>}
    </div>
  );
}
