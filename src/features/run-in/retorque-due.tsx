'use client';

import { Textarea } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Link } from '@/interface/parts/link';
import { useFigures } from '@/interface/figures/preferences';
import { Button } from '@/interface/parts/button';
import { useAct } from '@/interface/parts/use-act';
import { choices } from '@/interface/words/choices';
import { FILMS_FOUND, type FilmFound } from '@/model/joint/retorque-guards';
import type { WarmHead } from '@/model/joint/warm-head';
import { startRetorqueAction } from './actions';
import type { RetorqueDue as Due } from './queries';
import styles from './run-in-screen.module.css';

const KIND = {
  'not-asked': 'plain',
  'waits-for-tightening': 'plain',
  'waits-for-heat': 'plain',
  'waits-for-page': 'wait',
  cooling: 'wait',
  open: 'done',
  done: 'done',
} as const;

/** What a head that is not quite cold may cost the joint: why the reading at the head decides, and how near it has to be. */
function Warm({ warm, href }: { readonly warm: WarmHead; readonly href: string }) {
  const { significant } = useFigures();
  return (
    <span className={styles.steady}>
      {' '}
      {warm.is === 'known' ? (
        `It counts as cold within ${warm.counts_K} K of the air: up to ${significant(100 * warm.share, 2)} % of its clamp load; 2 % at ${significant(warm.within_K, 2)} K.`
      ) : (
        <>
          What a warm head costs this joint is not known: <Link href={href}>its grip</Link> was not given.
        </>
      )}
    </span>
  );
}

const FILM_CHOICES = choices(FILMS_FOUND, {
  'as-pulled': 'As it was pulled',
  dried: 'Dried or burnished',
  stuck: 'Stuck, rusted, varnished',
});

/** One joint's retorque: what it waits for, and the way to the face when it is open. */
export function RetorqueDue({ due }: { readonly due: Due }) {
  const router = useRouter();
  const { act, pending, problem } = useAct();
  const [asks, setAsks] = useState<'changed' | 'film' | 'reason'>();
  const [film, setFilm] = useState<FilmFound | ''>('');
  const [asPulled, setAsPulled] = useState(false);
  const [reason, setReason] = useState('');
  const go = (pulled = asPulled, found = film) =>
    act(
      () => startRetorqueAction({ jointId: due.jointId, version: due.version, asPulled: pulled, reason, film: found }),
      ({ href }) => router.push(href),
      ({ code }) => {
        if (code === 'sheet-changed') setAsks('changed');
        if (code === 'film-unsaid') setAsks('film');
        if (code === 'needs-reason') setAsks('reason');
      },
    );
  const further = due.state.state === 'done' && due.state.further?.open === true;
  const open = due.state.state === 'open' || due.underWay || further;
  return (
    <li className={styles.due} data-kind={KIND[due.state.state]}>
      <span>
        <b className={styles.dueName}>{due.name}</b> {due.line}
        {due.state.state === 'open' && !due.state.steady && (
          <span className={styles.steady}>
            {' '}
            A second reading half an hour on that changes by under 1 K would show that head and studs are at one
            temperature.
          </span>
        )}
        {due.unread && (
          <span className={styles.steady}>
            {' '}
            {due.unread} <Link href={due.href}>To its sheet</Link>
          </span>
        )}
        {due.warm && <Warm warm={due.warm} href={due.href} />}
        {problem && (
          <span className={problem.code === 'film-unsaid' ? styles.steady : styles.refusal}>{problem.message}</span>
        )}
        {asks === 'changed' && problem?.code === 'sheet-changed' && (
          <span className={styles.answers}>
            <Button
              onClick={() => {
                setAsPulled(true);
                go(true);
              }}
            >
              It is as it was pulled
            </Button>
            <Link href={due.href}>Coated afresh: to its sheet</Link>
          </span>
        )}
        {asks === 'film' && problem?.code === 'film-unsaid' && (
          <span className={styles.answers} role="group" aria-label="How the lubricant is found">
            {FILM_CHOICES.map(({ value, label }) => (
              <Button
                key={value}
                onClick={() => {
                  setFilm(value);
                  go(asPulled, value);
                }}
              >
                {label}
              </Button>
            ))}
            <Link href={due.href}>Cleaned and coated afresh: to its sheet</Link>
          </span>
        )}
        {asks === 'reason' && (
          <Textarea
            label="Why it is gone over all the same"
            description="It is printed in the record, beside what stands against it."
            autosize
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
          />
        )}
      </span>
      {open && (
        <Button rank="main" onClick={() => go()} disabled={pending || (asks === 'reason' && reason.trim() === '')}>
          {due.underWay ? 'Go on with the retorque' : further ? 'Go over it once more' : 'Go over it again'}
        </Button>
      )}
    </li>
  );
}
