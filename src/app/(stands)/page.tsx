import { engineTags } from '@/features/engine/queries';
import { StandsSheet } from '@/features/engine/stands-sheet';
import { DemonstrationControls } from '@/features/shop/demonstration-controls';
import { WrenchShelf } from '@/features/shop/wrench-shelf';
import { currentShop, currentShopName } from '@/interface/server/current-shop';

export default async function StandsPage() {
  const shop = await currentShop();
  const inYard = (await currentShopName()) === 'demonstration';
  return (
    <StandsSheet
      tags={engineTags(shop)}
      demonstration={<DemonstrationControls inYard={inYard} />}
      shelf={<WrenchShelf wrenches={shop.wrenches.all()} />}
    />
  );
}
