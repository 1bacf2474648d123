import { writtenAt, type BuildLine } from './build-line';
import type { Step } from './step';
import type { DoneFact } from './step-facts';

/** An aid that was signed in and not out. */
export interface AidIn {
  /** By which it is signed out: the line that put it in, and which of the aids of that line. */
  readonly key: string;
  readonly name: string;
  readonly count: number;
  /** Inside the engine: no written reason lets it be closed. */
  readonly inside: boolean;
  /** The step that put it in. */
  readonly stepId?: string;
}

const plain = (name: string) => name.trim().toLowerCase();

interface PutIn extends AidIn {
  readonly at: string;
}

/** Aids signed in by hand, and by steps as they were done: what was changed of a step since moves no aid. */
function putIn(steps: readonly Step[], lines: readonly BuildLine[], done: ReadonlyMap<string, DoneFact>): PutIn[] {
  const byHand = lines.flatMap((line) =>
    line.kind === 'aid-in' ? [{ key: line.id, ...line.body, at: writtenAt(line) }] : [],
  );
  const bySteps = steps.flatMap(({ id, detail }) => {
    const fact = done.get(id);
    if (!fact) return [];
    const at = fact.movedAt ?? fact.at ?? '';
    return (fact.line?.body.putsIn ?? detail.putsIn).map((aid, i) => ({
      key: `${fact.line?.id ?? id}:${i}`,
      ...aid,
      count: 1,
      stepId: id,
      at,
    }));
  });
  return [...byHand, ...bySteps];
}

/** What is in at this moment. */
export function aidsIn(
  steps: readonly Step[],
  lines: readonly BuildLine[],
  done: ReadonlyMap<string, DoneFact>,
): readonly AidIn[] {
  const out = new Map<string, number>();
  for (const line of lines)
    if (line.kind === 'aid-out') out.set(line.body.of, (out.get(line.body.of) ?? 0) + line.body.count);
  const takenOut = steps.flatMap(({ id, detail }) => {
    const fact = done.get(id);
    const names = fact?.line?.body.takesOut ?? detail.takesOut;
    return fact ? names.map((name) => ({ name: plain(name), at: fact.movedAt ?? fact.at ?? '' })) : [];
  });
  return putIn(steps, lines, done).flatMap(({ at, ...aid }): readonly AidIn[] => {
    const isOut = takenOut.some((one) => one.name === plain(aid.name) && one.at >= at);
    const left = aid.count - (out.get(aid.key) ?? 0);
    return isOut || left <= 0 ? [] : [{ ...aid, count: left }];
  });
}
