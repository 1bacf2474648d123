import type { Metadata } from 'next';
import { EngineForm } from '@/features/engine/engine-form';
import { Part, Sheet } from '@/interface/parts/sheet';

export const metadata: Metadata = { title: 'A new engine' };

export default function NewEnginePage() {
  return (
    <Sheet title="Put an engine on a stand" lead="What is known of it now; all of it can be changed later.">
      <Part title="The engine">
        <EngineForm />
      </Part>
    </Sheet>
  );
}
