import type { Metadata } from 'next';
import { RailOfShop } from '../../rail-of-shop';
import { EngineForm } from '@/features/engine/engine-form';
import { OUTSIDE } from '@/interface/words/reach-of-tool';
import { Section, Screen } from '@/interface/parts/screen';

export const metadata: Metadata = { title: 'A new engine' };

export default function NewEnginePage() {
  return (
    <>
      <RailOfShop />
      <Screen title="Put an engine on a stand" lead="What is known of it now; all of it can be changed later.">
        <Section title="The engine">
          <EngineForm />
          <p className="soft">{OUTSIDE}</p>
        </Section>
      </Screen>
    </>
  );
}
