import { RailOfShop } from './rail-of-shop';
import { beingWorkedOut } from '@/db/reads/engine-summaries';
import { asideEngines, onStands } from '@/features/engine/queries';
import { dueFirst } from '@/features/engine/due';
import { shelvedWrenches } from '@/features/shelves/queries';
import { standsPage } from '@/features/engine/stands-page';
import { DUE_ON_STANDS, StandsScreen } from '@/features/engine/stands-screen';
import { DemonstrationControls } from '@/features/engine/demonstration-controls';
import { DrawnReckoner } from '@/features/reckon/reckoner-box';
import { DrawnWrenchForm } from '@/features/shelves/wrench-form-box';
import { inColumns } from '@/interface/shell/in-columns';
import { nowMs } from '@/server/clock';
import { shelvesOnce, summariesOnce } from '@/server/request-reads';
import { isOffered, ownFilms } from '@/model/shelf/shelves';
import { currentShop, currentShopName } from '@/server/current-shop';

interface Props {
  readonly searchParams: Promise<Readonly<Record<'find' | 'page', string | readonly string[] | undefined>>>;
}

/** One of a question that an address asks twice is no answer. */
const textOf = (asked: string | readonly string[] | undefined) => (typeof asked === 'string' ? asked : '');

export default async function StandsPage({ searchParams }: Props) {
  const { find, page } = await searchParams;
  const shop = await currentShop();
  const inYard = (await currentShopName()) === 'demonstration';
  const shelves = shelvesOnce(shop);
  const summaries = summariesOnce(shop);
  const now = nowMs();
  return (
    <>
      <RailOfShop />
      <StandsScreen
        due={dueFirst(summaries, shelvedWrenches(shelves, now), now, DUE_ON_STANDS)}
        unknown={beingWorkedOut(onStands(summaries))}
        stands={standsPage(summaries, { find: textOf(find), page: Number(textOf(page)) }, now)}
        aside={asideEngines(summaries)}
        demonstration={<DemonstrationControls inYard={inYard} />}
        reckoner={<DrawnReckoner sent={inColumns({ ownFilms: ownFilms(shelves) })} />}
        shelf={!shelves.wrenches.some(isOffered) ? <DrawnWrenchForm /> : undefined}
      />
    </>
  );
}
