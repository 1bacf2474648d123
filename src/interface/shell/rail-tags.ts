import type { EngineTag } from './rail';

const MAX = 6;

/** Those that hang on the rail: the latest worked on and the one being looked at, in their usual order. */
export function hungTags(tags: readonly EngineTag[], at: string | undefined): readonly EngineTag[] {
  if (tags.length <= MAX) return tags;
  const latest = new Set([...tags].sort((a, b) => b.stamp - a.stamp).slice(0, MAX));
  return tags.filter((tag) => tag.id === at || latest.has(tag));
}
