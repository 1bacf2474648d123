'use client';

import type { UseFormReturnType } from '@mantine/form';
import { useEffect } from 'react';
import { inputTime } from '@/interface/figures/times';

/** A field of day and hour speaks of the clock on the wall; it is sent in UTC. */
export const isoOfField = (field: string): string => {
  const time = new Date(field);
  return Number.isNaN(time.getTime()) ? field : time.toISOString();
};

export const fieldOf = (at: number): string => inputTime(at);

/** What a field of day and hour needs of a form's value. */
export const timeProps = (
  form: Pick<UseFormReturnType<Record<string, string>>, 'values' | 'errors' | 'setFieldValue'>,
  name: string,
) => ({
  value: form.values[name] ?? '',
  error: form.errors[name],
  onChange: (value: string) => form.setFieldValue(name, value),
});

const NOTABLE_MS = 60_000;

/**
 * Puts hours that the server proposed on this device's clock, which is the one that the person compares them with.
 * What is sent back counts by how long ago it was on this device.
 */
export function useOwnClock(
  proposed: Readonly<Record<string, number>>,
  now: number,
  form: Pick<UseFormReturnType<Record<string, string>>, 'setValues' | 'resetDirty' | 'isDirty'>,
): void {
  useEffect(() => {
    const ahead = Date.now() - now;
    if (Math.abs(ahead) < NOTABLE_MS || form.isDirty()) return;
    form.setValues(Object.fromEntries(Object.entries(proposed).map(([field, at]) => [field, fieldOf(at + ahead)])));
    form.resetDirty();
    // Once, when the form comes up: what was typed since is the person's own.
    // oxlint-disable-next-line react/exhaustive-deps
  }, []);
}
