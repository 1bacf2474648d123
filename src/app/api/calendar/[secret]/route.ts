import { calendarText } from '@/features/engine/calendar-text';
import { keptCalendar, toldCalendar } from '@/features/engine/calendar';
import { fail } from '@/model/result';
import { shopOfCalendar } from '@/server/calendar-shop';
import { nowMs } from '@/server/clock';
import { catchToResponse, originOf, toResponse } from '@/server/http';
import { wholeSummaries } from '@/server/request-reads';

interface Context {
  readonly params: Promise<{ readonly secret: string }>;
}

/** The feed that a phone subscribes to: whoever has its address reads what is due, and nothing else. */
export async function GET(request: Request, { params }: Context) {
  return catchToResponse(async () => {
    const secret = (await params).secret.replace(/\.ics$/, '');
    const shop = shopOfCalendar(secret, (one) => keptCalendar(one).calendar.secret);
    if (!shop) return toResponse(fail({ code: 'not-found', message: 'There is no calendar at that address.' }));
    const { events } = toldCalendar(shop, await wholeSummaries(shop), nowMs());
    return new Response(calendarText(events, originOf(request)), {
      headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'no-store' },
    });
  });
}
