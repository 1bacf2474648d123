'use client';

import { useDisclosure, useHotkeys } from '@mantine/hooks';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Leaf } from '@/db/repositories/book-repository';
import { usePreferences } from '@/interface/figures/preferences';
import { Key } from '@/interface/parts/button';
import { Part, Sheet } from '@/interface/parts/sheet';
import { LeafForm } from './leaf-form';
import { LeafList } from './leaf-list';
import type { BookSource } from './queries';
import { SourceForm } from './source-form';

interface Props {
  readonly engineId: string;
  readonly engineName: string;
  readonly sources: readonly BookSource[];
}

/** The engine's book: its sources, the leaves in each, and where a new one is entered. */
export function BookSheet({ engineId, engineName, sources }: Props) {
  const router = useRouter();
  const { keys } = usePreferences();
  const none = sources.every((source) => source.leaves.length === 0);
  const [entering, { open, close }] = useDisclosure(none);
  const [addingSource, source] = useDisclosure(sources.length === 0);
  const [latestSource, setLatestSource] = useState<string>();
  const [correcting, setCorrecting] = useState<Leaf>();
  useHotkeys(keys ? [['n', open]] : []);
  const refresh = () => {
    close();
    setCorrecting(undefined);
    router.refresh();
  };
  const added = (id: string) => {
    setLatestSource(id);
    source.close();
    open();
    router.refresh();
  };
  return (
    <Sheet
      title="Book"
      lead={
        <>
          Where the figures for the {engineName} come from. What is printed is never altered. <Link href={`/engines/${engineId}/about`}>About this engine</Link>
        </>
      }
      aside={!entering && sources.length > 0 && <Key rank="main" onClick={open}>New leaf</Key>}
    >
      {addingSource && (
        <Part title="New source">
          <SourceForm engineId={engineId} onAdded={added} />
        </Part>
      )}
      {entering && !correcting && sources.length > 0 && (
        <Part title="New leaf">
          <LeafForm key={latestSource} engineId={engineId} sources={sources} sourceId={latestSource} onDone={refresh} />
        </Part>
      )}
      {correcting && (
        <Part title="Correct a leaf">
          <LeafForm key={correcting.id} engineId={engineId} sources={sources} correcting={correcting} onDone={refresh} />
        </Part>
      )}
      {sources.map((one) => (
        <Part key={one.id} title={[one.title, one.edition, one.year].filter(Boolean).join(', ')}>
          <LeafList engineId={engineId} leaves={one.leaves} onCorrect={setCorrecting} />
        </Part>
      ))}
      {!addingSource && <Key onClick={source.open}>Another source</Key>}
    </Sheet>
  ); // prettier-ignore
}
