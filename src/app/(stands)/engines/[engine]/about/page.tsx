import type { Metadata } from 'next';
import { Link } from '@/interface/parts/link';
import { PracticeQuestions } from '@/features/shelves/practice-screen';
import { shopPractice } from '@/db/reads/shelves-of-shop';
import { NotesFold } from '@/features/notes/notes-fold';
import { PutAside } from '@/features/engine/put-aside';
import { EngineForm } from '@/features/engine/engine-form';
import { TakeAway } from '@/interface/parts/take-away';
import { Section, Screen } from '@/interface/parts/screen';
import { notesOf } from '@/model/engine/engine-rows';
import { engineRowsAt, type EngineParams } from '@/server/engine-at';

export const metadata: Metadata = { title: 'About this engine' };

export default async function AboutPage({ params }: EngineParams) {
  const { shop, rows } = await engineRowsAt(params);
  const { engine } = rows;
  const of = { engineId: engine.id, jointId: null, fitId: null };
  return (
    <Screen
      plain
      title={engine.name}
      lead="What is known of it. Figures already recorded keep what they were recorded with."
    >
      <Section title="The engine">
        <EngineForm engine={engine} />
      </Section>
      <NotesFold of={of} notes={notesOf(rows, of)} />
      <Section title="Where its practice differs from the shop’s">
        <PracticeQuestions shop={shopPractice(shop).practice} version={engine.version} engine={engine} />
      </Section>
      <Section title="What was done">
        <p>
          <Link href={`/engines/${engine.id}/acts`}>Last acts</Link>: what was changed of it, each to be taken back.
        </p>
      </Section>
      <Section title="Off its stand">
        <PutAside engineId={engine.id} />
        <p>
          Made by mistake, with nothing in its book yet:{' '}
          <TakeAway kind="engine" id={engine.id} name={engine.name} after="/" />
        </p>
      </Section>
    </Screen>
  );
}
