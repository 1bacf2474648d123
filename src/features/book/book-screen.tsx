'use client';

import { useDisclosure } from '@mantine/hooks';
import { Link } from '@/interface/parts/link';
import { useEffect, useState, type ReactNode } from 'react';
import { useSingleKeys } from '@/interface/shell/use-single-keys';
import { Button } from '@/interface/parts/button';
import key from '@/interface/parts/button.module.css';
import { kindWords } from '@/model/book/source-precedence';
import { Section, Screen } from '@/interface/parts/screen';
import { useDrafts } from '@/interface/parts/use-draft';
import { LeafForm } from './leaf-form-box';
import { LeafList } from './leaf-list';
import styles from './book-screen.module.css';
import type { BookSource } from './queries';
import { SourceForm } from './source-form';

interface Props {
  readonly engineId: string;
  readonly engineName: string;
  readonly sources: readonly BookSource[];
  readonly children?: ReactNode;
}

/** Which engines a source speaks of; nothing where it speaks of all. */
function applies({ fromYear, toYear, fromNumber, toNumber }: BookSource): string {
  const range = (from: number | string | null, to: number | string | null, what: string) =>
    from || to ? `, ${what} ${[from && `from ${from}`, to && `to ${to}`].filter(Boolean).join(' ')}` : '';
  return `${range(fromYear, toYear, 'engines of the years')}${range(fromNumber, toNumber, 'engine numbers')}`;
}

/** The engine's book: its sources, the leaves in each, and where a new one is entered. */
export function BookScreen({ engineId, engineName, sources, children }: Props) {
  const offered = sources.filter(({ aside }) => aside === undefined);
  const subjects = sources.flatMap((one) => one.leaves.map((leaf) => leaf.subject));
  const none = sources.every((source) => source.leaves.length === 0);
  const [entering, { open, close }] = useDisclosure(none);
  useEffect(() => LeafForm.ahead(), []);
  const [addingSource, source] = useDisclosure(sources.length === 0);
  const [latestSource, setLatestSource] = useState<string>();
  const [correcting, setCorrecting] = useState<string>();
  const [changing, setChanging] = useState<string>();
  useSingleKeys({ n: open });
  // A form that was left half filled comes up again with what was typed.
  useDrafts((names) => {
    if (names.includes('entry')) open();
    if (names.includes('source')) source.open();
    setCorrecting(names.find((name) => name.startsWith('entry-'))?.slice('entry-'.length));
    setChanging(names.find((name) => name.startsWith('source-'))?.slice('source-'.length));
  });
  const added = (id: string) => {
    setLatestSource(id);
    source.close();
    open();
  };
  // An entry begun beside it would be made anew for the source under one’s hands: it waits as a draft.
  const addSource = () => {
    close();
    source.open();
  };
  return (
    <Screen
      title="Book"
      lead={
        <>
          Where the figures for the {engineName} come from. What is printed is never altered.{' '}
          <Link href={`/engines/${engineId}/about`}>About this engine</Link>
        </>
      }
      aside={
        !entering &&
        offered.length > 0 && (
          <Button rank="main" onClick={open}>
            New entry
          </Button>
        )
      }
    >
      {addingSource && (
        <Section title="New source">
          <SourceForm engineId={engineId} sources={sources} focus onDone={added} />
        </Section>
      )}
      {entering && offered.length > 0 && (
        <Section title="New entry">
          <LeafForm
            key={latestSource}
            engineId={engineId}
            sources={offered}
            subjects={subjects}
            sourceId={latestSource}
            focus={!none || latestSource !== undefined}
            onLeave={close}
          />
        </Section>
      )}
      {sources.map((one) => (
        <Section key={one.id} title={[one.title, one.edition, one.year].filter(Boolean).join(', ')}>
          <p className={styles.about}>
            {kindWords(one.kind)}
            {applies(one)}
            {one.supersedesId &&
              `; puts out of force ${sources.find((other) => other.id === one.supersedesId)?.title ?? 'another'}`}
            .{one.aside !== undefined && <b> Set aside: {one.aside}. No entry of it is in force.</b>}{' '}
            <button
              type="button"
              className={`text-button ${styles.link}`}
              onClick={() => setChanging(changing === one.id ? undefined : one.id)}
              aria-expanded={changing === one.id}
            >
              Change<span className="only-spoken"> {one.title}</span>
            </button>
          </p>
          {changing === one.id && (
            <SourceForm
              engineId={engineId}
              sources={sources}
              source={one}
              focus
              onDone={() => {
                setChanging(undefined);
              }}
            />
          )}
          <LeafList
            engineId={engineId}
            language={one.language}
            leaves={one.leaves}
            correcting={correcting}
            onCorrect={setCorrecting}
            form={(leaf) => (
              <LeafForm
                engineId={engineId}
                sources={sources}
                subjects={subjects}
                correcting={leaf}
                focus
                onLeave={() => setCorrecting(undefined)}
              />
            )}
          />
        </Section>
      ))}
      <p className={styles.ends}>
        {!addingSource && <Button onClick={addSource}>Another source</Button>}
        {sources.length > 0 && (
          <Link href={`/engines/${engineId}/book/import`} className={key.key}>
            A table of figures (CSV)
          </Link>
        )}
        <Link href={`/engines/${engineId}/book/take-over`} className={key.key}>
          Take over from another engine
        </Link>
        {!none && (
          <a href={`/api/engines/${engineId}/book`} download className={key.key}>
            The entries as CSV
          </a>
        )}
      </p>
      {children}
    </Screen>
  );
}
