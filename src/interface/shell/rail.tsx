'use client';

import type { WaitState } from '@/model/engine/engine-wait';
import { Link } from '@/interface/parts/link';
import { useParams, useRouter } from 'next/navigation';
import { useEffect, useRef, type ReactNode } from 'react';
import type { TorqueUnit } from '@/core/units';
import { OwnUnit } from '../figures/preferences';
import { Going } from './going';
import { RailTools } from './rail-tools';
import { useSingleKeys } from './use-single-keys';
import styles from './rail.module.css';

/** An engine on its stand, and what it waits for. */
export interface EngineTag {
  readonly id: string;
  readonly name: string;
  readonly href: string;
  readonly unit: TorqueUnit;
  readonly waitsFor: string;
  /** How the line reads: nothing pending, waiting for time or a part, to be done now, or stopped. */
  readonly state: WaitState;
}

const SIGN: Readonly<Record<EngineTag['state'], string>> = { rest: '', waiting: '◔', ready: '●', stop: '▲' };

interface Props {
  /** The tags that hang. */
  readonly tags: readonly EngineTag[];
  /** How many engines there are in all. */
  readonly engines: number;
  readonly home: string;
  /** What `R` opens from anywhere. */
  readonly reckoner: ReactNode;
  /** Finds anything. */
  readonly find: ReactNode;
}

/** Across the top: a tag for each engine, tied to its stand. */
export function Rail({ tags: shown, engines, home, reckoner, find }: Props) {
  const { engine } = useParams<{ engine?: string }>();
  const router = useRouter();
  const current = useRef<HTMLAnchorElement>(null);
  // Among many tags the one looked at may hang out of sight. Only the rail moves: bringing the tag into view would
  // move the page too, under the finger of whoever scrolled before it was alive.
  useEffect(() => {
    const tag = current.current;
    const rail = tag?.parentElement;
    if (!tag || !rail) return;
    const [from, to] = [tag.offsetLeft - rail.offsetLeft, tag.offsetLeft - rail.offsetLeft + tag.offsetWidth];
    if (from < rail.scrollLeft) rail.scrollLeft = from;
    else if (to > rail.scrollLeft + rail.clientWidth) rail.scrollLeft = to - rail.clientWidth;
  }, [engine]);
  const step = (by: number) => () => {
    if (shown.length === 0) return;
    const at = shown.findIndex((tag) => tag.id === engine);
    const next = shown[(at + by + shown.length) % shown.length];
    if (next) router.push(next.href);
  };
  useSingleKeys({
    BracketLeft: step(-1),
    BracketRight: step(1),
    Digit0: () => router.push('/'),
    h: () => router.push('/shelves/films'),
  });
  return (
    <header className={styles.rail}>
      <Link href="/" className={styles.mark}>
        <span className={styles.product}>Unhurried Spanner</span>
        <span className={styles.home}>{home}</span>
      </Link>
      <nav className={styles.tags} aria-label="Engines on stands">
        {shown.map((tag) => (
          <Link
            key={tag.id}
            href={tag.href}
            ref={tag.id === engine ? current : undefined}
            className={styles.tag}
            aria-current={tag.id === engine ? 'true' : undefined}
          >
            <span className={styles.face}>
              <span className={styles.name}>
                {tag.name}
                <Going />
              </span>
              <span className={styles.waits} data-state={tag.state}>
                {SIGN[tag.state] && <span aria-hidden>{SIGN[tag.state]} </span>}
                {tag.waitsFor}
              </span>
            </span>
          </Link>
        ))}
      </nav>
      {shown.length < engines && (
        <Link href="/" className={styles.others}>
          all {engines}
          <span className="only-spoken"> engines</span>
        </Link>
      )}
      <OwnUnit unit={shown.find((tag) => tag.id === engine)?.unit ?? 'N·m'}>
        <RailTools reckoner={reckoner} find={find} />
      </OwnUnit>
    </header>
  );
}
