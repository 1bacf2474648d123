'use client';

import { useSyncExternalStore } from 'react';
import type { typedLength, typedTorque } from '@/core/print';

/** What reads a figure that has a unit of its own, as print has them. */
export interface PrintReader {
  readonly typedLength: typeof typedLength;
  readonly typedTorque: typeof typedTorque;
}

let here: PrintReader | undefined;
const waiting = new Set<() => void>();

/** Fetches it, once: most figures are typed bare, and it weighs more than a sheet. Refused where it is out of reach. */
export async function fetchPrintReader(): Promise<PrintReader> {
  here ??= await import('@/core/print');
  for (const told of waiting) told();
  return here;
}

const subscribe = (told: () => void) => {
  waiting.add(told);
  return () => void waiting.delete(told);
};

/** The reader, once it is here. */
export const usePrintReader = (): PrintReader | undefined =>
  useSyncExternalStore(
    subscribe,
    () => here,
    () => undefined,
  );
