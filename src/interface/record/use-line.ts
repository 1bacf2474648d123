'use client';

import { nanoid } from 'nanoid';
import { useCallback, useRef } from 'react';
import { useSharedActs } from '@/interface/parts/undo';
import { useAct } from '@/interface/parts/use-act';
import { plainFigure } from '@/core/units';
import type { SaidLine } from '@/model/order/assert-line';

/** A line as a screen says it: id and hours are put to it. */
export type Said = SaidLine extends infer One
  ? One extends SaidLine
    ? Omit<One, 'id' | 'at' | 'recordedAt' | 'who'>
    : never
  : never;

/**
 * Sends lines of an order. One that was not answered is sent again under the same id, so that it is one line however
 * often it is sent.
 */
export function useLineSender(engineId: string) {
  const { writeLine } = useSharedActs();
  const waiting = useRef(new Map<string, string>());
  return useCallback(
    async (said: Said) => {
      const key = JSON.stringify(said);
      const id = waiting.current.get(key) ?? nanoid();
      waiting.current.set(key, id);
      const outcome = await writeLine({ engineId, line: { ...said, id } });
      waiting.current.delete(key);
      return outcome;
    },
    [engineId, writeLine],
  );
}

/** A key that writes a line. */
export function useLine(engineId: string) {
  const { act, pending, problem } = useAct();
  const send = useLineSender(engineId);
  const write = (said: Said, onDone?: () => void) => act(() => send(said), onDone);
  return { write, pending, problem };
}

/** A count as it was typed; what is none is sent as none, for the server to refuse at its field. */
export const typedCount = (text: string): number => plainFigure(text) ?? NaN;
