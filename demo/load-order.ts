import type { Shop } from '@/db/shop';
import type { BuildLine } from '@/model/order/build-line';
import { PLAIN_PART, type Part, type PartDetail } from '@/model/order/part';
import { STARTS, type StartId, type StartStep } from '@/model/order/starts';
import { USUAL_PRACTICE } from '@/model/practice/house-practice';
import { stepsOfStart, type Meeting } from '@/model/order/steps-of-start';

/** A part of the yard; the step that it goes to by key. */
export interface YardPart extends Pick<Part, 'id' | 'name' | 'need'> {
  readonly step?: string;
  readonly here?: number;
  readonly mark?: string;
  readonly bag?: string;
  readonly origin?: Part['origin'];
  readonly condition?: Part['condition'];
  readonly detail?: Partial<PartDetail>;
  readonly checked?: readonly string[];
  readonly ordered?: string;
}

type Untimed<Line> = Line extends unknown ? Omit<Line, 'id' | 'at' | 'recordedAt'> : never;

/** The order of an engine of the yard: a line to start from, how far it is done, and what lies on its tray. */
export interface YardOrder {
  readonly start: StartId;
  readonly meeting: Meeting;
  /** Minutes ago at which steps were done, by key, in the order of the line; those between lie between. */
  readonly doneMinutesAgo: Readonly<Record<string, number>>;
  /** Keys of the steps that are not done. */
  readonly open: readonly string[];
  /** Keys of the steps that were done for trial. */
  readonly tried?: readonly string[];
  readonly trialUpTo?: string;
  readonly felt?: Readonly<Record<string, string>>;
  readonly lies?: Readonly<Record<string, string>>;
  readonly parts: readonly YardPart[];
  readonly lines?: readonly (Untimed<BuildLine> & { readonly minutesAgo: number })[];
}

type Before = (minutesAgo: number) => string;

function loadParts(shop: Shop, engineId: string, parts: readonly YardPart[], before: Before): void {
  parts.forEach(({ id, name, need, step, checked, ordered, detail, ...given }, i) => {
    shop.build.addPart({
      id,
      engineId,
      stepId: step === undefined ? null : `${engineId}-${step}`,
      name,
      need,
      here: given.here ?? need,
      mark: given.mark ?? '',
      serial: '',
      bag: given.bag ?? '',
      origin: given.origin ?? 'taken-off',
      condition: given.condition ?? 'good',
      detail: { ...PLAIN_PART, ...detail },
      version: 1,
      createdAt: before(30_000 - i),
    });
    const write = (line: BuildLine) => void shop.build.record(engineId, line, line.at);
    if (checked)
      write({ id: `${id}-checked`, kind: 'part-checked', partId: id, body: { checked }, at: before(20_000) });
    if (ordered !== undefined)
      write({ id: `${id}-ordered`, kind: 'part-order', partId: id, body: { words: ordered }, at: before(9000) });
  });
}

/** How long ago a step of the line was done, between the steps of which it is said. */
function minutesBetween(keys: readonly string[], said: YardOrder['doneMinutesAgo']): (place: number) => number {
  const known = Object.entries(said).map(([key, ago]) => [keys.indexOf(key), ago] as const);
  return (place) => {
    const before = known.findLast(([at]) => at <= place) ?? known[0];
    const next = known.find(([at]) => at > place) ?? before;
    if (!before || !next || next[0] === before[0]) return before?.[1] ?? 0;
    return before[1] + ((next[1] - before[1]) * (place - before[0])) / (next[0] - before[0]);
  };
}

/** Loads an order as it would have been written, a line a step. */
export function loadOrder(shop: Shop, engineId: string, order: YardOrder, before: Before): void {
  const drafts: readonly StartStep[] = STARTS[order.start].steps;
  const keys = drafts.map(({ key }) => key);
  const ids = keys.map((key) => `${engineId}-${key}`);
  const steps = stepsOfStart(order.start, engineId, order.meeting, {
    freshId: () => ids.shift() ?? '',
    nowIso: before(35_000),
    practice: USUAL_PRACTICE,
  });
  steps.forEach((step, i) => {
    const lies = order.lies?.[keys[i] ?? ''];
    shop.build.addStep(lies === undefined ? step : { ...step, detail: { ...step.detail, lies } });
  });
  loadParts(shop, engineId, order.parts, before);
  const write = (line: BuildLine) => void shop.build.record(engineId, line, line.at);
  const minutesAgo = minutesBetween(keys, order.doneMinutesAgo);
  steps.forEach((step, i) => {
    const key = keys[i] ?? '';
    if (step.jointId !== null || step.fitId !== null || order.open.includes(key)) return;
    const ago = minutesAgo(i);
    const isTried = order.tried?.includes(key) ?? false;
    if (isTried && key === order.tried?.[0])
      write({
        id: `${engineId}-trial`,
        kind: 'trial',
        body: { upTo: `${engineId}-${order.trialUpTo ?? ''}` },
        at: before(ago + 1),
      });
    const felt = order.felt?.[key] ?? (step.kind === 'freedom' ? 'free all round, both ways' : undefined);
    const set = step.kind === 'timing' ? 'by the marks, seen again after two turns' : undefined;
    const { putsIn, takesOut } = step.detail;
    const body = {
      putsIn,
      takesOut,
      ...(set !== undefined && { set }),
      ...(felt !== undefined && { felt }),
      ...(isTried && { trial: true as const }),
    };
    write({ id: `${step.id}-done`, kind: 'done', stepId: step.id, body, at: before(ago) });
  });
  for (const [i, { minutesAgo: ago, ...line }] of (order.lines ?? []).entries())
    write({ ...line, id: `${engineId}-line-${i}`, at: before(ago) });
}
