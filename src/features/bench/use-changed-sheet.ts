'use client';

import { useEffect, useState } from 'react';
import type { ChangedSince } from './queries';
import type { Result } from '@/model/result';

const ASKED_EVERY_MS = 20_000;

/** What the sheet says otherwise than this round, asked again while the face is open: it may be changed elsewhere. */
export function useChangedSheet(tighteningId: string, atFirst: ChangedSince | undefined): ChangedSince | undefined {
  const [changed, setChanged] = useState(atFirst);
  useEffect(() => {
    const gone = new AbortController();
    const ask = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        const answer = await fetch(`/api/tightenings/${tighteningId}/changed`, { signal: gone.signal });
        const said = (await answer.json()) as Result<{ readonly changed?: ChangedSince }>;
        if (said.ok) setChanged(said.result.changed);
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
  return changed;
}
