'use client';

import Link from 'next/link';
import type { EngineTag } from '@/interface/shell/rail';
import styles from './stands-screen.module.css';

export type Stand = Pick<EngineTag, 'id' | 'name' | 'href' | 'state' | 'waitsFor'>;

/** Drawn on the client's side, so that five hundred stands come over as data and not as five hundred elements. */
export const StandList = ({ stands }: { readonly stands: readonly Stand[] }) => (
  <ul>
    {stands.map(({ id, name, href, state, waitsFor }) => (
      <li key={id}>
        <Link href={href} className={styles.stand}>
          <span className={styles.name}>{name}</span>
          <span className={styles.waits} data-state={state}>
            Waits for: {waitsFor}
          </span>
        </Link>
      </li>
    ))}
  </ul>
);
