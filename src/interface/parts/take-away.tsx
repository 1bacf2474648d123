'use client';

import { TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { RemovableKind } from '@/model/removable';
import { ASIDE_KINDS, SHELF_ASIDE_KINDS, type AsideKind, type ShelfAsideKind } from '@/model/set-aside';
import { Refusal } from './action-form';
import { Button } from './button';
import styles from './take-away.module.css';
import { useSharedActs } from './undo';
import { useAct } from './use-act';

interface Props {
  readonly kind: RemovableKind;
  readonly id: string;
  readonly name: string;
  /** Where to go once it is gone; stays where it is if not said. */
  readonly after?: string;
}

const isAsideKind = (kind: string): kind is AsideKind | ShelfAsideKind =>
  ([...ASIDE_KINDS, ...SHELF_ASIDE_KINDS] as readonly string[]).includes(kind);

/** Sets aside, with a reason, what cannot be taken away for what hangs on it. */
function SetAside({ kind, id, name, after }: Omit<Props, 'kind'> & { readonly kind: AsideKind | ShelfAsideKind }) {
  const router = useRouter();
  const { setAside } = useSharedActs();
  const { act, pending, problem } = useAct();
  const [reason, setReason] = useState('');
  return (
    <span className={styles.aside}>
      <TextInput
        label={`Why “${name}” is set aside`}
        description="It is worked with no more; nothing of it is lost"
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <Button
        busy={pending}
        disabled={reason.trim() === ''}
        onClick={() =>
          act(
            () => setAside({ kind, id, reason }),
            () => after && router.push(after),
          )
        }
      >
        Set aside
      </Button>
      <Refusal problem={problem} />
    </span>
  );
}

/**
 * Takes away what was made by mistake; where something hangs on it, says what, and offers to set it aside. Both can be
 * taken back.
 */
export function TakeAway({ kind, id, name, after }: Props) {
  const router = useRouter();
  const { takeAway } = useSharedActs();
  const { act, pending, problem } = useAct();
  const take = () =>
    act(
      () => takeAway({ kind, id, name }),
      () => after && router.push(after),
    );
  return (
    <>
      <button type="button" className="text-button" aria-disabled={pending || undefined} onClick={take}>
        Take away<span className="only-spoken"> {name}</span>
      </button>
      <Refusal problem={problem} />
      {problem?.code === 'hangs' && isAsideKind(kind) && <SetAside kind={kind} id={id} name={name} after={after} />}
    </>
  );
}
