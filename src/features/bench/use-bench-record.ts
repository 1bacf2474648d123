'use client';

import { nanoid } from 'nanoid';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { standing, type BenchEvent, type PullOutcome, type Standing } from '@/core/tightening';
import type { TighteningPlan } from '@/db/tightening-plan';
import type { Outcome } from '@/interface/server/outcome';
import { loadOutbox, saveOutbox } from './outbox';

const RETRY_MS = 2000;

export interface BenchRecord {
  readonly standing: Standing;
  /** Positions whose line is not yet on disk. */
  readonly pending: ReadonlySet<number>;
  readonly trouble?: string;
  readonly pull: (outcome: PullOutcome) => void;
  readonly shaftTurned: () => void;
  readonly strikeLast: () => void;
}

interface Lines {
  readonly written: readonly BenchEvent[];
  readonly waiting: readonly BenchEvent[];
}

async function post(tighteningId: string, event: BenchEvent): Promise<Outcome<unknown> | undefined> {
  try {
    const response = await fetch(`/api/tightenings/${tighteningId}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(event),
    });
    return (await response.json()) as Outcome<unknown>;
  } catch {
    return undefined;
  }
}

async function fetchLines(tighteningId: string): Promise<readonly BenchEvent[] | undefined> {
  try {
    const outcome = (await (await fetch(`/api/tightenings/${tighteningId}/events`)).json()) as Outcome<readonly BenchEvent[]>;
    return outcome.ok ? outcome.result : undefined;
  } catch {
    return undefined;
  }
}

const UNREACHED = 'The last pull is not on disk yet: the program on this machine does not answer. It is kept here and sent again.';
const isRefusal = (code: string) => ['out-of-turn', 'nothing-to-strike', 'bad-field'].includes(code);

/** Sends waiting lines one after another; a line leaves the outbox only when the server has it on disk. */
function useSending(tighteningId: string, lines: Lines, setLines: (change: (before: Lines) => Lines) => void) {
  const [trouble, setTrouble] = useState<string>();
  const [attempt, setAttempt] = useState(0);
  const sending = useRef(false);
  const first = lines.waiting[0];
  useEffect(() => {
    if (!first || sending.current) return;
    sending.current = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const again = () => setAttempt((n) => n + 1);
    void post(tighteningId, first).then(async (outcome) => {
      sending.current = false;
      if (outcome?.ok) {
        setTrouble(undefined);
        setLines((before) => ({ written: [...before.written, first], waiting: before.waiting.slice(1) }));
      } else if (outcome && isRefusal(outcome.error.code)) {
        // Another screen went on meanwhile: what is on disk stands.
        const written = await fetchLines(tighteningId);
        setTrouble(`${outcome.error.message} The record was read again.`);
        setLines((before) => ({ written: written ?? before.written, waiting: [] }));
      } else {
        setTrouble(outcome ? outcome.error.message : UNREACHED);
        timer = setTimeout(again, RETRY_MS);
      }
    });
    return () => clearTimeout(timer);
  }, [first, attempt, tighteningId, setLines]);
  return trouble;
}

const now = () => new Date().toISOString();

/** The record of one tightening at the bench: what is on disk, what is on its way there, and the acts that add to it. */
export function useBenchRecord(tighteningId: string, plan: TighteningPlan, events: readonly BenchEvent[]): BenchRecord {
  const [lines, setLines] = useState<Lines>({ written: events, waiting: [] });
  useEffect(() => {
    const kept = loadOutbox(tighteningId).filter((event) => !events.some((written) => written.id === event.id));
    // Lines left over from a closed browser can only be seen after the first paint.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    if (kept.length > 0) setLines({ written: events, waiting: kept });
  }, [tighteningId, events]);
  useEffect(() => saveOutbox(tighteningId, lines.waiting), [tighteningId, lines.waiting]);
  const trouble = useSending(tighteningId, lines, setLines);
  const all = useMemo(() => [...lines.written, ...lines.waiting], [lines]);
  const current = useMemo(() => standing(plan.steps, all, plan.positions.length), [plan, all]);
  const add = useCallback((event: BenchEvent) => setLines((before) => ({ ...before, waiting: [...before.waiting, event] })), []);
  const pending = new Set(
    lines.waiting.flatMap((event) => {
      const step = event.kind === 'pull' ? plan.steps[event.step] : undefined;
      return step?.kind === 'pull' ? [step.position] : [];
    }),
  );
  return {
    standing: current,
    pending,
    trouble,
    pull: (outcome) => add({ id: nanoid(), kind: 'pull', step: current.next, outcome, at: now() }),
    shaftTurned: () => add({ id: nanoid(), kind: 'shaft', step: current.next, at: now() }),
    strikeLast: () => current.last && add({ id: nanoid(), kind: 'strike', strikes: current.last.id, at: now() }),
  };
}
