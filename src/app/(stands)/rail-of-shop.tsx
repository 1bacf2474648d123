import { lastLineAt } from '@/db/reads/engine-summaries';
import { engineTags, onStands } from '@/features/engine/queries';
import { FindBox } from '@/features/find/find-box';
import { HoursWatch } from '@/features/hours/hours-watch';
import { ReckonerBox } from '@/features/reckon/reckoner-box';
import { ClockNotice } from '@/interface/shell/clock-notice';
import { Rail } from '@/interface/shell/rail';
import { hungTags } from '@/interface/shell/rail-tags';
import { isBehind } from '@/model/line-age';
import { ownFilms } from '@/model/shelf/shelves';
import { inColumns } from '@/interface/shell/in-columns';
import { nowMs } from '@/server/clock';
import { currentShop, currentShopName } from '@/server/current-shop';
import { shelvesOnce, summariesOnce } from '@/server/request-reads';
import { zoneHere } from '@/server/wall-clock';

const HOMES = { own: 'my own shop', demonstration: 'Larkmoor Yard, a demonstration' } as const;

/** The rail with the tags that hang on it: of a shop of 500 engines only those are sent. */
export async function RailOfShop({ engine }: { readonly engine?: string }) {
  const shop = await currentShop();
  const now = nowMs();
  const engines = onStands(summariesOnce(shop));
  const last = lastLineAt(shop);
  return (
    <>
      <Rail
        tags={engineTags(hungTags(engines, engine), now)}
        engines={engines.length}
        home={HOMES[await currentShopName()]}
        find={<FindBox />}
        reckoner={<ReckonerBox sent={inColumns({ ownFilms: ownFilms(shelvesOnce(shop)) })} />}
      />
      <HoursWatch zone={zoneHere()} now={now} />
      {last !== undefined && isBehind(now, last) && <ClockNotice now={now} last={last} />}
    </>
  );
}
