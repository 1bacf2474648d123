'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { HoldAct } from '@/model/joint/bench-hold';
import type { Result } from '@/model/result';
import { benchId } from './bench-id';
import type { HoldSeen } from './hold';

const LOOK_MS = 3000;

export interface Hold {
  /** Undefined until it was answered. */
  readonly seen?: HoldSeen;
  /** Another screen has the wrench: nothing is recorded from here. A press before that is known is refused there. */
  readonly looksOn: boolean;
  readonly refusal?: string;
  readonly move: (act: HoldAct, words?: string) => void;
}

/**
 * Who has the wrench of a round. The screen that comes first has it; the others look on, and see what is done. Where
 * nobody answers, whoever had it goes on: what they record is kept and judged when it arrives.
 * @param lines how many lines this screen knows to be on disk
 */
export function useHold(tighteningId: string, lines: number): Hold {
  const router = useRouter();
  const [seen, setSeen] = useState<HoldSeen>();
  const [refusal, setRefusal] = useState<string>();
  const known = useRef(lines);
  const had = useRef(false);
  useEffect(() => {
    known.current = lines;
  }, [lines]);
  const address = `/api/tightenings/${tighteningId}/wrench`;
  const show = useCallback(
    (next: HoldSeen) => {
      had.current = next.state === 'mine' || (had.current && next.state === 'free');
      setSeen(next);
      // Another screen recorded something: the page brings it.
      if (next.state !== 'mine' && next.lines !== known.current) router.refresh();
    },
    [router],
  );
  const send = useCallback(
    async (act: HoldAct, words?: string, keepalive = false) => {
      try {
        const answer = await fetch(address, {
          method: 'POST',
          keepalive,
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ act, bench: benchId(), ...(words && { words }) }),
        });
        const said = (await answer.json()) as Result<HoldSeen>;
        if (said.ok && act !== 'lay-down') {
          setRefusal(undefined);
          show(said.result);
        } else if (!said.ok && said.error.code !== 'held-elsewhere') setRefusal(said.error.message);
        return said.ok;
      } catch {
        // Not reached: what was last known stands, and the pulls tell that nobody answers.
        return false;
      }
    },
    [address, show],
  );
  const look = useCallback(async () => {
    if (document.visibilityState !== 'visible') return;
    try {
      const answer = await fetch(`${address}?bench=${encodeURIComponent(benchId())}`);
      const said = (await answer.json()) as Result<HoldSeen>;
      if (!said.ok) return;
      show(said.result);
      // A page that is read again lays it down and takes it up; the two may arrive the other way round.
      if (said.result.state === 'free' && had.current) await send('take');
    } catch {
      // As above.
    }
  }, [address, show, send]);
  useEffect(() => {
    const begin = async () => {
      await send('open');
    };
    void begin();
    const timer = setInterval(() => void look(), LOOK_MS);
    const layDown = () => void send('lay-down', undefined, true);
    window.addEventListener('pagehide', layDown);
    return () => {
      clearInterval(timer);
      window.removeEventListener('pagehide', layDown);
      layDown();
    };
  }, [send, look]);
  return {
    seen,
    looksOn: seen !== undefined && seen.state !== 'mine',
    refusal,
    move: (act, words) => void send(act, words),
  };
}
