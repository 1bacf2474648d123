import { RailOfShop } from './rail-of-shop';
import { asideEngines, engineTags } from '@/features/engine/queries';
import { StandsScreen } from '@/features/engine/stands-screen';
import { DemonstrationControls } from '@/features/engine/demonstration-controls';
import { QuickReckoner } from '@/features/reckon/quick-reckoner';
import { WrenchForm } from '@/features/shelves/wrench-form';
import { nowMs } from '@/server/clock';
import { shelvesOnce, summariesOnce } from '@/server/request-reads';
import { hangsHere } from '@/model/shelf/shelves';
import { currentShop, currentShopName } from '@/server/current-shop';

export default async function StandsPage() {
  const shop = await currentShop();
  const inYard = (await currentShopName()) === 'demonstration';
  const { wrenches, films } = shelvesOnce(shop);
  const summaries = summariesOnce(shop);
  return (
    <>
      <RailOfShop />
      <StandsScreen
        tags={engineTags(summaries, nowMs())}
        aside={asideEngines(summaries)}
        demonstration={<DemonstrationControls inYard={inYard} />}
        reckoner={<QuickReckoner films={films} />}
        shelf={!wrenches.some(hangsHere) ? <WrenchForm /> : undefined}
      />
    </>
  );
}
