'use client';

import { useEffect, useState } from 'react';
import type { SaidSince } from './queries';
import type { Result } from '@/model/result';

const ASKED_EVERY_MS = 20_000;

/** What is otherwise than when this round was begun, asked again while the face is open: it may be changed elsewhere. */
export function useSaidSince(tighteningId: string, atFirst: SaidSince): SaidSince {
  const [said, setSaid] = useState(atFirst);
  useEffect(() => {
    const gone = new AbortController();
    const ask = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        const answer = await fetch(`/api/tightenings/${tighteningId}/changed`, { signal: gone.signal });
        const now = (await answer.json()) as Result<SaidSince>;
        if (now.ok) setSaid(now.result);
      } catch {
        // Not reached: what was last said stands, and the pulls tell that nobody answers.
      }
    };
    const asked = () => void ask();
    const timer = setInterval(asked, ASKED_EVERY_MS);
    document.addEventListener('visibilitychange', asked);
    return () => {
      gone.abort();
      clearInterval(timer);
      document.removeEventListener('visibilitychange', asked);
    };
  }, [tighteningId]);
  return said;
}
