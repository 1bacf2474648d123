import { writtenAt, type BuildLine } from './build-line';
import { restsOn } from './rests-on';
import type { Step } from './step';
import type { DoneFact } from './step-facts';

/** A stretch of the line that is gone through loose first. */
export interface Trial {
  /** Not taken apart again yet. */
  readonly isGoing: boolean;
  /** The steps that are tried: those up to the chosen one that were not done for good. */
  readonly stretch: ReadonlySet<string>;
  readonly upTo: string;
  /** All of it was tried: it is to be taken apart. */
  readonly isTried: boolean;
  /** Taken apart, and not cleaned since. */
  readonly asksClean: boolean;
}

const isGood = (done: ReadonlyMap<string, DoneFact>, id: string) => done.get(id)?.isTrial === false;

/** The trial build that is going, or the last one where what was tried is not clean yet. */
export function trialOf(
  steps: readonly Step[],
  lines: readonly BuildLine[],
  done: ReadonlyMap<string, DoneFact>,
): Trial | undefined {
  const begun = lines.findLast(({ kind }) => kind === 'trial');
  if (begun?.kind !== 'trial') return undefined;
  const { upTo } = begun.body;
  const since = lines.slice(lines.indexOf(begun) + 1);
  const stripped = since.find(({ kind }) => kind === 'stripped');
  const stretch = new Set([...restsOn(steps, upTo), upTo].filter((id) => !isGood(done, id)));
  if (!stripped)
    return { isGoing: true, stretch, upTo, asksClean: false, isTried: [...stretch].every((id) => done.has(id)) };
  const cleaned =
    since.slice(since.indexOf(stripped)).some(({ kind }) => kind === 'cleaned') ||
    steps.some(({ id, kind }) => kind === 'clean' && (done.get(id)?.movedAt ?? '') > writtenAt(stripped));
  return cleaned ? undefined : { isGoing: false, stretch, upTo, asksClean: true, isTried: false };
}
