import type { Film } from '@/core/film';
import type { FilmTrial } from '@/core/statistics';

const round = (value: number) => Number(value.toFixed(4));

/**
 * The shop's own film from a trial: the middle at the mean of logarithms, the ends where the next bolt lies.
 * It takes the place of the shelf's film of the same id; the shipped row stays beneath. Undefined for a single bolt.
 */
export function ownFilm(shelf: Film, trial: FilmTrial, source: string): Film | undefined {
  if (!trial.nextMu || !(trial.nextMu.low > 0)) return undefined;
  const friction = { low: round(trial.nextMu.low), middle: round(trial.mu), high: round(trial.nextMu.high) };
  return { ...shelf, thread: friction, head: friction, provenance: 'own', source };
}
