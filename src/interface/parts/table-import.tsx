'use client';

import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import type { Result } from '@/model/result';
import { HydrationGate } from './hydration-gate';
import { Notice, Screen, Section } from './screen';
import { TableInput } from './table-input';
import { useAct } from './use-act';

export interface TableShown<Preview> {
  readonly text: string;
  readonly preview: Preview;
  readonly pending: boolean;
  /** Looks at the same table in another way. */
  readonly lookAgain: (work: () => Promise<Result<Preview>>) => void;
  /** Writes it; then back to where the rows are seen. */
  readonly enter: (work: () => Promise<Result<unknown>>) => void;
}

interface Props<Preview> {
  readonly title: string;
  readonly lead: string;
  readonly look: (text: string) => Promise<Result<Preview>>;
  /** Where what was entered is seen. */
  readonly doneAt: string;
  readonly children: (shown: TableShown<Preview>) => ReactNode;
}

/** A table read in: pasted or chosen, shown as it will be read, and nothing written until agreed. */
export function TableImport<Preview>({ title, lead, look, doneAt, children }: Props<Preview>) {
  const router = useRouter();
  const [text, setText] = useState('');
  const [preview, setPreview] = useState<Preview>();
  const { act, pending, problem } = useAct();
  const lookAgain = (work: () => Promise<Result<Preview>>) => act(work, setPreview, () => setPreview(undefined));
  const enter = (work: () => Promise<Result<unknown>>) => act(work, () => router.push(doneAt));
  return (
    <Screen plain title={title} lead={lead}>
      <HydrationGate>
        <TableInput text={text} onText={setText} onLook={(read) => lookAgain(() => look(read))} pending={pending} />
        {problem && <Notice kind="stop">{problem.message}</Notice>}
        {preview !== undefined && (
          <Section title="As it will be read">{children({ text, preview, pending, lookAgain, enter })}</Section>
        )}
      </HydrationGate>
    </Screen>
  );
}
