import { inputTime } from '@/interface/figures/times';

/** A datetime-local field speaks of the clock on the wall; the record keeps UTC. */
export const isoOfField = (field: string): string => {
  const time = new Date(field);
  return Number.isNaN(time.getTime()) ? field : time.toISOString();
};

export const fieldOf = (at: number): string => inputTime(at);
