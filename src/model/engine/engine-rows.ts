import { DomainError } from '@/core/units';
import { boltSetState, countingSets, lettingsGo } from '@/model/bolt/bolt-state';
import type { MeasuredSet } from '@/model/bolt/bolt-set';
import { openBolts } from '@/model/bolt/open-bolts';
import { roundState, type RoundState } from '@/core/tightening';
import { pageGuardsOfWhole } from '@/model/book/page-guards';
import { currentLeaves } from '@/model/book/current-leaves';
import type { Leaf } from '@/model/book/leaf';
import { turnsOfLeaf } from '@/model/book/leaf-figure';
import type { Source } from '@/model/book/source';
import type { Fit, FitLine } from '@/model/fit/fit';
import { contextOf } from '@/model/fit/fit-context';
import { pagesOf } from '@/model/fit/fit-page';
import { cancelledIn } from '@/model/fit/fit-fold';
import type { FitContext } from '@/model/fit/fit-context';
import { fitState } from '@/model/fit/fit-state';
import type { FitState } from '@/model/fit/place-state';
import type { HeatLog } from '@/model/heat/heat-log';
import type { Joint } from '@/model/joint/joint';
import { kindAmong } from '@/model/joint/kind-places';
import { jointOfKind, leafIdsOf } from '@/model/joint/fastener-kind';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { endsInTurn, type PlannedFigure, type TighteningPlan } from '@/model/joint/tightening-plan';
import { isNoteOf, type NotedThing, type NoteWithPhotos } from '@/model/note';
import type { SetAside } from '@/model/set-aside';
import type { RecordedEvent, Tightening } from '@/model/joint/tightening';
import { decidingOf, isSettled, placesChanged } from '@/model/joint/sheet-changes';
import { shelvesFor, type Shelves } from '@/model/shelf/shelves';
import type { BuildLine } from '@/model/order/build-line';
import { latest, openedAt, openingsOf, type Opening } from '@/model/order/openings';
import { isFinalRound } from '@/model/order/rounds-of-joint';
import { orderState } from '@/model/order/order-state';
import type { Part } from '@/model/order/part';
import type { Step } from '@/model/order/step';
import type { Engine } from './engine';
import type { JointState, TighteningState } from '@/model/joint/joint-state';
import { retorqueOf, type EngineState } from './engine-state';

/** Everything that was written of one engine, but for its photographs and its measures. */
export interface EngineRows {
  readonly engine: Engine;
  readonly sources: readonly Source[];
  /** Of the engine, its joints and its fits, the oldest first. */
  readonly notes: readonly NoteWithPhotos[];
  /** What is no longer worked with, the oldest first. */
  readonly asides: readonly SetAside[];
  /** Corrected ones too, the oldest first. */
  readonly leaves: readonly Leaf[];
  readonly joints: readonly Joint[];
  readonly tightenings: readonly Tightening[];
  readonly events: ReadonlyMap<string, readonly RecordedEvent[]>;
  readonly heat: HeatLog;
  /** Sets of bolts tightened by stretch, each with its lengths; of its joints, the oldest first. */
  readonly bolts: readonly MeasuredSet[];
  readonly fits: readonly Fit[];
  readonly lines: ReadonlyMap<string, readonly FitLine[]>;
  /** The order of its build: steps, the tray, and what was done; as they lie in the file. */
  readonly order: BuildRows;
}

/** Where lines left a round: a list of lines is never added to, another is made, so that it holds for that list. */
const leftAt = new WeakMap<readonly RecordedEvent[], { readonly plan: TighteningPlan; readonly state: RoundState }>();

/** A going-round with its lines, and where they leave it. */
export function tighteningState(tightening: Tightening, events: readonly RecordedEvent[]): TighteningState {
  const { plan } = tightening;
  const known = leftAt.get(events);
  if (known?.plan === plan) return { tightening, events, state: known.state };
  const state = roundState(plan.steps, events, plan.positions.length, plan.asksOver);
  leftAt.set(events, { plan, state });
  return { tightening, events, state };
}

/** What is written down of the order of a build. */
export interface BuildRows {
  readonly steps: readonly Step[];
  readonly parts: readonly Part[];
  readonly buildLines: readonly BuildLine[];
}

/** A round that was begun before its joint was opened up counts no more, whatever was pulled in it since. */
const isSince =
  (opened: string) =>
  ({ tightening }: TighteningState): boolean =>
    tightening.startedAt > opened;

/** Rounds after the last one that let the nuts be other than final: pulled for trial, for a reading, to size a bush. */
function sinceTrial(rounds: readonly TighteningState[]): readonly TighteningState[] {
  const last = rounds.findLastIndex((round) => !isFinalRound(round) && round.state.last !== undefined);
  return rounds.slice(last + 1);
}

/**
 * The going-round that counts. One that was begun and never pulled in touches no nut: what stood before it still stands,
 * and can be gone on with.
 */
function finalOf(rounds: readonly TighteningState[]): TighteningState | undefined {
  const finals = rounds.filter(({ tightening }) => tightening.purpose === 'final');
  return finals.findLast(({ events }) => events.length > 0) ?? finals.at(-1);
}

/** Whether page, thread or films of fasteners are others on the sheet than those that they were pulled with. */
function isFigureChanged(joint: Joint, leaf: Leaf | undefined, pulled: PlannedFigure): boolean {
  const sheet = decidingOf(joint, leaf?.printedText ?? pulled.leaf.printedText);
  if (isSettled(joint.detail.changeMeans, pulled.ladder.target_Nm, sheet)) return false;
  return (
    pulled.thread !== sheet.thread ||
    pulled.leaf.printedText !== sheet.printedText ||
    (pulled.films !== undefined && (pulled.films.thread !== sheet.threadFilm || pulled.films.head !== sheet.headFilm))
  );
}

/**
 * Whether what decides a figure is another on the sheet than in the round that counts, as far as rows alone tell: the
 * page, the thread, the films, and which fasteners are of which kind. The sheet itself compares the figures too.
 */
function isChanged(joint: Joint, leaves: readonly Leaf[], round: TighteningState | undefined): boolean {
  if (!round || round.events.length === 0) return false;
  const { plan } = round.tightening;
  const leafOf = ({ leafId }: Pick<Joint, 'leafId'>) => leaves.find(({ id }) => id === leafId);
  const pairs = joint.detail.kinds.flatMap((kind) => {
    const pulled = kindAmong(plan.kinds, kind);
    return pulled ? [{ pulled, of: jointOfKind(joint, kind) }] : [];
  });
  return (
    placesChanged(plan, joint).length > 0 ||
    [{ pulled: plan, of: joint }, ...pairs].some(({ pulled, of }) => isFigureChanged(of, leafOf(of), pulled))
  );
}

/** Rows are never altered, so what follows from them is worked out once for as long as they are held. */
function oncePerRows<T>(work: (rows: EngineRows) => T): (rows: EngineRows) => T {
  const known = new WeakMap<EngineRows, { readonly value: T }>();
  return (rows) => {
    const found = known.get(rows) ?? { value: work(rows) };
    known.set(rows, found);
    return found.value;
  };
}

/** The joints that were opened up in the order, worked out once for as long as the rows are held. */
const openingsIn = oncePerRows(({ order }: EngineRows) => openingsOf(order.buildLines));

/** What of a joint is tightened by stretch, and which of its bolts are not inside theirs. */
function stretchOf(
  rows: EngineRows,
  { id }: Joint,
  since: readonly TighteningState[],
  final: TighteningState | undefined,
): JointState['stretch'] {
  const sets = countingSets(rows.bolts.filter(({ set }) => set.jointId === id));
  const begun = since.filter(({ tightening, state }) => tightening.purpose !== 'retorque' && state.last !== undefined);
  const from = latest([openedAt(openingsIn(rows), id), ...begun.map(({ tightening }) => tightening.startedAt)]);
  const pulled = { isPulled: final?.state.last !== undefined, from };
  return sets.map((one) => {
    const state = boltSetState(one);
    return { ...state, open: openBolts(state, pulled) };
  });
}

/** Where one joint of an engine stands. */
export function jointStateOf(rows: EngineRows, joint: Joint): JointState {
  const { engine, leaves, sources, heat, tightenings, events } = rows;
  const rounds = tightenings
    .filter(({ jointId }) => jointId === joint.id)
    .map((tightening) => tighteningState(tightening, events.get(tightening.id) ?? []));
  const since = rounds.filter(isSince(openedAt(openingsIn(rows), joint.id)));
  const counting = sinceTrial(since);
  const lastPulled = since.findLast(({ state }) => state.last !== undefined);
  const final = finalOf(counting);
  const made = new Set(leafIdsOf(joint));
  // What an angle has done, or will do, no figure goes over again.
  const byAngle = final
    ? endsInTurn(final.tightening.plan)
    : leaves.some((leaf) => made.has(leaf.id) && turnsOfLeaf(leaf).length > 0);
  return {
    joint,
    tightenings: rounds,
    final,
    openRetorque: counting.findLast(({ tightening, state }) => tightening.purpose === 'retorque' && !state.complete),
    ...(lastPulled && !lastPulled.state.complete && { halfPulled: lastPulled }),
    retorque: retorqueOf(engine, byAngle ? { ...joint, retorqueSchool: 'none' } : joint, heat, { rounds, final }),
    isChanged: isChanged(joint, leaves, final),
    stretch: stretchOf(rows, joint, since, final),
    page: pageGuardsOfWhole(engine, leaves, sources, joint),
  };
}

interface Stood {
  readonly by: string;
  readonly state: FitState;
}

/** Where a fit stood by its lines, and by what else it was judged: it is told by that again as long as both are the same. */
const stood = new WeakMap<readonly FitLine[], Stood>();

function stateByLines(fit: Fit, lines: readonly FitLine[], context: FitContext): FitState {
  const by = JSON.stringify([fit, context]);
  const known = stood.get(lines);
  if (known?.by === by) return known.state;
  const state = fitState(fit, lines, context);
  stood.set(lines, { by, state });
  return state;
}

/** When what a fit was read in was opened up: in the order, or by letting go of bolts to read them. */
export const openingsOfFits = (lines: readonly BuildLine[], bolts: readonly MeasuredSet[]): readonly Opening[] => [
  ...openingsOf(lines),
  ...lettingsGo(bolts),
];

/** Every fit of an engine with where it stands. */
export const fitsOf = oncePerRows(
  ({ fits, lines, joints, tightenings, leaves, sources, order, bolts }: EngineRows): readonly FitState[] => {
    const openings = openingsOfFits(order.buildLines, bolts);
    const pageOf = pagesOf(leaves, sources);
    return fits.map((fit) =>
      stateByLines(fit, lines.get(fit.id) ?? [], contextOf(fit, pageOf(fit), joints, tightenings, openings)),
    );
  },
);

const CUTS: ReadonlySet<string> = new Set(['bore-cut', 'journal-cut']);

/** When a bore or a journal of the engine was cut, as its fits have it. */
const cutAt = ({ lines }: EngineRows): readonly string[] =>
  [...lines.values()].flatMap((own) => {
    const cancelled = cancelledIn(own);
    return own.flatMap((line) =>
      line.kind === 'change' && CUTS.has(line.body.change) && !cancelled.has(line.id)
        ? [line.recordedAt ?? line.at]
        : [],
    );
  });

/** Where one engine stands in everything. */
export const engineStateOf = oncePerRows((rows: EngineRows): EngineState => {
  const joints = rows.joints.map((joint) => jointStateOf(rows, joint));
  const fits = fitsOf(rows);
  const { steps, parts, buildLines } = rows.order;
  return {
    engine: rows.engine,
    heat: rows.heat,
    fits,
    leaves: currentLeaves(rows.leaves).length,
    joints,
    order: orderState({ steps, parts, lines: buildLines, joints, fits, cutAt: cutAt(rows) }),
  };
});

/** What a joint's figure is computed from. @throws DomainError not-found */
export function inputsOf(
  { engine, leaves, sources }: Pick<EngineRows, 'engine' | 'leaves' | 'sources'>,
  joint: Joint,
  shelves: Shelves,
  now: number,
): JointInputs {
  const leafNamed = (leafId: string) => {
    const leaf = leaves.find(({ id }) => id === leafId);
    const source = leaf && sources.find(({ id }) => id === leaf.sourceId);
    return leaf && source ? { leaf, source } : undefined;
  };
  const own = leafNamed(joint.leafId);
  if (!own) throw new DomainError('not-found', 'The entry that this joint is made from is missing.', 'leafId');
  if (!shelves.wrenches.some((one) => one.id === joint.wrenchId))
    throw new DomainError('not-found', 'That wrench is not on the shelf.', 'wrenchId');
  const kindLeaves = leafIdsOf(joint)
    .slice(1)
    .flatMap((id) => leafNamed(id) ?? []);
  return { joint, ...own, kindLeaves, shelves: shelvesFor(shelves, engine), now };
}

/** The notes of one thing of an engine. */
export const notesOf = ({ notes }: Pick<EngineRows, 'notes'>, of: NotedThing): readonly NoteWithPhotos[] =>
  notes.filter(isNoteOf(of));
