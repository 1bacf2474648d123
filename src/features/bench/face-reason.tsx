'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Asked } from './face-reason-form';
import { OUT_OF_REACH } from '@/interface/parts/out-of-reach';
import { useFetched } from './use-fetched';
import keys from './face-keys.module.css';

interface Props extends Asked {
  /** What the key says that asks for the reason. */
  readonly open: string;
}

/** Fetched by the face itself too: in some of its states there is no such key yet. */
export const reasonForm = () => import('./face-reason-form').then(({ FaceReasonForm }) => FaceReasonForm);
const FaceReasonForm = dynamic(reasonForm);

/** Something at the bench that is done only for a reason, which goes into the record. */
export function FaceReason({ open, ...asked }: Props) {
  const [isOpen, setOpen] = useState(false);
  const { ready, isOut } = useFetched(reasonForm);
  if (isOpen) return <FaceReasonForm {...asked} onClose={() => setOpen(false)} />;
  return (
    <>
      <button type="button" className={keys.other} onClick={() => ready(() => setOpen(true))}>
        {open}
      </button>
      {isOut && <span role="alert">{OUT_OF_REACH}</span>}
    </>
  );
}
