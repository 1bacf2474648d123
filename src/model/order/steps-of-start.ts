import type { Fit } from '@/model/fit/fit';
import type { Joint } from '@/model/joint/joint';
import type { HousePractice } from '@/model/practice/house-practice';
import { bySchool } from './by-school';
import { STARTS, type StartId, type StartStep } from './starts';
import { PLAIN_STEP, type Step } from './step';
import { plainWords } from '@/model/plain-words';

type Named = Pick<Joint | Fit, 'id' | 'name'>;

/** Which of the engine's joints, or fits, take a step of a start; by key of the step. */
export type Meeting = Readonly<Record<string, string | null>>;

/** The longest word of a step that stands in a name; 0 where none does. */
const meets = ({ meets: words }: StartStep, { name }: Named): number =>
  Math.max(0, ...words.filter((word) => plainWords(name).includes(plainWords(word))).map(({ length }) => length));

/**
 * The joints and fits of an engine take their places in a start by their names, the closest first; each takes one. A
 * proposal, to be agreed.
 */
export function proposedMeeting(
  start: StartId,
  { joints, fits }: { readonly joints: readonly Named[]; readonly fits: readonly Named[] },
): Meeting {
  const steps: readonly StartStep[] = STARTS[start].steps;
  const pairs = steps
    .filter(({ kind }) => kind === 'joint' || kind === 'fit')
    .flatMap((step) =>
      (step.kind === 'joint' ? joints : fits).map((one) => ({ key: step.key, id: one.id, close: meets(step, one) })),
    )
    .filter(({ close }) => close > 0)
    .sort((a, b) => b.close - a.close);
  const [taken, met] = [new Set<string>(), new Map<string, string>()];
  for (const { key, id } of pairs)
    if (!met.has(key) && !taken.has(id)) {
      met.set(key, id);
      taken.add(id);
    }
  return Object.fromEntries(met);
}

interface Made {
  readonly freshId: () => string;
  readonly nowIso: string;
  /** What the shop does where a step leaves it open. */
  readonly practice: HousePractice;
}

/** The steps of a start for one engine, with ids of their own. */
export function stepsOfStart(
  start: StartId,
  engineId: string,
  meeting: Meeting,
  { freshId, nowIso, practice }: Made,
): readonly Step[] {
  const steps: readonly StartStep[] = STARTS[start].steps;
  const ids = new Map(steps.map(({ key }) => [key, freshId()]));
  const idsOf = (keys: readonly string[]) => keys.flatMap((key) => ids.get(key) ?? []);
  return steps.map(({ key, kind, name, branch, after, notUntil, purpose, ...detail }, i): Step => {
    const { makes, putsIn, takesOut, surfaces, kit, people, caution, words, by } = detail;
    const decided = bySchool({ makes, surfaces, kit, caution, words, by }, practice);
    const met = meeting[key] ?? null;
    return {
      id: ids.get(key) ?? key,
      engineId,
      place: i + 1,
      kind,
      name,
      branch,
      jointId: kind === 'joint' ? met : null,
      purpose: kind === 'joint' ? (purpose ?? 'final') : null,
      fitId: kind === 'fit' ? met : null,
      leafId: null,
      after: idsOf(after),
      notUntil: idsOf(notUntil),
      detail: { ...PLAIN_STEP, putsIn, takesOut, people, ...decided },
      version: 1,
      createdAt: nowIso,
    };
  });
}
