import type { SummarizedEngine } from '@/db/reads/engine-summaries';
import type { Aside } from '@/model/engine/engine';
import { STOPS, type EngineSummary, type StopId } from '@/model/engine/engine-summary';
import type { Stop } from '@/interface/shell/order-strip';
import type { EngineTag } from '@/interface/shell/rail';
import { screenOf, waitLine } from './wait-line';

/** An engine that lies aside. */
export interface AsideEngine extends Aside {
  readonly id: string;
  readonly name: string;
}

/** The engines that lie aside: put aside last, first. */
export const asideEngines = (engines: readonly SummarizedEngine[]): readonly AsideEngine[] =>
  engines
    .flatMap(({ engineId, name, aside }) => (aside ? [{ id: engineId, name, ...aside }] : []))
    .sort((a, b) => b.at.localeCompare(a.at));

export const onStands = (engines: readonly SummarizedEngine[]): readonly SummarizedEngine[] =>
  engines.filter(({ aside }) => !aside);

/** A tag for each engine, and what it waits for. */
export const engineTags = (engines: readonly SummarizedEngine[], now: number): readonly EngineTag[] =>
  engines.map(
    ({
      engineId,
      name,
      preferredUnit,
      summary: {
        waits: [wait],
      },
    }) => ({
      id: engineId,
      name,
      unit: preferredUnit,
      href: screenOf(engineId, wait.to),
      state: wait.state,
      waitsFor: waitLine(wait, now),
    }),
  );

const STOP_NAMES: Readonly<Record<StopId, string>> = {
  book: 'Book',
  joints: 'Joints',
  fits: 'Fits',
  order: 'Order',
  tighten: 'Tighten',
  'run-in': 'Run-in',
  record: 'Record',
};

/** What the count of each stop counts. */
const COUNTED: Readonly<Record<StopId, string>> = {
  book: 'used',
  joints: 'begun',
  fits: 'proven',
  order: 'done',
  tighten: 'tight',
  'run-in': 'gone over',
  record: 'complete',
};

/** The stops of the work on one engine, with what is done of each. */
export const stopsOf = (engineId: string, { progress }: EngineSummary): readonly Stop[] =>
  STOPS.map((stop) => ({
    name: STOP_NAMES[stop],
    href: `/engines/${engineId}/${stop}`,
    counts: COUNTED[stop],
    ...progress[stop],
  }));
