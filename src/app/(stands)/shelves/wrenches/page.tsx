import type { Metadata } from 'next';
import { AsideFold } from '@/features/removal/aside-fold';
import { rowsAside } from '@/features/removal/queries';
import { shelvedWrenches } from '@/features/shelves/queries';
import { WrenchShelf } from '@/features/shelves/wrench-shelf';
import { currentShop } from '@/server/current-shop';
import { shelvesOnce } from '@/server/request-reads';
import { nowMs } from '@/server/clock';
import { Section, Screen } from '@/interface/parts/screen';

export const metadata: Metadata = { title: 'Wrenches' };

export default async function WrenchesPage() {
  const shelves = shelvesOnce(await currentShop());
  return (
    <Screen
      plain
      title="Wrenches"
      lead="A click wrench is stored at its lowest mark, is not for loosening, and no bar goes on it."
    >
      <Section title="On the shelf">
        <WrenchShelf wrenches={shelvedWrenches(shelves, nowMs())} />
      </Section>
      <AsideFold asides={rowsAside('wrench', shelves.wrenches, ({ name }) => name)} />
    </Screen>
  );
}
