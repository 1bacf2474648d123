'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { Result } from '@/model/result';
import { useAct } from '@/interface/parts/use-act';
import { removePhotoAction } from './actions';
import styles from './leaf-list.module.css';

interface Props {
  readonly leafId: string;
  readonly subject: string;
  readonly photoIds: readonly string[];
}

/** Photographs of the page a leaf stands on, small; each opens whole. */
export function LeafPhoto({ leafId, subject, photoIds }: Props) {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<string>();
  const [sure, setSure] = useState<string>();
  const { act } = useAct();
  const remove = (photoId: string) =>
    act(
      () => removePhotoAction({ photoId }),
      () => setSure(undefined),
      ({ message }) => setRefusal(message),
    );
  const send = async (file: File) => {
    const body = new FormData();
    body.set('photo', file);
    try {
      const outcome = (await (
        await fetch(`/api/leaves/${leafId}/photo`, { method: 'POST', body })
      ).json()) as Result<unknown>;
      setRefusal(outcome.ok ? undefined : outcome.error.message);
      if (outcome.ok) router.refresh();
    } catch {
      setRefusal('The program on this machine did not answer. Try again.');
    }
  };
  return (
    <span className={styles.photos}>
      {photoIds.map((id, i) => (
        <span key={id} className={styles.photo}>
          <a href={`/api/photos/${id}`} target="_blank" rel="noreferrer">
            {/* The thumbnail is made and served by this program; next/image would make another. */}
            {/* eslint-disable-next-line @next/next/no-img-element */}
            <img
              src={`/api/photos/${id}?small`}
              alt={`The page of ${subject}, photograph ${i + 1}`}
              height={72}
              loading="lazy"
            />
          </a>
          <button
            type="button"
            className={`text-button ${styles.act}`}
            onClick={() => (sure === id ? remove(id) : setSure(id))}
          >
            {sure === id ? 'Take it away for good' : 'Take away'}
            <span className="only-spoken">
              : photograph {i + 1} of {subject}
            </span>
          </button>
        </span>
      ))}
      <button
        type="button"
        className={`text-button ${styles.act}`}
        onClick={() => input.current?.click()}
        aria-label={`Photograph of the page of ${subject}`}
      >
        Photograph of the page
      </button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        hidden
        data-testid={`photo-${leafId}`}
        onChange={(event) => {
          const file = event.currentTarget.files?.[0];
          if (file) void send(file);
        }}
      />
      {refusal && (
        <span role="alert" className={styles.refusal}>
          {refusal}
        </span>
      )}
    </span>
  );
}
