'use client';

import { Link } from '@/interface/parts/link';
import { useEffect, useRef } from 'react';
import { usePathname, useRouter } from 'next/navigation';
import { Going } from './going';
import { useSingleKeys } from './use-single-keys';
import styles from './order-strip.module.css';

/** A stop of the work, with how much of it is done. */
export interface Stop {
  readonly name: string;
  readonly href: string;
  readonly done: number;
  readonly total: number;
  /** What is counted: `tight`, `proven`. */
  readonly counts?: string;
  /** Said instead of the count. */
  readonly line?: string;
}

/** The stops of the work in their order, down the left; the only way about inside an engine. */
export function OrderStrip({
  stops,
  label = 'Order of work',
}: {
  readonly stops: readonly Stop[];
  readonly label?: string;
}) {
  const path = usePathname();
  const router = useRouter();
  const current = useRef<HTMLAnchorElement>(null);
  // On a narrow screen the stop one is at may lie out of sight.
  useEffect(() => {
    const link = current.current;
    const strip = link?.closest('nav');
    if (link && strip) strip.scrollLeft = link.offsetLeft - (strip.clientWidth - link.clientWidth) / 2;
  }, [path]);
  useSingleKeys(Object.fromEntries(stops.map(({ href }, i) => [`Digit${i + 1}`, () => router.push(href)])));
  return (
    <nav className={styles.strip} aria-label={label}>
      <ol className={styles.stops}>
        {stops.map((stop, i) => (
          <li key={stop.href} className={styles.item}>
            <Link
              href={stop.href}
              className={styles.stop}
              ref={path.startsWith(stop.href) ? current : undefined}
              aria-current={path.startsWith(stop.href) ? 'page' : undefined}
            >
              <span className={styles.key} aria-hidden>
                {i + 1}
              </span>
              <span className={styles.name}>
                {stop.name}
                <Going />
              </span>
              <span className={styles.count} data-all={(stop.total > 0 && stop.done === stop.total) || undefined}>
                {stop.line ?? (stop.total === 0 ? 'none yet' : `${stop.done} of ${stop.total}`)}
                {stop.counts && stop.total > 0 && <span className={styles.counted}> {stop.counts}</span>}
              </span>
            </Link>
          </li>
        ))}
      </ol>
    </nav>
  );
}
