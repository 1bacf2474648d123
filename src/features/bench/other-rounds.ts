import type { EngineSummary } from '@/model/engine/engine-summary';

/** A round that was begun and can be taken up. */
export interface OtherRound {
  readonly id: string;
  readonly engine: string;
  /** What its engine's tag says of it: `Cylinder head: number 3, stage 2`. */
  readonly line: string;
}

interface Summarized {
  readonly name: string;
  /** Where it lies aside. */
  readonly aside?: object;
  readonly summary: EngineSummary;
}

/** Every round that is under way on the stands, but the one that is looked at. */
export const otherRounds = (engines: readonly Summarized[], own: string): readonly OtherRound[] =>
  engines.flatMap(({ name, aside, summary }) =>
    (aside ? [] : summary.waits).flatMap(({ to, waitsFor }): readonly OtherRound[] =>
      to?.at === 'round' && to.id !== own ? [{ id: to.id, engine: name, line: waitsFor }] : [],
    ),
  );
