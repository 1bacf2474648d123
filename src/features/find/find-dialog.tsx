'use client';

import '@mantine/core/styles/ScrollArea.css';
import '@mantine/core/styles/ModalBase.css';
import '@mantine/core/styles/Modal.css';
import '@mantine/spotlight/styles.css';
import { createSpotlight, Spotlight } from '@mantine/spotlight';
import { useRouter } from 'next/navigation';
import { useEffect, useState, type KeyboardEvent } from 'react';
import type { Result } from '@/model/result';
import type { Found } from './find-index';
import styles from './find-dialog.module.css';

const [store, box] = createSpotlight();

const PAUSE_MS = 120;

/** What was found for the words, a moment after they were typed. */
function useFound(words: string) {
  const [found, setFound] = useState<{ readonly for: string; readonly lines: readonly Found[] }>();
  useEffect(() => {
    const asked = words.trim();
    if (asked === '') return;
    const stop = new AbortController();
    const timer = setTimeout(() => {
      void fetch(`/api/find?q=${encodeURIComponent(asked)}`, { signal: stop.signal })
        .then(async (answer) => {
          const outcome = (await answer.json()) as Result<readonly Found[]>;
          setFound({ for: asked, lines: outcome.ok ? outcome.result : [] });
        })
        .catch(() => undefined);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [words]);
  return words.trim() === '' ? undefined : found;
}

/** The box over the screen: words in, what they may mean, arrows and Enter. */
export default function FindDialog({ asked }: { readonly asked: number }) {
  const router = useRouter();
  const [words, setWords] = useState('');
  const found = useFound(words);
  useEffect(() => box.open(), [asked]);
  // Enter without a choice is the first that was found.
  const enter = ({ key }: KeyboardEvent) => {
    const first = found?.lines[0];
    if (key !== 'Enter' || !first || store.getState().selected >= 0) return;
    box.close();
    router.push(first.href);
  };
  return (
    <Spotlight.Root
      store={store}
      query={words}
      onQueryChange={setWords}
      clearQueryOnClose
      shortcut={null}
      radius={0}
      shadow="none"
      classNames={{ content: styles.box }}
      aria-label="Find"
      overlayProps={{ blur: 0, backgroundOpacity: 0.35 }}
    >
      <Spotlight.Search
        placeholder="Engine, joint, entry, its print, fit, thread, wrench, screen"
        aria-label="Find"
        onKeyDown={enter}
      />
      <Spotlight.ActionsList>
        {found?.lines.map(({ kind, title, line, href }, i) => (
          <Spotlight.Action key={`${href} ${i}`} className={styles.line} onClick={() => router.push(href)}>
            <span className={styles.kind}>{kind}</span>
            <span>
              <b>{title}</b> <span className="soft">{line}</span>
            </span>
          </Spotlight.Action>
        ))}
        {found?.lines.length === 0 && <Spotlight.Empty>Nothing here is called so.</Spotlight.Empty>}
      </Spotlight.ActionsList>
    </Spotlight.Root>
  );
}
