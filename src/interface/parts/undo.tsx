'use client';

import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { RemovableKind } from '@/model/removable';
import type { AsideKind, ShelfAsideKind } from '@/model/set-aside';
import type { SaidLine } from '@/model/order/assert-line';
import type { Result } from '@/model/result';
import { Link } from '@/interface/parts/link';
import { usePathname } from 'next/navigation';
import { usePreferences } from '../figures/preferences';
import { useSingleKeys } from '../shell/use-single-keys';
import { AskWho } from './ask-who';
import { useSecondPress } from './second-press';
import { useClearOf } from './use-clear-of';
import styles from './undo.module.css';

/** What an act can be taken back by. */
export interface Undoable {
  readonly token: string;
  readonly words: string;
}

/** What came back from an act: whether it can be taken back. */
const undoIn = (result: unknown): Undoable | undefined =>
  typeof result === 'object' && result !== null && 'undo' in result ? (result.undo as Undoable) : undefined;

const OfferContext = createContext<(result: unknown) => void>(() => undefined);

/** Writes what waits, and tells whether all that stands on the sheet is on disk then. */
type Settle = () => Promise<boolean>;
const SettleContext = createContext<(settle: Settle) => () => void>(() => () => undefined);

/** What is on a sheet and not yet written is written before anything is taken back: it is the last that was done. */
export function useSettledBeforeUndo(settle: Settle): void {
  const isAsked = useContext(SettleContext);
  useEffect(() => isAsked(settle), [isAsked, settle]);
}

/** Offers to take an act back, where its answer says how. */
export const useOfferUndo = () => useContext(OfferContext);

// Ten seconds after every act; while somebody is at it, it stays.
const STAYS_MS = 10_000;

type Untimed = SaidLine extends infer One ? (One extends SaidLine ? Omit<One, 'at'> : never) : never;

/** The acts that every screen may do, from the floor above. */
export interface SharedActs {
  readonly undo: (fields: { readonly token: string }) => Promise<Result<unknown>>;
  readonly takeAway: (fields: {
    readonly kind: RemovableKind;
    readonly id: string;
    readonly name: string;
  }) => Promise<Result<unknown>>;
  readonly setAside: (fields: {
    readonly kind: AsideKind | ShelfAsideKind;
    readonly id: string;
    readonly reason: string;
  }) => Promise<Result<unknown>>;
  readonly writeLine: (fields: { readonly engineId: string; readonly line: Untimed }) => Promise<Result<unknown>>;
  readonly removePhoto: (fields: { readonly photoId: string }) => Promise<Result<unknown>>;
}

type Acts = Omit<SharedActs, 'undo'>;
const ActsContext = createContext<Acts | undefined>(undefined);

/** The acts that take a thing away, set it aside, or take a photograph away. */
export function useSharedActs(): Acts {
  const acts = useContext(ActsContext);
  if (!acts) throw new Error('useSharedActs: no UndoProvider above this component');
  return acts;
}

interface Props extends SharedActs {
  readonly children: ReactNode;
}

/** A line at the foot of the screen after an act: what was done, and the key that takes it back. */
export function UndoProvider({ undo, takeAway, setAside, removePhoto, writeLine, children }: Props) {
  const [offered, setOffered] = useState<Undoable>();
  /** The same, for an offer that is made while something waits. */
  const last = useRef<Undoable>(undefined);
  const sheets = useRef(new Set<Settle>());
  const isAsked = useCallback((settle: Settle) => {
    sheets.current.add(settle);
    return () => void sheets.current.delete(settle);
  }, []);
  const [said, setSaid] = useState<string>();
  const [asks, setAsks] = useState(false);
  const { who } = usePreferences();
  const whoRef = useRef(who);
  useEffect(() => {
    whoRef.current = who;
  }, [who]);
  const path = usePathname();
  // At the bench nothing lies over the keys, and Z takes back no change of a sheet that is out of sight.
  const atBench = path.startsWith('/face');
  // There presses have a guard of their own, for pedals and gloves.
  useSecondPress(!atBench);
  const engine = /^\/engines\/([^/]+)/.exec(path)?.[1];
  const acts = useMemo(
    () => ({ takeAway, setAside, removePhoto, writeLine }),
    [takeAway, setAside, removePhoto, writeLine],
  );
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const leaveSoon = useCallback(() => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      setOffered(undefined);
      setSaid(undefined);
      setAsks(false);
    }, STAYS_MS);
  }, []);
  useEffect(() => () => clearTimeout(timer.current), []);
  const offer = useCallback(
    (result: unknown) => {
      const next = undoIn(result);
      if (!next) return;
      // Asked with every act until it is answered, once a device.
      setAsks(whoRef.current === undefined);
      last.current = next;
      setOffered(next);
      setSaid(undefined);
      leaveSoon();
    },
    [leaveSoon],
  );
  const takeBack = useCallback(async () => {
    if (!offered || atBench) return;
    const areSettled = await Promise.all([...sheets.current].map((settle) => settle()));
    const meant = last.current;
    // Pressed twice, it is taken back once.
    if (!meant) return;
    if (areSettled.includes(false)) {
      setSaid('What stands on this sheet is not on disk; nothing was taken back.');
      leaveSoon();
      return;
    }
    last.current = undefined;
    setOffered(undefined);
    const outcome = await undo({ token: meant.token }).catch(() => undefined);
    setSaid(
      outcome === undefined
        ? 'The program on this machine did not answer; nothing was taken back.'
        : outcome.ok
          ? 'Taken back.'
          : outcome.error.message,
    );
    leaveSoon();
  }, [offered, undo, leaveSoon, atBench]);
  useSingleKeys(useMemo(() => ({ z: () => void takeBack() }), [takeBack]));
  const place = useRef<HTMLDivElement>(null);
  useClearOf(place, atBench ? undefined : (offered ?? said));
  return (
    <OfferContext value={offer}>
      <SettleContext value={isAsked}>
        <ActsContext value={acts}>{children}</ActsContext>
      </SettleContext>
      <div
        ref={place}
        className={styles.place}
        role="status"
        onPointerEnter={() => clearTimeout(timer.current)}
        onPointerLeave={leaveSoon}
        onFocus={() => clearTimeout(timer.current)}
        onBlur={leaveSoon}
      >
        {offered && !atBench && (
          <p className={styles.line}>
            {offered.words}.{' '}
            <button type="button" className={styles.key} onClick={() => void takeBack()}>
              Undo <kbd>Z</kbd>
            </button>
            <Link href={engine ? `/engines/${engine}/acts` : '/shelves/acts'} className={styles.link}>
              Last acts
            </Link>
          </p>
        )}
        {said && !atBench && <p className={styles.line}>{said}</p>}
        {asks && who === undefined && !atBench && <AskWho />}
      </div>
    </OfferContext>
  );
}
