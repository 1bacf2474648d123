import { engineStateOf, type EngineRows } from '@/model/engine/engine-rows';
import { BEING_WORKED_OUT, UNREADABLE, summaryOf, type EngineSummary } from '@/model/engine/engine-summary';
import type { StampedEngine, Worked } from '../repositories/engine-summary-repository';
import type { Shop } from '../shop';
import { troubleOf } from '../trouble';

export interface SummarizedEngine extends StampedEngine {
  readonly summary: EngineSummary;
}

/** A page is shown whether or not it could be kept for the next one. */
function keepIfWritable(shop: Shop, edition: string, worked: readonly Worked[]): void {
  if (worked.length === 0) return;
  try {
    shop.summaries.keep(edition, worked);
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

/** As it was worked out or read the last time, by engine: a page asks for those of the whole shop. */
interface Mind {
  readonly edition: string;
  readonly engines: Map<string, { readonly stamp: number; readonly summary: EngineSummary }>;
  /** Every engine as it was read the last time, in order. */
  stands: readonly StampedEngine[];
  /**
   * The highest stamp that was seen. What the file kept of those at or under it was brought to mind: what is stale
   * below it the file did not have either.
   */
  upTo: number;
  lastLineAt?: string;
}

const minds = new WeakMap<Shop, Mind>();

function mindOf(shop: Shop, edition: string): Mind {
  const known = minds.get(shop);
  if (known?.edition === edition && !shop.db.inTransaction) return known;
  const empty: Mind = { edition, engines: new Map(), stands: [], upTo: 0 };
  // What a transaction writes may yet be taken back, and its stamps with it.
  if (!shop.db.inTransaction) minds.set(shop, empty);
  return empty;
}

/** Those of before, what was written of since in its place; undefined where one went, came, or has another place. */
function readOn(before: readonly StampedEngine[], since: readonly StampedEngine[], inAll: number) {
  if (before.length !== inAll) return undefined;
  const placeOf = new Map(since.map((engine) => [engine.engineId, engine]));
  const now = before.map((engine) => {
    const written = placeOf.get(engine.engineId);
    if (written?.createdAt !== engine.createdAt) return engine;
    placeOf.delete(engine.engineId);
    return written;
  });
  return placeOf.size === 0 ? now : undefined;
}

/**
 * Every engine, in order. Those that were written of since the last look are read, which those are that have a higher
 * stamp than any had then; where one came, went, or was put there again, all are.
 */
function stampedIn(shop: Shop, mind: Mind): readonly StampedEngine[] {
  const since = shop.summaries.writtenAfter(mind.upTo, mind.edition);
  const written = since.engines.map(({ body, ...engine }): StampedEngine => {
    if (body !== undefined)
      mind.engines.set(engine.engineId, { stamp: engine.stamp, summary: JSON.parse(body) as EngineSummary });
    return engine;
  });
  const now = mind.upTo === 0 ? written : readOn(mind.stands, written, since.inAll);
  mind.upTo = written.reduce((highest, { stamp }) => Math.max(highest, stamp), mind.upTo);
  mind.lastLineAt = since.lastLineAt;
  if (now) return (mind.stands = now);
  mind.upTo = 0;
  return stampedIn(shop, mind);
}

/**
 * When the line was written that was written last, by the server's clock of then, as it was when the engines were last
 * asked for; undefined in a shop without a line.
 */
export const lastLineAt = (shop: Shop): string | undefined => minds.get(shop)?.lastLineAt;

/** So many are worked out while a page waits for them; an engine of twenty joints takes about a twelfth of a second. */
const LATEST = 12;

interface Asked {
  /** Of the engines written of last: those that hang on the rail are always among them. */
  readonly latest?: number;
  /** Of those of which nothing is known yet, whichever they are. */
  readonly more?: number;
}

/**
 * What each engine's tag and strip say: as it was last worked out where no row of the engine was written since, else
 * worked out now from its rows and kept. Where it is so of more than a few, as after a new edition of the program, the
 * others are said to be `BEING_WORKED_OUT`: whoever asks goes on with them.
 */
export function engineSummaries(
  shop: Shop,
  edition: string,
  rowsOf: (engineId: string) => EngineRows | undefined,
  { latest = LATEST, more = 0 }: Asked = {},
): readonly SummarizedEngine[] {
  const mind = mindOf(shop, edition);
  const engines = stampedIn(shop, mind);
  const isStale = ({ engineId, stamp }: StampedEngine) => mind.engines.get(engineId)?.stamp !== stamp;
  const byStamp = [...engines].sort((a, b) => b.stamp - a.stamp);
  const now = [...byStamp.slice(0, latest).filter(isStale), ...byStamp.slice(latest).filter(isStale).slice(0, more)];
  const worked: Worked[] = [];
  for (const { engineId, stamp } of now) {
    const summary = readable(shop, () => {
      const rows = rowsOf(engineId);
      return rows && summaryOf(engineStateOf(rows));
    });
    if (!summary) continue;
    mind.engines.set(engineId, { stamp, summary });
    if (summary !== UNREADABLE) worked.push({ engineId, stamp, body: JSON.stringify(summary) });
  }
  keepIfWritable(shop, edition, worked);
  return engines.map((engine) => ({
    ...engine,
    summary: (isStale(engine) ? undefined : mind.engines.get(engine.engineId)?.summary) ?? BEING_WORKED_OUT,
  }));
}

/** The engines of which nothing is known yet. */
export const beingWorkedOut = (engines: readonly SummarizedEngine[]): number =>
  engines.filter(({ summary }) => summary === BEING_WORKED_OUT).length;
