'use client';

import { createContext, useCallback, useContext, useEffect, useId, useMemo, useState, type ReactNode } from 'react';
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

/** A working that was brought into the margin by focus or pointer, and by which part of a sheet. */
interface Focused {
  readonly owner: string;
  readonly working: Working;
}

type Change = (before: Focused | undefined) => Focused | undefined;

interface MarginSetters {
  readonly setOpened: (opened: boolean) => void;
  readonly setFocused: (change: Change) => void;
  readonly setUsual: (working: Working | undefined) => void;
}

// Apart, so that what writes into the margin is not drawn anew when its text changes.
const SettersContext = createContext<MarginSetters | undefined>(undefined);
const ShownContext = createContext<{ readonly shown?: Working; readonly opened: boolean }>({ opened: false });

export function WorkingProvider({ children }: { readonly children: ReactNode }) {
  const [focused, setFocused] = useState<Focused>();
  const [usual, setUsual] = useState<Working>();
  // Where there is no room beside the sheet it lies over its foot, and only when it was asked for.
  const [opened, setOpened] = useState(false);
  const setters = useMemo(() => ({ setFocused, setUsual, setOpened }), []);
  const working = focused?.working ?? usual;
  const held = useMemo(() => ({ shown: working, opened: opened && working !== undefined }), [working, opened]);
  return (
    <SettersContext value={setters}>
      <ShownContext value={held}>{children}</ShownContext>
    </SettersContext>
  );
}

function useMarginSetters(): MarginSetters {
  const setters = useContext(SettersContext);
  if (!setters) throw new Error('useMarginSetters: no WorkingProvider above this component');
  return setters;
}

/** What the margin shows while nothing in particular is in focus. */
export function useDefaultWorking(working: Working | undefined): void {
  const { setUsual } = useMarginSetters();
  useEffect(() => {
    setUsual(working);
    return () => setUsual(undefined);
  }, [setUsual, working]);
}

/** What is in the margin follows what it was reckoned from; it leaves with the part of the sheet that brought it. */
const followed =
  (owner: string, workings: readonly Working[]): Change =>
  (before) => {
    if (before?.owner !== owner) return before;
    const working = workings.find(({ title }) => title === before.working.title);
    return working && { owner, working };
  };

const left =
  (owner: string): Change =>
  (before) =>
    before?.owner === owner ? undefined : before;

/**
 * Handlers that put a working into the margin when an element takes the focus or the pointer.
 * @param workings every working that this part of the sheet can show, each with a title of its own
 */
export function useShowWorking(workings: readonly Working[]): (working: Working) => {
  readonly onFocus: () => void;
  readonly onPointerEnter: (event: React.PointerEvent) => void;
  readonly onPointerUp: (event: React.PointerEvent) => void;
} {
  const { setFocused, setOpened } = useMarginSetters();
  const owner = useId();
  // By their text: a sheet makes them anew at each draw, and the margin is told only where they say something else.
  const text = JSON.stringify(workings);
  useEffect(() => {
    setFocused(followed(owner, JSON.parse(text) as readonly Working[]));
  }, [owner, setFocused, text]);
  useEffect(() => () => setFocused(left(owner)), [owner, setFocused]);
  return useCallback(
    (working) => ({
      onFocus: () => setFocused(() => ({ owner, working })),
      onPointerEnter: ({ movementX, movementY }) => {
        // A sheet that scrolls under a resting pointer says nothing of what the reader is at.
        if (movementX !== 0 || movementY !== 0) setFocused(() => ({ owner, working }));
      },
      onPointerUp: ({ target }) => {
        setFocused(() => ({ owner, working }));
        // A tap that goes somewhere, or opens something, asks for no working.
        const leads = target instanceof Element && target.closest('a, button, input, select, summary');
        if (!leads || leads.hasAttribute('data-working')) setOpened(true);
      },
    }),
    [owner, setFocused, setOpened],
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

interface MarginProps {
  readonly opened?: boolean;
  readonly onOpen?: (opened: boolean) => void;
  readonly children?: ReactNode;
}

/** Beside the sheet where there is room; else a sheet of its own over the foot of the screen, opened and closed. */
function Margin({ opened = false, onOpen, children }: MarginProps) {
  return (
    <>
      {onOpen && (
        <button type="button" className={styles.opener} aria-expanded={opened} onClick={() => onOpen(!opened)}>
          {opened ? 'Close the working' : 'Working'}
        </button>
      )}
      <aside
        className={styles.margin}
        aria-label="Working"
        tabIndex={0}
        data-opened={opened || undefined}
        data-empty={children === undefined || undefined}
      >
        {children ?? (
          <>
            <h2 className={styles.title}>Working</h2>
            <p className={styles.remark}>Whatever is in focus shows its working here.</p>
          </>
        )}
      </aside>
    </>
  );
}

/** The ruled margin at the right of the sheet. */
export function WorkingMargin() {
  const { shown, opened } = useContext(ShownContext);
  const { setOpened } = useMarginSetters();
  useEffect(() => {
    if (!opened) return;
    const close = ({ key }: KeyboardEvent) => key === 'Escape' && setOpened(false);
    document.addEventListener('keydown', close);
    return () => document.removeEventListener('keydown', close);
  }, [opened, setOpened]);
  if (shown === undefined && !opened) return <Margin />;
  return (
    <Margin opened={opened} onOpen={setOpened}>
      <h2 className={styles.title}>{shown?.title ?? 'Working'}</h2>
      {shown?.lines && <Lines lines={shown.lines} />}
      {shown?.remarks?.map(([label, text]) => (
        <p key={label} className={styles.remark}>
          <b>{label}</b> {text}
        </p>
      ))}
      {shown?.caution && <p className={styles.caution}>{shown.caution}</p>}
    </Margin>
  );
}
