'use client';

import { Link } from '@/interface/parts/link';
import { fullDate } from '@/interface/figures/times';
import { Refusal } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import { Notice } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { bringBackAction } from './actions';
import type { AsideEngine } from './queries';
import styles from './stands-screen.module.css';

function BringBack({ engineId }: { readonly engineId: string }) {
  const { act, pending, problem } = useAct();
  return (
    <>
      <Button onClick={() => act(() => bringBackAction({ engineId }))} disabled={pending}>
        Bring it back
      </Button>
      <Refusal problem={problem} />
    </>
  );
}

/** Above every page of an engine that lies aside. */
export const AsideNotice = ({ engine }: { readonly engine: AsideEngine }) => (
  <div className={styles.asideNotice}>
    <Notice kind="wait">
      Put aside {fullDate(engine.at)}: {engine.reason}.
    </Notice>
    <BringBack engineId={engine.id} />
  </div>
);

/** What lies aside, at the foot of the stands. */
export function AsideList({ engines }: { readonly engines: readonly AsideEngine[] }) {
  if (engines.length === 0) return null;
  return (
    <Disclosure title="Put aside" id="aside" line={engines.length === 1 ? '1 engine' : `${engines.length} engines`}>
      <ul>
        {engines.map(({ id, name, reason, at }) => (
          <li key={id} className={styles.aside}>
            <Link href={`/engines/${id}/record`} className={styles.name}>
              {name}
            </Link>
            <span>
              {reason}, {fullDate(at)}
            </span>
            <BringBack engineId={id} />
          </li>
        ))}
      </ul>
    </Disclosure>
  );
}
