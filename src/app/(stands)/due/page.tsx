import type { Metadata } from 'next';
import { RailOfShop } from '../rail-of-shop';
import { CalendarPart } from '@/features/engine/calendar-part';
import { keptCalendar } from '@/features/engine/calendar';
import { DueScreen } from '@/features/engine/due-screen';
import { dueLines } from '@/features/engine/due';
import { shelvedWrenches } from '@/features/shelves/queries';
import { nowMs } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { shelvesOnce, summariesOnce } from '@/server/request-reads';

export const metadata: Metadata = { title: 'Due' };

export default async function DuePage() {
  const shop = await currentShop();
  const now = nowMs();
  return (
    <>
      <RailOfShop />
      <DueScreen
        lines={dueLines(summariesOnce(shop), shelvedWrenches(shelvesOnce(shop), now), now)}
        now={now}
        calendar={<CalendarPart secret={keptCalendar(shop).calendar.secret} />}
      />
    </>
  );
}
