const MAX = 6;

/** An engine, and how lately it was worked on. */
interface Hung {
  readonly engineId: string;
  readonly stamp: number;
}

/** Those that hang on the rail: the latest worked on and the one being looked at, in their usual order. */
export function hungTags<T extends Hung>(engines: readonly T[], at: string | undefined): readonly T[] {
  if (engines.length <= MAX) return engines;
  const latest = new Set([...engines].sort((a, b) => b.stamp - a.stamp).slice(0, MAX));
  return engines.filter((engine) => engine.engineId === at || latest.has(engine));
}
