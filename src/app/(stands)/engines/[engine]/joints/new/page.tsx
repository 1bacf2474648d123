import type { Metadata } from 'next';
import { NewJointForm, type OfferedLeaf } from '@/features/joint/new-joint-form';
import { offeredByLine } from '@/features/joint/offered-by-line';
import { StandardJointBox } from '@/features/joint/standard-joint-box';
import type { Leaf } from '@/model/book/leaf';
import { currentLeaves } from '@/model/book/current-leaves';
import { torqueLeaves } from '@/model/book/leaves-of-joint';
import { shelvesFor } from '@/model/shelf/shelves';
import { shelvesOnce } from '@/server/request-reads';
import { DrawnWrenchForm } from '@/features/shelves/wrench-form-box';
import { Disclosure } from '@/interface/parts/disclosure';
import { Notice, Section, Screen } from '@/interface/parts/screen';
import { inColumns } from '@/interface/shell/in-columns';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'New joint' };

const namesOf = (rows: readonly { readonly id: string; readonly name: string }[]) =>
  rows.map(({ id, name }) => ({ id, name }));

const offeredOf = (leaf: Leaf): OfferedLeaf => {
  const { id, subject, printedText, page, conditionText } = leaf;
  return { id, subject, printedText, page, conditionText, offers: offeredByLine(leaf) };
};

interface Props extends EngineParams {
  readonly searchParams: Promise<{ readonly leaf?: string }>;
}

export default async function NewJointPage({ params, searchParams }: Props) {
  const { shop, rows } = await engineRowsAt(params);
  const { engine } = rows;
  const { films, grades, metals, threads, wrenches, practice } = shelvesFor(shelvesOnce(shop), engine);
  const { leaf } = await searchParams;
  const leaves = torqueLeaves(rows.leaves);
  const turnsAlone = currentLeaves(rows.leaves).filter(({ kind }) => kind === 'turn');
  if (wrenches.every(({ aside }) => aside !== undefined))
    return (
      <Screen plain title="New joint" lead="A joint is set with a wrench, and there is none on the shelf yet.">
        <Section title="First, a wrench">
          <DrawnWrenchForm focus />
        </Section>
      </Screen>
    );
  return (
    <Screen
      title="New joint"
      lead="Made from an entry of the book, or from the standard figure where no figure is printed."
    >
      {leaves.length > 0 && (
        <Section title="From an entry">
          <NewJointForm
            sent={inColumns({
              engineId: engine.id,
              leaves: leaves.map(offeredOf),
              leafId: leaf,
              films: namesOf(films),
              practice,
            })}
          />
        </Section>
      )}
      {turnsAlone.length > 0 && (
        <Notice kind="plain">
          {turnsAlone.map(({ printedText, page }) => `“${printedText}” (p. ${page})`).join(', ')}: a turn alone makes no
          joint, since nothing says from where it is turned. Enter the torque before it on the same line, as “20 lb ft +
          90°”; where the page prints none, run it down by hand and turn it as printed.
        </Notice>
      )}
      <Disclosure
        title="No figure printed"
        forms={['standard-joint']}
        line="the standard figure, marked as such"
        open={leaves.length === 0}
      >
        <StandardJointBox sent={inColumns({ engineId: engine.id, shelves: { films, grades, metals, threads } })} />
      </Disclosure>
    </Screen>
  );
}
