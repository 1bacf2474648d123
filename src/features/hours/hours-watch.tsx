'use client';

import { useState } from 'react';
import { fetchedPart } from '@/interface/parts/fetched-part';
import { useAlive } from '@/interface/parts/hydration-gate';

const HoursNotice = fetchedPart(() => import('./hours-notice').then((module) => module.HoursNotice));

const LEFT = 'spanner-hours-left';

const zoneOfDevice = () => new Intl.DateTimeFormat('en').resolvedOptions().timeZone;

/** Once a month over the year to come: summer time begins and ends on other days elsewhere. */
const MONTHS = Array.from({ length: 12 }, (_, month) => month * 30.5 * 86_400_000);

/** What a clock of a zone shows on those days. @throws RangeError a zone that the browser does not know */
function shownIn(timeZone: string, now: number): string {
  const clock = new Intl.DateTimeFormat('en-GB', { timeZone, dateStyle: 'short', timeStyle: 'short' });
  return MONTHS.map((later) => clock.format(now + later)).join();
}

function isSame(zone: string, own: string, now: number): boolean {
  if (zone === own) return true;
  try {
    return shownIn(zone, now) === shownIn(own, now);
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

interface Props {
  /** The zone whose hours the pages tell. */
  readonly zone: string;
  /** By the shop’s clock, ms since 1970. */
  readonly now: number;
}

/** Where this device goes by other hours than the machine that keeps the shop, as one does that runs in UTC, that is said. */
export function HoursWatch({ zone, now }: Props) {
  const isAtDevice = useAlive();
  const [isPassed, setPassed] = useState(false);
  if (!isAtDevice || isPassed) return null;
  const own = zoneOfDevice();
  const pair = `${zone} ${own}`;
  if (isSame(zone, own, now) || isLeft(pair)) return null;
  const onLeave = () => {
    leave(pair);
    setPassed(true);
  };
  return <HoursNotice zone={zone} own={own} now={now} onLeave={onLeave} />;
}
