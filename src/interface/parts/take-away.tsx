'use client';

import { useRouter } from 'next/navigation';
import type { RemovableKind } from '@/model/removable';
import { Refusal } from './action-form';
import { useTakeAway } from './undo';
import { useAct } from './use-act';

interface Props {
  readonly kind: RemovableKind;
  readonly id: string;
  readonly name: string;
  /** Where to go once it is gone; stays where it is if not said. */
  readonly after?: string;
}

/** Takes away what was made by mistake; where something hangs on it, says what. It can be taken back. */
export function TakeAway({ kind, id, name, after }: Props) {
  const router = useRouter();
  const takeAway = useTakeAway();
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
    </>
  );
}
