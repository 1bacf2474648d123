import { NewJointForm } from '@/features/joint/new-joint-form';
import { torqueLeaves } from '@/features/joint/queries';
import { WrenchShelf } from '@/features/shop/wrench-shelf';
import { Part, Sheet } from '@/interface/parts/sheet';
import { engineAt, type EngineParams } from '@/interface/server/engine-at';

interface Props extends EngineParams {
  readonly searchParams: Promise<{ readonly leaf?: string }>;
}

export default async function NewJointPage({ params, searchParams }: Props) {
  const { shop, engine } = await engineAt(params);
  const wrenches = shop.wrenches.all();
  const { leaf } = await searchParams;
  return (
    <Sheet title="New joint" lead="Made from a leaf of the book.">
      {wrenches.length === 0 ? (
        <Part title="First, a wrench">
          <WrenchShelf wrenches={wrenches} />
        </Part>
      ) : (
        <Part title="The joint">
          <NewJointForm engineId={engine.id} leaves={torqueLeaves(shop, engine.id)} leafId={leaf} wrenches={wrenches} />
        </Part>
      )}
    </Sheet>
  );
}
