'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { Result } from '@/model/result';
import { useOfferUndo, useSharedActs } from './undo';
import { useAct } from './use-act';
import styles from './photographs.module.css';

interface Props {
  /** Where a picture is sent. */
  readonly address: string;
  /** What it is of: `the page of Cylinder head nuts`. */
  readonly of: string;
  readonly photoIds: readonly string[];
  readonly testId: string;
  /** What the key for another says. */
  readonly addWords: string;
}

/** Photographs, small; each opens whole, and is taken away by a key that can be undone. */
export function Photographs({ address, of, photoIds, testId, addWords }: Props) {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<string>();
  const [isSending, setSending] = useState(false);
  const { act } = useAct();
  const offerUndo = useOfferUndo();
  const { removePhoto } = useSharedActs();
  const remove = (photoId: string) =>
    act(
      () => removePhoto({ photoId }),
      () => setRefusal(undefined),
      ({ message }) => setRefusal(message),
    );
  const send = async (file: File) => {
    const body = new FormData();
    body.set('photo', file);
    setSending(true);
    try {
      const outcome = (await (await fetch(address, { method: 'POST', body })).json()) as Result<unknown>;
      setRefusal(outcome.ok ? undefined : outcome.error.message);
      if (!outcome.ok) return;
      offerUndo(outcome.result);
      router.refresh();
    } catch {
      setRefusal('The program on this machine did not answer. Try again.');
    } finally {
      setSending(false);
    }
  };
  return (
    <span className={styles.photos}>
      {photoIds.map((id, i) => (
        <span key={id} className={styles.photo}>
          <a href={`/api/photos/${id}`} target="_blank" rel="noreferrer">
            {/* The thumbnail is made and served by this program; next/image would make another. */}
            {/* oxlint-disable-next-line nextjs/no-img-element */}
            <img src={`/api/photos/${id}?small`} alt={`Photograph ${i + 1} of ${of}`} height={72} loading="lazy" />
          </a>
          <button type="button" className={`text-button ${styles.act}`} onClick={() => remove(id)}>
            Take away
            <span className="only-spoken">
              : photograph {i + 1} of {of}
            </span>
          </button>
        </span>
      ))}
      <button
        type="button"
        className={`text-button ${styles.act}`}
        aria-disabled={isSending || undefined}
        onClick={() => input.current?.click()}
        aria-label={`Photograph of ${of}`}
      >
        {isSending ? 'Sending …' : addWords}
      </button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        hidden
        data-testid={testId}
        onChange={(event) => {
          const file = event.currentTarget.files?.[0];
          if (file) void send(file);
          // The same file may be chosen again after it was refused or taken away.
          event.currentTarget.value = '';
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
