'use client';

import type { ChosenPurpose, TestPurpose } from '@/model/joint/tightening';
import { NativeSelect, Textarea } from '@mantine/core';
import { Link } from '@/interface/parts/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Guard } from '@/core/joint';
import type { Joint } from '@/model/joint/joint';
import { Button } from '@/interface/parts/button';
import button from '@/interface/parts/button.module.css';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Notice } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { startTighteningAction } from './actions';
import type { Resume } from './queries';
import { notOnDisk } from './use-kept-joint';
import { TEST_ROUNDS } from './joint-words';
import styles from './joint-screen.module.css';

interface Props {
  readonly joint: Joint;
  readonly resume?: Resume;
  readonly tight: boolean;
  readonly stops: readonly Guard[];
  /** What stands against closing it up for good; a trial may go round all the same. */
  readonly against: readonly Guard[];
  readonly ready: boolean;
  readonly settled: () => Promise<number | undefined>;
}

/** The way to the face. Where something stands against the figure, a written reason goes first. */
export function StartControls({ joint, resume, tight, stops, against, ready, settled }: Props) {
  const router = useRouter();
  const { act, pending, problem } = useAct();
  const [asking, setAsking] = useState<ChosenPurpose>();
  const [why, setWhy] = useState<TestPurpose>('trial');
  const [reason, setReason] = useState('');
  const start = (purpose: ChosenPurpose) =>
    act(
      async () => {
        const version = await settled();
        return version === undefined
          ? notOnDisk('begun')
          : startTighteningAction({ jointId: joint.id, version, purpose, reason });
      },
      ({ href }) => router.push(href),
      ({ code }) => code === 'needs-reason' && setAsking(purpose),
    );
  const begin = (purpose: ChosenPurpose) => {
    const toAnswer = purpose === 'final' ? [...stops, ...against.filter(({ severity }) => severity === 'stop')] : stops;
    // What is out of limits is refused whatever is written, so nothing is asked for.
    const asks = toAnswer.length > 0 && reason.trim() === '' && !toAnswer.some(({ code }) => code === 'fit-out');
    return asks ? setAsking(purpose) : start(purpose);
  };
  const [sure, setSure] = useState(false);
  const isAgain = resume !== undefined || tight;
  const again = resume ? 'Begin again from the first stage' : 'Tighten again';
  return (
    <div className={styles.start}>
      {resume && <Notice kind="wait">{resume.line}</Notice>}
      <div className={styles.startKeys}>
        {resume && (
          <Button rank="main" onClick={() => router.push(resume.href)}>
            Go on at the bench
          </Button>
        )}
        <Button
          rank={isAgain ? 'plain' : 'main'}
          onClick={() => (isAgain && !sure ? setSure(true) : begin('final'))}
          disabled={pending || !ready || (isAgain && sure)}
        >
          {isAgain ? again : 'To the bench'}
        </Button>
        <Link className={button.key} href={`/face/rehearsal/${joint.id}`} aria-disabled={!ready || undefined}>
          Rehearse it
        </Link>
        {!resume && (
          <>
            <Button onClick={() => begin(why)} disabled={pending || !ready}>
              Test round
            </Button>
            <HydrationGate>
              <NativeSelect
                aria-label="What the test round is for"
                data={[...TEST_ROUNDS]}
                value={why}
                onChange={(event) => setWhy(event.currentTarget.value as TestPurpose)}
              />
            </HydrationGate>
          </>
        )}
      </div>
      {sure && !asking && (
        <div className={styles.reason}>
          <Notice kind="wait">
            {resume
              ? 'What was pulled so far stays in the record, but no longer counts: every nut is gone over from the first stage.'
              : 'It is tight. Tightened again it counts as tight only when the new round is through; its retorque falls due again.'}{' '}
            Until the first nut of the new round is pulled, everything stands as it is.
          </Notice>
          <span className={styles.startKeys}>
            <Button onClick={() => begin('final')} disabled={pending || !ready}>
              {resume ? 'From the first stage' : 'Yes, tighten again'}
            </Button>
            <Button onClick={() => setSure(false)}>Leave it</Button>
          </span>
        </div>
      )}
      {asking && (
        <div className={styles.reason}>
          <Textarea
            label="Why it is pulled all the same"
            description="It is printed in the record, beside what stood against it."
            autosize
            minRows={2}
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
          />
          <Button rank="stop" onClick={() => start(asking)} disabled={pending || reason.trim() === ''}>
            To the bench, with this reason
          </Button>
        </div>
      )}
      {problem && <Notice kind="stop">{problem.message}</Notice>}
    </div>
  );
}
