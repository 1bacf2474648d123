import { engineStateOf, type EngineRows } from '@/model/engine/engine-rows';
import { summaryOf, type EngineSummary } from '@/model/engine/engine-summary';
import type { StampedEngine, Worked } from '../repositories/engine-summary-repository';
import type { Shop } from '../shop';

export type SummarizedEngine = Omit<StampedEngine, 'body'> & { readonly summary: EngineSummary };

/** A page is shown whether or not it could be kept for the next one. */
function keepIfWritable(shop: Shop, build: string, worked: readonly Worked[]): void {
  if (worked.length === 0) return;
  try {
    shop.summaries.keep(build, worked);
  } catch (error) {
    console.warn('What the engines wait for could not be kept:', error);
  }
}

/**
 * What each engine's tag and strip say, in one query: as it was last worked out where no row of the engine was written
 * since, else worked out now from its rows and kept.
 */
export function engineSummaries(
  shop: Shop,
  build: string,
  rowsOf: (engineId: string) => EngineRows | undefined,
): readonly SummarizedEngine[] {
  const worked: Worked[] = [];
  const summaries = shop.summaries.stamped(build).flatMap(({ body, ...engine }): readonly SummarizedEngine[] => {
    if (body !== undefined) return [{ ...engine, summary: JSON.parse(body) as EngineSummary }];
    const rows = rowsOf(engine.engineId);
    if (!rows) return [];
    const summary = summaryOf(engineStateOf(rows));
    worked.push({ engineId: engine.engineId, stamp: engine.stamp, body: JSON.stringify(summary) });
    return [{ ...engine, summary }];
  });
  keepIfWritable(shop, build, worked);
  return summaries;
}
