import { engineStateOf, type EngineRows } from '@/model/engine/engine-rows';
import { UNREADABLE, summaryOf, type EngineSummary } from '@/model/engine/engine-summary';
import type { StampedEngine, Worked } from '../repositories/engine-summary-repository';
import type { Shop } from '../shop';
import { troubleOf } from '../trouble';

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
 * One engine whose rows cannot be read is said to be so; it takes no other with it. Trouble with the file as a whole
 * (held by another program, not readable) is no fault of the engine.
 * @throws ShopTrouble
 */
function readable(shop: Shop, work: () => EngineSummary | undefined): EngineSummary | undefined {
  try {
    return work();
  } catch (error) {
    const trouble = troubleOf(error, shop.file);
    if (trouble && trouble.code !== 'corrupt') throw trouble;
    console.error('The record of an engine cannot be read:', error);
    return UNREADABLE;
  }
}

/** As it was taken out of its text the last time, by engine: a page asks for those of the whole shop. */
const taken = new WeakMap<Shop, Map<string, { readonly body: string; readonly summary: EngineSummary }>>();

function summaryIn(shop: Shop, engineId: string, body: string): EngineSummary {
  const known = taken.get(shop) ?? new Map<string, { readonly body: string; readonly summary: EngineSummary }>();
  taken.set(shop, known);
  const last = known.get(engineId);
  if (last?.body === body) return last.summary;
  const summary = JSON.parse(body) as EngineSummary;
  known.set(engineId, { body, summary });
  return summary;
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
    if (body !== undefined) return [{ ...engine, summary: summaryIn(shop, engine.engineId, body) }];
    const summary = readable(shop, () => {
      const rows = rowsOf(engine.engineId);
      return rows && summaryOf(engineStateOf(rows));
    });
    if (!summary) return [];
    if (summary === UNREADABLE) return [{ ...engine, summary }];
    worked.push({ engineId: engine.engineId, stamp: engine.stamp, body: JSON.stringify(summary) });
    return [{ ...engine, summary }];
  });
  keepIfWritable(shop, build, worked);
  return summaries;
}
