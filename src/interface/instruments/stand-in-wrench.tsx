'use client';

import { nanoid } from 'nanoid';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import {
  createSimulatedWrench,
  type SentReading,
  type SimulatedPull,
  type SimulatedWrench,
} from '@/instruments/simulated-wrench';

const EVERY_MS = 120;

const world = { random: () => Math.random(), now: () => new Date().toISOString(), newId: () => nanoid() };

interface Props {
  readonly setup: SimulatedWrench;
  /** What it is set to, in its unit. */
  readonly clicksAt: number;
  readonly className?: string;
  readonly onLine: (line: SentReading) => void;
}

interface Held {
  readonly pull: SimulatedPull;
  readonly since: number;
  readonly timer: ReturnType<typeof setInterval>;
}

/** A wrench that is none: held down it climbs, and let go of it sends what it came to. By pointer, space bar or enter. */
export function StandInWrench({ setup, clicksAt, className, onLine }: Props) {
  const held = useRef<Held>(undefined);
  const [state, setState] = useState<'lies' | 'pulls' | 'clicked'>('lies');
  const wrench = useRef<{ readonly of: string; readonly made: ReturnType<typeof createSimulatedWrench> }>(undefined);
  const line = useRef(onLine);
  useEffect(() => {
    line.current = onLine;
  });
  useEffect(() => () => clearInterval(held.current?.timer), []);
  const begin = () => {
    if (held.current) return;
    const of = JSON.stringify(setup);
    // It drifts with its pulls until it is set up anew.
    if (wrench.current?.of !== of) wrench.current = { of, made: createSimulatedWrench(setup, world) };
    const pull = wrench.current.made.pull(clicksAt);
    const since = performance.now();
    const timer = setInterval(() => {
      const ms = performance.now() - since;
      line.current(pull.at(ms));
      if (pull.hasClicked(ms)) setState('clicked');
    }, EVERY_MS);
    held.current = { pull, since, timer };
    setState('pulls');
  };
  const letGo = () => {
    const { current } = held;
    if (!current) return;
    clearInterval(current.timer);
    held.current = undefined;
    setState('lies');
    for (const sent of current.pull.letGo(performance.now() - current.since)) line.current(sent);
  };
  const isHeldKey = (event: KeyboardEvent): boolean => {
    if (event.key !== ' ' && event.key !== 'Enter') return false;
    event.preventDefault();
    event.stopPropagation();
    return true;
  };
  return (
    <button
      type="button"
      className={className}
      data-state={state}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        begin();
      }}
      onPointerUp={letGo}
      onPointerCancel={letGo}
      onLostPointerCapture={letGo}
      onKeyDown={(event) => isHeldKey(event) && begin()}
      onKeyUp={(event) => isHeldKey(event) && letGo()}
      onBlur={letGo}
      onContextMenu={(event) => event.preventDefault()}
    >
      {state === 'clicked' ? 'Click: let go' : state === 'pulls' ? 'Pulling…' : 'Hold to pull'}
      {state === 'lies' && <span className="only-spoken"> {setup.name}</span>}
    </button>
  );
}
