import type { Step } from './step';

/** Every step that one rests on, directly or through others. */
export function restsOn(steps: readonly Step[], id: string): ReadonlySet<string> {
  const named = new Map(steps.map((step) => [step.id, step]));
  const before = new Map<string, string[]>(steps.map(({ id: own, after }) => [own, [...after]]));
  for (const { id: own, notUntil } of steps) for (const later of notUntil) before.get(later)?.push(own);
  const found = new Set<string>();
  const left = [...(before.get(id) ?? [])];
  for (let next = left.pop(); next !== undefined; next = left.pop()) {
    if (found.has(next) || !named.has(next)) continue;
    found.add(next);
    left.push(...(before.get(next) ?? []));
  }
  return found;
}
