'use client';

import { usePathname } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { PullOutcome, PullReading, PullStep } from '@/core/tightening';
import { isWrench, type InstrumentReading } from '@/instruments/measuring-instrument';
import { useInstruments, type Instruments } from '@/interface/instruments/use-instruments';
import { loadDraft, saveDraft } from '@/interface/parts/drafts';
import {
  UNHEARD,
  hear,
  judgePeak,
  takeInstrument,
  type HeardWrench,
  type Peak,
  type ReadDoubt,
} from '@/model/joint/heard-wrench';
import type { TighteningPlan } from '@/model/joint/tightening-plan';

/** Longer than anybody stands on a wrench that shows nothing new. */
const SILENT_MS = 4000;

/** A reading that a person has to say the meaning of, and the step that it came for. */
export interface HeldReading {
  readonly reading: PullReading;
  readonly doubt: ReadDoubt;
  /** How it went, where that is clear and something else is asked. */
  readonly outcome?: PullOutcome;
  readonly at: number;
  /** How many lines the record had. */
  readonly count: number;
}

export interface HeardAtBench {
  readonly instruments: Instruments;
  readonly wrench: HeardWrench;
  readonly held?: HeldReading;
  /** What came and was not taken, and why. */
  readonly trouble?: string;
  /** Takes a line of a wrench, from wherever it comes. */
  readonly receive: (reading: InstrumentReading) => void;
  /** Takes what somebody read themselves. */
  readonly read: (reading: PullReading) => void;
  readonly use: (instrument: string) => void;
  /** A reading that came late is of this pull after all. */
  readonly believe: () => void;
  /** Says what a held reading was; without an outcome it was not this pull, and nothing is recorded. */
  readonly decide: (outcome?: PullOutcome, words?: string) => void;
}

interface Asked {
  readonly plan: TighteningPlan;
  /** The pull whose turn it is, and its number; undefined where nothing is pulled now. */
  readonly step?: PullStep;
  readonly at: number;
  /** How many lines the record has: a reading is taken once at each. */
  readonly count: number;
  /** A pin goes through it once it is pulled: whether a slot meets the hole no instrument reads. */
  readonly asksSlot: boolean;
  /** Nothing of it is recorded, and nothing kept. */
  readonly isRehearsal: boolean;
  /**
   * @param byItself nobody pressed for it
   * @returns whether it was recorded: after a long gap the last one is touched again first
   */
  readonly onPull: (
    outcome: PullOutcome,
    words: string | undefined,
    reading: PullReading,
    byItself: boolean,
  ) => boolean;
}

const NOT_ASKED = 'A reading came while nothing was to be pulled here. It was not recorded.';
// Two pulls cannot be told apart any more.
const UNANSWERED = 'Another reading came before this one was answered. It was not recorded.';
const LEFT_LONG =
  'The work was left for long, so that reading was not recorded: touch the last one again, and pull once more.';
const SILENT =
  'The wrench fell silent before it was let go of. Nothing was recorded of that pull: say below how it went.';

const HELD = 'held-reading';

/**
 * A reading that nobody has answered yet. It is kept on this device: the nut was pulled, and whoever leaves the face
 * and comes back is asked again.
 */
function useKeptReading(isKept: boolean) {
  const page = usePathname();
  const [held, setHeld] = useState<HeldReading>();
  useEffect(() => {
    if (!isKept) return;
    const kept = loadDraft(page, HELD)?.values.held as HeldReading | undefined;
    // oxlint-disable-next-line react/set-state-in-effect -- the store of the device can only be read here
    if (kept) setHeld(kept);
  }, [page, isKept]);
  const keep = useCallback(
    (next: HeldReading | undefined) => {
      setHeld(next);
      if (isKept) saveDraft(page, HELD, next && { at: new Date().toISOString(), values: { held: next } });
    },
    [page, isKept],
  );
  return [held, keep] as const;
}

/** Listens to a torque wrench at the bench. What it reads inside the limits records itself; the rest is asked about. */
export function useHeardWrench({ plan, step, at, count, asksSlot, isRehearsal, onPull }: Asked): HeardAtBench {
  const [wrench, setWrench] = useState<HeardWrench>(UNHEARD);
  // Lines may come faster than they are drawn: what is drawn follows this.
  const latest = useRef<HeardWrench>(UNHEARD);
  const takenAt = useRef(-1);
  const know = (next: HeardWrench) => {
    latest.current = next;
    setWrench(next);
  };
  const [kept, setHeld] = useKeptReading(!isRehearsal);
  // What was said of a reading is answered by the next line of the record.
  const [said, setSaid] = useState<{ readonly words: string; readonly at: number }>();
  const setTrouble = (words: string | undefined) => setSaid(words === undefined ? undefined : { words, at: count });
  const trouble = said?.at === count ? said.words : undefined;
  // A line that was recorded by hand meanwhile answered it.
  const held = kept?.at === at && kept.count === count && step ? kept : undefined;
  const settle = (peak: Peak, on: PullStep, byItself: boolean) => {
    setTrouble(undefined);
    const judged = judgePeak(plan, on, peak, asksSlot);
    takenAt.current = count;
    setHeld(judged.is === 'held' ? { ...judged, reading: peak.reading, at, count } : undefined);
    if (judged.is === 'taken' && !onPull(judged.outcome, undefined, peak.reading, byItself)) {
      takenAt.current = -1;
      setTrouble(LEFT_LONG);
    }
  };
  const judge = (peak: Peak, byItself: boolean) => {
    if (!step) setTrouble(NOT_ASKED);
    else if (held || takenAt.current === count) setTrouble(UNANSWERED);
    else settle(peak, step, byItself);
  };
  const receive = (reading: InstrumentReading) => {
    if (!isWrench(reading)) return;
    const { now, peak } = hear(latest.current, reading, Date.now());
    know(now);
    if (peak) judge(peak, true);
  };
  const instruments = useInstruments(receive, ({ instrument, message }) =>
    setTrouble(`${instrument} sent what cannot be: ${message} Nothing was recorded.`),
  );
  const { live } = wrench;
  useEffect(() => {
    if (!live) return;
    const timer = setTimeout(() => {
      know({ ...latest.current, live: undefined });
      setSaid({ words: SILENT, at: count });
    }, SILENT_MS);
    return () => clearTimeout(timer);
  }, [live, count]);
  return {
    instruments,
    wrench,
    held,
    trouble,
    receive,
    read: (reading) => judge({ reading }, false),
    use: (instrument) => know(takeInstrument(latest.current, instrument)),
    believe: () => held && step && settle({ reading: held.reading }, step, false),
    decide: (outcome, words) => {
      setHeld(undefined);
      takenAt.current = -1;
      if (held && outcome) onPull(outcome, words, held.reading, false);
    },
  };
}
