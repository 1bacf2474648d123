import type { Guard } from '@/core/joint';
import type { Position } from '@/core/tightening';
import { currentLeaves } from '@/model/book/current-leaves';
import type { Leaf } from '@/model/book/leaf';
import { rankedLeaves, type RankedLeaf } from '@/model/book/source-precedence';
import { openBoltsWords } from '@/model/bolt/open-bolts';
import { numberWords, otherNumber } from '@/model/bolt/set-number';
import type { JointState } from '@/model/joint/joint-state';
import { engineStateOf, inputsOf, type EngineRows } from '@/model/engine/engine-rows';
import { gateOf } from '@/model/fit/fit-gate';
import { gateOfRound } from '@/model/order/gate-of-round';
import { turnsOfLeaf } from '@/model/book/leaf-figure';
import { turnsWords } from '@/model/joint/turns-words';
import { slopesSeen, type SlopeSeen } from '@/model/heat/slopes-of-round';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { computeJoint, computeKinds, filmsName, judgedWhole, prevailingOf } from '@/model/joint/joint-result';
import { shapeChanges, wholeChanges, type PulledWith } from '@/model/joint/sheet-changes';
import type { PlannedFigure } from '@/model/joint/tightening-plan';
import { shelvesFor, type Shelves } from '@/model/shelf/shelves';
import { retorqueLine, tighteningLine } from '@/interface/words/status-words';
import { todayFacts } from '@/model/joint/joint-ladder';
import { ownPlaces } from '@/model/joint/kind-places';
import { isOverdue } from '@/model/joint/joint-guards';
import { drawnByRule, passageOf } from '@/model/joint/clamp-left';
import { usesGuards, usesOf, type Uses } from '@/model/joint/uses';
import { tryCore } from '@/model/try-core';
import type { AsPulled } from './clamp-works';
import type { JointSummary } from './joints-screen';
import { answerSource, type AnswerSource } from './known-elsewhere';
import { leavesOfJoint, torqueLeaves } from '@/model/book/leaves-of-joint';

type JointFigures = Omit<JointSummary, 'status'>;

/** What is printed, what to set, and what is asked: all that does not go with the hour. */
function figuresOf(state: JointState, rows: EngineRows, shelves: Shelves, now: number): JointFigures {
  const { joint } = state;
  const gate = gateOf(engineStateOf(rows).fits, joint.id);
  const inputs = inputsOf(rows, joint, shelves, now);
  const worked = computeJoint(inputs);
  const { ladder, wrench } = worked;
  const kinds = computeKinds(inputs);
  const { guards: own, unknown } = judgedWhole(worked, kinds);
  const pulled = pulledWith(state);
  const guards = pulled ? [...own, ...wholeChanges(pulled, inputs, worked, kinds).guards] : own;
  const turns = turnsOfLeaf(inputs.leaf);
  return {
    id: joint.id,
    name: joint.name,
    printed: inputs.leaf.printedText,
    thread: joint.detail.today?.thread ?? joint.thread,
    fasteners: ownPlaces(joint).length,
    kinds: kinds.map(({ kind, inputs: of, worked: found }) => ({
      name: kind.name,
      count: kind.places.length,
      thread: todayFacts(of).thread,
      setting: found.ladder.setting.rounded,
      unit: found.wrench.unit,
      turns: turnsWords(turnsOfLeaf(of.leaf)),
    })),
    setting: ladder.setting.rounded,
    unit: wrench.unit,
    ...(turns.length > 0 && { turns: turnsWords(turns) }),
    delivered_Nm: ladder.setting.achieved_Nm,
    film: filmsName(inputs),
    done: state.final?.state.complete ?? false,
    filmRung: ladder.rungs.find((rung) => rung.id === 'film'),
    stops: [...guards, ...state.page].filter(({ severity }) => severity === 'stop').length + gate.held.length,
    asks: [...guards, ...state.page].filter(({ severity }) => severity === 'ask').length + gate.asks.length,
    unknown: unknown.length,
  };
}

interface KeptFigures {
  readonly shelves: Shelves;
  readonly overdue: string;
  readonly joints: readonly { readonly state: JointState; readonly figures: JointFigures }[];
}

const kept = new WeakMap<EngineRows, KeptFigures>();

/**
 * The figures of twenty joints are the same for as long as no row of the engine and none of the shelves is written, and
 * no wrench's check falls due: the hour comes into them by that alone.
 */
function figuresKept(rows: EngineRows, shelves: Shelves, now: number): KeptFigures['joints'] {
  const own = { shelves: shelvesFor(shelves, rows.engine), now };
  const overdue = own.shelves.wrenches.map((wrench) => (isOverdue(wrench, own) ? wrench.id : '')).join();
  const known = kept.get(rows);
  if (known?.shelves === shelves && known.overdue === overdue) return known.joints;
  const joints = engineStateOf(rows).joints.map((state) => ({ state, figures: figuresOf(state, rows, shelves, now) }));
  kept.set(rows, { shelves, overdue, joints });
  return joints;
}

/** Every joint of an engine: what is printed, what to set, where it stands. */
export const jointSummaries = (rows: EngineRows, shelves: Shelves, now: number): readonly JointSummary[] =>
  figuresKept(rows, shelves, now).map(({ state, figures }) => ({
    ...figures,
    status: `${tighteningLine(state, now)} ${retorqueLine(state, now)}`,
  }));

export interface Resume {
  readonly href: string;
  readonly line: string;
}

/** The places of another joint of the engine in no pattern, mm: those of a pattern were measured by nobody. */
export interface OtherShape {
  readonly id: string;
  readonly name: string;
  readonly places: readonly Position[];
}

export interface JointPage {
  readonly inputs: JointInputs;
  readonly status: string;
  readonly tight: boolean;
  readonly ranked: readonly RankedLeaf[];
  readonly otherLeaves: readonly Leaf[];
  /** Entries that give a torque, each with its source: any of them may be that of a kind of fastener. */
  readonly torques: JointInputs['kindLeaves'];
  /** How often what is in it was pulled. */
  readonly uses: Uses;
  readonly stretch: { readonly href: string; readonly line: string };
  readonly resume?: Resume;
  readonly engineLine: string;
  /** A nut of it was pulled: another number and pattern is one for the next round. */
  readonly pulled: boolean;
  /** A round of it is half pulled: its number and pattern stand until it is done. */
  readonly halfPulled: boolean;
  /** What the engine’s fits say to closing this joint up. */
  readonly against: readonly Guard[];
  readonly answers: AnswerSource;
  /** What the going-round that counts was pulled with, once a nut of it was. */
  readonly pulledWith?: PulledWith;
  /** The last round for good as it was pulled. */
  readonly asPulled?: AsPulled;
  readonly others: readonly OtherShape[];
  /** What the last pass shows of its own slope, and of that of its kinds by their names. */
  readonly slopes: Readonly<Record<string, SlopeSeen>>;
}

const pulledFigure = ({ filmName, thread, leaf, ladder }: PlannedFigure) => ({
  filmName,
  thread,
  leaf: { printedText: leaf.printedText },
  ladder: { target_Nm: ladder.target_Nm },
});

const pulledWith = ({ final }: JointState): PulledWith | undefined => {
  if (!final || final.events.length === 0) return undefined;
  const { kinds, ...own } = final.tightening.plan;
  return {
    ...pulledFigure(own),
    positions: own.positions,
    ...(kinds && { kinds: kinds.map((kind) => ({ name: kind.name, places: kind.places, ...pulledFigure(kind) })) }),
  };
};

/** The last round for good as it was pulled; none where the clamp map does not know enough of the joint to draw it. */
function asPulledOf({ joint, final }: JointState, inputs: JointInputs): AsPulled | undefined {
  const plan = final?.tightening.plan;
  if (!plan || final.events.length === 0 || joint.detail.clampMap === null || plan.care === 'hand') return undefined;
  // A joint whose fasteners lie elsewhere by now is another joint to the map.
  if (shapeChanges(plan.positions, joint).length > 0) return undefined;
  const passage = tryCore(() => passageOf(plan, final.state.done, prevailingOf(inputs)));
  return passage.ok ? { ...passage.result, drawn: drawnByRule(final.state.done) } : undefined;
}

/** `one set of bolts: 3 stretch short` */
function setsLine({ bolts }: EngineRows, { joint, stretch }: JointState): string {
  const sets = bolts.filter(({ set }) => set.jointId === joint.id && set.aside === undefined).length;
  const open = stretch.flatMap((one) => (one.open.length === 0 ? [] : [openBoltsWords(one.open, one.set)]));
  const miscounted = stretch.flatMap(({ set }) => {
    const fasteners = otherNumber(set, joint);
    return fasteners === undefined ? [] : [numberWords(set.bolts, fasteners)];
  });
  const many = sets === 0 ? 'no set of bolts yet' : sets === 1 ? 'one set of bolts' : `${sets} sets of bolts`;
  return [many, ...miscounted, ...open].join(': ');
}

/** One joint with everything its sheet needs, out of the engine's rows and the shelves. */
export function jointPage(rows: EngineRows, shelves: Shelves, jointId: string, now: number): JointPage | undefined {
  const state = engineStateOf(rows).joints.find(({ joint }) => joint.id === jointId);
  if (!state) return undefined;
  const { joint } = state;
  const { engine, leaves, sources } = rows;
  const line = tighteningLine(state, now);
  const { final } = state;
  const half = final && !final.state.complete;
  const speaking = leavesOfJoint(leaves, joint);
  const spoken = new Set(speaking.map((leaf) => leaf.id));
  const inputs = inputsOf(rows, joint, shelves, now);
  return {
    inputs,
    asPulled: asPulledOf(state, inputs),
    slopes: slopesSeen(state),
    others: rows.joints.flatMap(({ id, name, pattern, detail }) =>
      id !== joint.id && pattern === 'free' && detail.places ? [{ id, name, places: detail.places }] : [],
    ),
    torques: torqueLeaves(leaves).flatMap((leaf) => {
      const source = sources.find(({ id }) => id === leaf.sourceId);
      return source ? [{ leaf, source }] : [];
    }),
    status: `${line} ${retorqueLine(state, now)}`,
    tight: final?.state.complete ?? false,
    ranked: rankedLeaves(speaking, sources, engine),
    otherLeaves: currentLeaves(leaves).filter((leaf) => !spoken.has(leaf.id)),
    uses: usesOf(state),
    stretch: {
      href: `/engines/${engine.id}/joints/${joint.id}/stretch`,
      line: setsLine(rows, state),
    },
    against: [
      ...state.page,
      ...gateOfRound(engineStateOf(rows), joint.id, 'final').guards,
      ...usesGuards(state, inputs.shelves.practice),
    ],
    answers: answerSource(rows, joint, shelves),
    pulledWith: pulledWith(state),
    engineLine: [engine.name, engine.engineNumber].filter(Boolean).join(', '),
    pulled: state.tightenings.some(({ events }) => events.length > 0),
    halfPulled: state.halfPulled !== undefined,
    resume: half ? { href: `/face/${final.tightening.id}`, line: `Half way: ${line}` } : undefined,
  };
}
