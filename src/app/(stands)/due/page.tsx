import type { Metadata } from 'next';
import { RailOfShop } from '../rail-of-shop';
import { CalendarPart } from '@/features/engine/calendar-part';
import { keptCalendar } from '@/features/engine/calendar';
import { DueScreen } from '@/features/engine/due-screen';
import { beingWorkedOut } from '@/db/reads/engine-summaries';
import { dueLines } from '@/features/engine/due';
import { onStands } from '@/features/engine/queries';
import { shelvedWrenches } from '@/features/shelves/queries';
import { nowMs } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { shelvesOnce, summariesOnce } from '@/server/request-reads';

export const metadata: Metadata = { title: 'Due' };

export default async function DuePage() {
  const shop = await currentShop();
  const now = nowMs();
  const engines = summariesOnce(shop);
  return (
    <>
      <RailOfShop />
      <DueScreen
        lines={dueLines(engines, shelvedWrenches(shelvesOnce(shop), now), now)}
        unknown={beingWorkedOut(onStands(engines))}
        now={now}
        calendar={<CalendarPart secret={keptCalendar(shop).calendar.secret} />}
      />
    </>
  );
}
