'use client';

import { fullDate } from '@/interface/figures/times';
import { Refusal } from '@/interface/parts/action-form';
import { Disclosure } from '@/interface/parts/disclosure';
import { useAct } from '@/interface/parts/use-act';
import type { SetAside, ShelfAsideKind } from '@/model/set-aside';
import { bringAsideBackAction } from './actions';

/** Something set aside; of a wrench, a source and a trial the list of acts says when and by whom. */
type AsideLine =
  | SetAside
  | {
      readonly kind: ShelfAsideKind;
      readonly id: string;
      readonly name: string;
      readonly reason: string;
      readonly at?: undefined;
      readonly who?: undefined;
    };

/** What was set aside here, with its reason, and the way back. */
export function AsideFold({ asides }: { readonly asides: readonly AsideLine[] }) {
  const { act, pending, problem } = useAct();
  if (asides.length === 0) return null;
  return (
    <Disclosure title="Set aside" line={asides.length === 1 ? `1: ${asides[0]?.name ?? ''}` : `${asides.length}`}>
      <ul className="points">
        {asides.map(({ kind, id, name, reason, who, at }) => (
          <li key={`${kind} ${id}`}>
            <b>{name}</b>: {reason}{' '}
            <span className="soft">
              {at && fullDate(at)}
              {who && `, ${who}`}
            </span>{' '}
            <button
              type="button"
              className="text-button"
              aria-disabled={pending || undefined}
              onClick={() => act(() => bringAsideBackAction({ kind, id }))}
            >
              Bring back<span className="only-spoken"> {name}</span>
            </button>
          </li>
        ))}
      </ul>
      <Refusal problem={problem} />
    </Disclosure>
  );
}
