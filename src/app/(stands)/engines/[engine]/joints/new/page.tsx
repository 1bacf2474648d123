import { NewJointForm } from '@/features/joint/new-joint-form';
import { StandardJointForm } from '@/features/joint/standard-joint-form';
import { torqueLeaves } from '@/model/book/leaves-of-joint';
import { shelvesFor } from '@/model/shelf/shelves';
import { shelvesOnce } from '@/server/request-reads';
import { WrenchForm } from '@/features/shelves/wrench-form';
import { Disclosure } from '@/interface/parts/disclosure';
import { Section, Screen } from '@/interface/parts/screen';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

interface Props extends EngineParams {
  readonly searchParams: Promise<{ readonly leaf?: string }>;
}

export default async function NewJointPage({ params, searchParams }: Props) {
  const { shop, rows } = await engineRowsAt(params);
  const { engine } = rows;
  const shelves = shelvesFor(shelvesOnce(shop), engine);
  const { leaf } = await searchParams;
  const leaves = torqueLeaves(rows.leaves);
  if (shelves.wrenches.length === 0)
    return (
      <Screen title="New joint" lead="A joint is set with a wrench, and there is none on the shelf yet.">
        <Section title="First, a wrench">
          <WrenchForm />
        </Section>
      </Screen>
    );
  return (
    <Screen title="New joint" lead="Made from a leaf of the book, or from the standard figure where no page speaks.">
      {leaves.length > 0 && (
        <Section title="From a leaf">
          <NewJointForm engineId={engine.id} leaves={leaves} leafId={leaf} shelves={shelves} />
        </Section>
      )}
      <Disclosure title="No page speaks of it" line="the standard figure, marked as such" open={leaves.length === 0}>
        <StandardJointForm engineId={engine.id} shelves={shelves} />
      </Disclosure>
    </Screen>
  );
}
