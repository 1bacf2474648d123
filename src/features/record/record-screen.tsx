'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef } from 'react';
import { Button } from '@/interface/parts/button';
import key from '@/interface/parts/button.module.css';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { readBackAction } from './actions';
import styles from './record-screen.module.css';

interface Props {
  readonly engineId: string;
  readonly joints: readonly { readonly id: string; readonly name: string; readonly line: string }[];
  /** How many fits are proven; undefined where nothing is measured. */
  readonly fits?: string;
}

/** Reads a build file back in, from this shop or another. */
function ReadBack() {
  const router = useRouter();
  const file = useRef<HTMLInputElement>(null);
  const { act, pending, problem } = useAct();
  const read = (chosen: File) =>
    act(
      async () => {
        const text = await chosen.text();
        // The same file chosen again is a change again.
        if (file.current) file.current.value = '';
        return readBackAction({ text });
      },
      ({ href }) => router.push(href),
    );
  return (
    <>
      <p className="soft">
        A build file holds an engine, or one joint of it, with its leaves, plans, pulls, fits and heat. If the engine
        already stands here, a copy is put beside it.
      </p>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        className="only-spoken"
        id="build-file"
        tabIndex={-1}
        aria-label="Build file"
        onChange={(event) => [...(event.currentTarget.files ?? [])].slice(0, 1).forEach(read)}
      />
      <Button onClick={() => file.current?.click()} disabled={pending}>
        Read a build file in
      </Button>
      {problem && <Notice kind="stop">{problem.message}</Notice>}
    </>
  );
}

/** The record: each joint as a page to print and as a file, and the way back in. */
export const RecordScreen = ({ engineId, joints, fits }: Props) => (
  <Screen
    title="Record"
    lead="Who set what, to what, with which wrench, in which film, from which page."
    aside={
      <a className={key.key} href={`/api/engines/${engineId}/build`} download>
        The whole build as JSON
      </a>
    }
  >
    <ul>
      {joints.map((joint) => (
        <li key={joint.id} className={styles.joint}>
          <Link href={`/engines/${engineId}/record/${joint.id}`} className={styles.name}>
            {joint.name}
          </Link>
          <span>{joint.line}</span>
          <a href={`/api/engines/${engineId}/build?joint=${joint.id}`} download>
            JSON<span className="only-spoken"> of {joint.name}</span>
          </a>
        </li>
      ))}
    </ul>
    {fits !== undefined && (
      <p className={styles.joint}>
        <Link href={`/engines/${engineId}/record/fits`} className={styles.name}>
          Fits, weights and volumes
        </Link>
        <span>{fits}</span>
        <a href={`/api/engines/${engineId}/fits`} download>
          CSV<span className="only-spoken"> of the readings</span>
        </a>
      </p>
    )}
    {joints.length === 0 && <Notice kind="plain">Nothing to record yet.</Notice>}
    <Section title="Read back in">
      <ReadBack />
    </Section>
  </Screen>
);
