import { calendarText } from '@/features/engine/calendar-text';
import { toldCalendar } from '@/features/engine/calendar';
import { nowMs } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { catchToResponse, originOf } from '@/server/http';
import { wholeSummaries } from '@/server/request-reads';

/** What is due in a window of time, as a file for a calendar. */
export async function GET(request: Request) {
  return catchToResponse(async () => {
    const shop = await currentShop();
    const { events } = toldCalendar(shop, await wholeSummaries(shop), nowMs());
    return new Response(calendarText(events, originOf(request)), {
      headers: {
        'content-type': 'text/calendar; charset=utf-8',
        'content-disposition': 'attachment; filename="due.ics"',
        'cache-control': 'no-store',
      },
    });
  });
}
