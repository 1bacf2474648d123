import { roundState, tighteningPlan } from '@/core/tightening';
import type { EngineState } from '@/model/engine/engine-state';
import type { JointState } from '@/model/joint/joint-state';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { crankHeld, type CrankHeld } from '@/model/order/crank';
import { engineStateNow } from '@/server/engine-now';
import type { Engine } from '@/model/engine/engine';
import type { Joint } from '@/model/joint/joint';
import { inputsOf } from '@/model/engine/engine-rows';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { leafIdsOf } from '@/model/joint/fastener-kind';
import { computeJoint, computeKinds } from '@/model/joint/joint-result';
import { shapeOfPlan } from '@/model/joint/joint-shape';
import { wholeChanges } from '@/model/joint/sheet-changes';
import { tryCore } from '@/model/try-core';
import type { RecordedEvent, Tightening } from '@/model/joint/tightening';
import type { Shop } from '@/db/shop';
import { retorqueLine, tighteningLine } from '@/interface/words/status-words';
import { knownOfPlaces, type KnownOfPlaces } from './known-of-places';
import { OPENED_SINCE, openedSince } from './opened-since';
import type { TightenLine } from './tighten-screen';

export interface FacePage {
  readonly tightening: Tightening;
  readonly events: readonly RecordedEvent[];
  readonly joint: Joint;
  readonly engine: Engine;
  readonly changed?: ChangedSince;
  readonly held?: CrankHeld;
  readonly known: KnownOfPlaces;
}

/** What was changed since a round was begun, and the way to where that is said what it means. */
export interface ChangedSince {
  readonly words: string;
  readonly act: string;
}

/** What a joint is reckoned from today; undefined where its page or its shelf no longer says it. */
function inputsToday(shop: Shop, { joint, engine }: Pick<FacePage, 'joint' | 'engine'>, now: number) {
  const leaves = shop.book.leavesByIds([...new Set(leafIdsOf(joint))]);
  const sources = shop.book.sourcesByIds([...new Set(leaves.map(({ sourceId }) => sourceId))]);
  const shelves = shelvesOf(shop);
  const inputs = tryCore(() => inputsOf({ engine, leaves, sources }, joint, shelves, now));
  return inputs.ok ? inputs.result : undefined;
}

/**
 * What was changed on the sheet since a going-round was begun, and is still to be said the meaning of. A retorque goes
 * by what was pulled, and asked when it was begun.
 */
function changedSince(
  shop: Shop,
  tightening: Tightening,
  { engine }: Pick<FacePage, 'engine'>,
  inputs: JointInputs | undefined,
): ChangedSince | undefined {
  if (openedSince(shop, engine.id, tightening) !== undefined)
    return { words: OPENED_SINCE, act: 'Begin a new one from its sheet' };
  const { purpose, plan } = tightening;
  if (purpose === 'retorque' || !inputs) return undefined;
  const worked = tryCore(() => wholeChanges(plan, inputs, computeJoint(inputs), computeKinds(inputs)));
  if (!worked.ok) return undefined;
  const { guards } = worked.result;
  return guards.some(({ code }) => code !== 'changed-for-next' && code !== 'corrected')
    ? {
        words: `${guards.map(({ message }) => message).join(' ')} This round goes on as it was begun.`,
        act: guards.every(({ code }) => code === 'kinds-changed')
          ? 'Look at its sheet'
          : 'Say on the sheet what it means',
      }
    : undefined;
}

/** What keeps the crank from being turned, where a round asks for a turn. */
const heldIn = (shop: Shop, engineId: string, { plan }: Tightening): CrankHeld | undefined =>
  plan.steps.some(({ kind }) => kind === 'shaft') ? crankHeld(engineStateNow({ shop }, engineId).order) : undefined;

/** What is otherwise than when a round was begun: what its sheet says, and what holds the crank. */
export type SaidSince = Pick<FacePage, 'changed' | 'held'>;

const saidSince = (changed: ChangedSince | undefined, held: CrankHeld | undefined): SaidSince => ({
  ...(changed && { changed }),
  ...(held && { held }),
});

/** The same, for a face that has been open for long: it may be changed elsewhere. */
export function changedNow(shop: Shop, tighteningId: string, now: number): SaidSince | undefined {
  const tightening = shop.tightenings.find(tighteningId);
  const joint = tightening && shop.joints.find(tightening.jointId);
  const engine = joint && shop.engines.find(joint.engineId);
  if (!tightening || !joint || !engine) return undefined;
  const changed = changedSince(shop, tightening, { engine }, inputsToday(shop, { joint, engine }, now));
  return saidSince(changed, heldIn(shop, engine.id, tightening));
}

/** One going-round at the bench. */
export function facePage(shop: Shop, tighteningId: string, now: number): FacePage | undefined {
  const tightening = shop.tightenings.find(tighteningId);
  const joint = tightening && shop.joints.find(tightening.jointId);
  const engine = joint && shop.engines.find(joint.engineId);
  if (!tightening || !joint || !engine) return undefined;
  const inputs = inputsToday(shop, { joint, engine }, now);
  const changed = changedSince(shop, tightening, { engine }, inputs);
  return {
    tightening,
    ...saidSince(changed, heldIn(shop, engine.id, tightening)),
    events: shop.tightenings.events(tightening.id),
    joint,
    engine,
    known: knownOfPlaces(joint, shop.bolts.ofJoint(joint.id), inputs),
  };
}

function drawingOf({
  joint,
  final,
  openRetorque,
}: JointState): Pick<TightenLine, 'positions' | 'order' | 'marks' | 'caps'> {
  const caps = joint.pattern === 'caps';
  const shown = openRetorque ?? final;
  if (shown)
    return {
      positions: shown.tightening.plan.positions,
      order: shown.tightening.plan.order,
      marks: shown.state.marks,
      caps,
    };
  const { positions, ...shape } = shapeOfPlan(joint);
  const { order, steps } = tighteningPlan({
    ...shape,
    positions,
    stages: [{ setting: 1, torque_Nm: 1 }],
    unitOfWork: joint.unitOfWork,
    turnShaft: false,
  });
  return { positions, order, marks: roundState(steps, [], positions.length).marks, caps };
}

function wayOn(
  engine: Engine,
  { joint, final, openRetorque, retorque }: JointState,
): Pick<TightenLine, 'href' | 'act' | 'ready' | 'roundId'> {
  const wayTo = (roundId: string, act: string) => ({ href: `/face/${roundId}`, act, ready: true, roundId });
  if (openRetorque) return wayTo(openRetorque.tightening.id, 'Go on with the retorque');
  if (retorque.state === 'open') return { href: `/engines/${engine.id}/run-in`, act: 'Go over it again', ready: true };
  if (final && !final.state.complete) return wayTo(final.tightening.id, 'Go on');
  return {
    href: `/engines/${engine.id}/joints/${joint.id}`,
    act: final ? 'Open its sheet' : 'Begin from its sheet',
    ready: !final,
  };
}

/** Each joint of an engine with its drawing, its line and the way on. */
export const tightenLines = ({ engine, joints }: EngineState, now: number): readonly TightenLine[] =>
  joints.map((joint) => ({
    jointId: joint.joint.id,
    name: joint.joint.name,
    ...drawingOf(joint),
    line: tighteningLine(joint, now),
    retorque: retorqueLine(joint, now),
    ...wayOn(engine, joint),
  }));
