'use client';

import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import type { WorkingLine } from '@/core/joint';
import { formatPieces } from '../figures/format';
import { usePreferences } from '../figures/preferences';
import styles from './working-margin.module.css';

/** What the margin shows of whatever is in focus. */
export interface Working {
  readonly title: string;
  readonly lines?: readonly WorkingLine[];
  readonly remarks?: readonly (readonly [label: string, text: string])[];
  readonly caution?: string;
}

interface Margin {
  readonly shown?: Working;
  readonly setFocused: (working: Working | undefined) => void;
  readonly setStanding: (working: Working | undefined) => void;
}

const MarginContext = createContext<Margin | undefined>(undefined);

export function WorkingProvider({ children }: { readonly children: ReactNode }) {
  const [focused, setFocused] = useState<Working>();
  const [standing, setStanding] = useState<Working>();
  const margin = useMemo(() => ({ shown: focused ?? standing, setFocused, setStanding }), [focused, standing]);
  return <MarginContext value={margin}>{children}</MarginContext>;
}

function useMargin(): Margin {
  const margin = useContext(MarginContext);
  if (!margin) throw new Error('useMargin: no WorkingProvider above this component');
  return margin;
}

/** What the margin shows while nothing in particular is in focus. */
export function useStandingWorking(working: Working | undefined): void {
  const { setStanding } = useMargin();
  useEffect(() => {
    setStanding(working);
    return () => setStanding(undefined);
  }, [setStanding, working]);
}

/** Handlers that put a working into the margin while an element has the focus or the pointer. */
export function useShowWorking(): (working: Working) => {
  readonly onFocus: () => void;
  readonly onPointerEnter: (event: React.PointerEvent) => void;
} {
  const { setFocused } = useMargin();
  return useCallback(
    (working) => ({
      onFocus: () => setFocused(working),
      onPointerEnter: ({ movementX, movementY }) => {
        // A sheet that scrolls under a resting pointer says nothing of what the reader is at.
        if (movementX !== 0 || movementY !== 0) setFocused(working);
      },
    }),
    [setFocused],
  );
}

const Lines = ({ lines }: { readonly lines: readonly WorkingLine[] }) => {
  const { decimalSign } = usePreferences();
  return lines.map((line, i) => (
    <div key={i} className={styles.line}>
      <p className={styles.formula}>{line.formula}</p>
      <p className={styles.figures}>= {formatPieces(line.figures, decimalSign)}</p>
    </div>
  ));
};

/** The ruled margin at the right of the sheet. */
export function WorkingMargin() {
  const { shown } = useMargin();
  return (
    <aside className={styles.margin} aria-label="Working" tabIndex={0}>
      <h2 className={styles.title}>{shown?.title ?? 'Working'}</h2>
      {shown?.lines && <Lines lines={shown.lines} />}
      {shown?.remarks?.map(([label, text]) => (
        <p key={label} className={styles.remark}>
          <b>{label}</b> {text}
        </p>
      ))}
      {shown?.caution && <p className={styles.caution}>{shown.caution}</p>}
      {!shown && <p className={styles.remark}>Whatever is in focus shows its working here.</p>}
    </aside>
  );
}
