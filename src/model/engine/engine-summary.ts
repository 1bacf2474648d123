import { provenFits } from '@/model/fit/fit-gate';
import type { JointState } from '@/model/joint/joint-state';
import type { EngineState } from './engine-state';
import { waitsOf, type Wait } from './engine-wait';

/** The stops of the work on one engine, in their order. */
export const STOPS = ['book', 'joints', 'fits', 'order', 'tighten', 'run-in', 'record'] as const;
export type StopId = (typeof STOPS)[number];

export interface Progress {
  readonly done: number;
  readonly total: number;
}

/** What an engine's tag and its order strip say. Plain data that holds until a row of the engine is written. */
export interface EngineSummary {
  /** The first is what its tag says. */
  readonly waits: readonly [Wait, ...Wait[]];
  readonly progress: Readonly<Record<StopId, Progress>>;
}

const isSettled = ({ retorque }: JointState) => retorque.state === 'done' || retorque.state === 'not-asked';
const isTight = ({ final, stretch }: JointState) =>
  (final?.state.complete ?? false) && stretch.every(({ open }) => open.length === 0);

/** How much of each stop is done. */
function progressOf({ joints, fits, leaves, heat, order }: EngineState): EngineSummary['progress'] {
  const asked = joints.filter(({ retorque }) => retorque.state !== 'not-asked');
  const count = (of: (joint: JointState) => boolean) => joints.filter(of).length;
  return {
    book: { done: new Set(joints.map(({ joint }) => joint.leafId)).size, total: leaves },
    joints: { done: count(({ tightenings }) => tightenings.length > 0), total: joints.length },
    fits: { done: provenFits(fits), total: fits.length },
    order: { done: order.steps.filter(({ state }) => state === 'done').length, total: order.steps.length },
    tighten: { done: count(isTight), total: joints.length },
    'run-in': { done: heat.cycles.length === 0 ? 0 : asked.filter(isSettled).length, total: asked.length },
    record: { done: count((joint) => isTight(joint) && isSettled(joint)), total: joints.length },
  };
}

export const summaryOf = (state: EngineState): EngineSummary => ({
  waits: waitsOf(state),
  progress: progressOf(state),
});

const NOTHING: Progress = { done: 0, total: 0 };

const UNKNOWN: EngineSummary['progress'] = {
  book: NOTHING,
  joints: NOTHING,
  fits: NOTHING,
  order: NOTHING,
  tighten: NOTHING,
  'run-in': NOTHING,
  record: NOTHING,
};

/** What is said of an engine whose rows cannot be read. */
export const UNREADABLE: EngineSummary = {
  waits: [{ state: 'stop', waitsFor: 'a look: its record cannot be read', to: { at: 'joints' } }],
  progress: UNKNOWN,
};

/** What is said of an engine until it is worked out what it waits for: nothing is known of it, so nothing is due. */
export const BEING_WORKED_OUT: EngineSummary = {
  waits: [{ state: 'rest', waitsFor: 'being worked out', to: { at: 'joints' } }],
  progress: UNKNOWN,
};
