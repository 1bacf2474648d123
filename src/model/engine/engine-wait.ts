import type { NextRetorque } from '@/core/heat';
import type { Step } from '@/core/tightening';
import { openSetWords } from '@/model/bolt/open-bolts';
import { type FitState, isHolding } from '@/model/fit/place-state';
import { isUnknown, nextWords } from '@/model/heat/next-words';
import type { Joint } from '@/model/joint/joint';
import type { JointState } from '@/model/joint/joint-state';
import type { EngineState } from './engine-state';

/** How an engine's tag is marked: work to be done now, waiting for something, held up, or at rest. */
export type WaitState = 'ready' | 'waiting' | 'stop' | 'rest';

/** What an engine waits for. Plain data that holds until a row of it is written: only the hour is told anew. */
export interface Wait {
  readonly waitsFor: string;
  readonly state: WaitState;
  /** When it is likely to be so, ms since 1970. */
  readonly about?: number;
  /** After which it is overdue. */
  readonly by?: number;
  /** The same for as long as it is the same thing, where it has an hour. */
  readonly key?: string;
  /** Where it is done: a path of the engine, or of a going-round at the bench. */
  readonly to: WaitPlace;
}

export type WaitPlace =
  | { readonly at: 'book' | 'joints' | 'order' | 'tray' | 'run-in' }
  | { readonly at: 'joint' | 'stretch' | 'fit' | 'round'; readonly id: string };

const DAY_MS = 86_400_000;
/** A head that is cold by its hours stays so: for so long it is not said to be overdue. */
const HOURS_SPAN_MS = 4 * 3_600_000;

type Ranked = Omit<Wait, 'to'> & { readonly rank: number; readonly to?: WaitPlace };

/** As the drawing and the face number it: by the turn. */
const place = (step: Step | undefined, order: readonly number[]): string => {
  if (!step) return '';
  return step.kind === 'shaft'
    ? 'turn the crank'
    : `number ${order.indexOf(step.position) + 1}, stage ${step.stage + 1}`;
};

/** The retorque that comes next by the rule: by the odometer it is said how far it is, by its days it has an hour. */
const nextWait = (joint: Joint, next: NextRetorque): Ranked => ({
  rank: next.isReached ? 3.1 : isUnknown(next) ? 3.2 : 5,
  state: next.isReached || isUnknown(next) || (next.isHot && next.dayAt !== undefined) ? 'waiting' : 'rest',
  waitsFor: `${joint.name}: ${nextWords(next)}`,
  // An engine that stands for years is not overdue every day: it waits until it has run.
  ...(next.dayAt !== undefined &&
    next.isHot &&
    !next.isReached && { about: next.dayAt, by: next.dayAt + DAY_MS, key: `${joint.id}-${next.stage}` }),
  to: { at: 'run-in' },
});

/** What one joint waits for; the lower the rank, the sooner it is said. */
function jointWaits({ joint, final, openRetorque, retorque, page, isChanged }: JointState): Ranked | undefined {
  if (!final?.state.complete && page.some(({ severity }) => severity === 'stop'))
    return { rank: 0.6, state: 'stop', waitsFor: `${joint.name}: which page governs` };
  if (isChanged) return { rank: 0.65, state: 'stop', waitsFor: `${joint.name}: its sheet was changed since` };
  const atBench = (id: string): WaitPlace => ({ at: 'round', id });
  if (final?.state.binds)
    return {
      rank: 0.7,
      state: 'stop',
      waitsFor: `${joint.name}: the crank does not turn freely`,
      to: atBench(final.tightening.id),
    };
  if (openRetorque)
    return {
      rank: 0,
      state: 'ready',
      waitsFor: `${joint.name}: retorque under way`,
      to: atBench(openRetorque.tightening.id),
    };
  if (retorque.state === 'open')
    return { rank: 1, state: 'ready', waitsFor: `${joint.name}: go over again now`, to: { at: 'run-in' } };
  const over = final?.tightening.plan.steps[final.state.over[0] ?? -1];
  if (final && over?.kind === 'pull')
    return {
      rank: 1.5,
      state: 'ready',
      waitsFor: `${joint.name}: number ${final.tightening.plan.order.indexOf(over.position) + 1} went over`,
      to: atBench(final.tightening.id),
    };
  if (final && !final.state.complete && final.state.last !== undefined)
    return {
      rank: 2,
      state: 'ready',
      waitsFor: `${joint.name}: ${place(final.tightening.plan.steps[final.state.next], final.tightening.plan.order)}`,
      to: atBench(final.tightening.id),
    };
  if (retorque.state === 'cooling') {
    const { from, byHours } = retorque.window;
    const by = retorque.window.by + (byHours === undefined ? 0 : HOURS_SPAN_MS);
    return {
      rank: 3,
      state: 'waiting',
      waitsFor: `${joint.name} cold`,
      about: from,
      by,
      key: joint.id,
      to: { at: 'run-in' },
    };
  }
  if ((retorque.state === 'waits-for-heat' || retorque.state === 'done') && retorque.next)
    return nextWait(joint, retorque.next);
  if (retorque.state === 'waits-for-heat')
    return { rank: 5, state: 'rest', waitsFor: `${joint.name}: first heat cycle`, to: { at: 'run-in' } };
  if (!final?.state.complete) return { rank: 4, state: 'rest', waitsFor: `${joint.name}: to tighten` };
  return undefined;
}

/**
 * Bolts that are not inside their stretch. Whether all of them are is read once a round is done: while it is half done
 * only what is found out about first is said, behind it.
 */
const stretchWaits = ({ joint, stretch, final }: JointState): readonly Ranked[] =>
  stretch.flatMap(({ set, open }): readonly Ranked[] => {
    const stops = open.filter((one) => one.stops);
    const isHalf = final?.state.last !== undefined && !final.state.complete;
    const said = stops.length > 0 ? stops : isHalf ? [] : open;
    if (said.length === 0) return [];
    return [
      {
        rank: stops.length > 0 ? 2.05 : 2.06,
        state: stops.length > 0 ? 'stop' : 'ready',
        waitsFor: openSetWords(joint, { set, open: said }),
        to: { at: 'stretch', id: joint.id },
      },
    ];
  });

/** What one place of a fit waits for: out of limits goes before everything but work under way. */
function placeWaits({ stripIn, state, order, remedy }: FitState['places'][number], at: string): Ranked | undefined {
  if (stripIn) return { rank: 0.4, state: 'ready', waitsFor: `${at}: strip in, crank held` };
  if (isHolding(state))
    return order
      ? { rank: 2.7, state: 'waiting', waitsFor: `${order} on order` }
      : { rank: 0.5, state: 'stop', waitsFor: `${at}: out of limits` };
  if (remedy !== undefined) return { rank: 2.5, state: 'waiting', waitsFor: `${at}: to read again` };
  return state === 'stale' ? { rank: 2.6, state: 'waiting', waitsFor: `${at}: stale` } : undefined;
}

/**
 * What the order waits for: what lies still or is in a trial, what is in, what is loose by hand or wants its lock, what
 * is on order, what is to be looked at. What a joint is loose by is said by the joint.
 */
function orderWaits({ steps, aids, loose, tray, trial, paused }: EngineState['order']): readonly Ranked[] {
  if (paused) return [{ rank: 0.3, state: 'waiting', waitsFor: 'the work to be taken up again', to: { at: 'order' } }];
  const stale = steps.filter(({ state, through }) => state === 'stale' && through === undefined);
  const said = loose.filter(({ key }) => key !== undefined);
  return [
    ...stale.map(({ step }): Ranked => ({
      rank: 2.65,
      state: 'waiting',
      waitsFor: `${step.name}: to be looked at`,
      to: { at: 'order' },
    })),
    ...said.map(({ words }): Ranked => ({
      rank: 2.8,
      state: 'waiting',
      waitsFor: `loose: ${words}`,
      to: { at: 'order' },
    })),
    ...aids.map(({ name }): Ranked => ({ rank: 2.9, state: 'waiting', waitsFor: `in: ${name}`, to: { at: 'order' } })),
    ...tray.flatMap(({ part, order }): readonly Ranked[] =>
      order === undefined
        ? []
        : [{ rank: 2.7, state: 'waiting', waitsFor: `${part.name} on order`, to: { at: 'tray' } }],
    ),
    ...(trial?.isGoing
      ? [{ rank: 3.5, state: 'rest' as const, waitsFor: 'a trial build', to: { at: 'order' as const } }]
      : []),
  ];
}

/** More would not be read on one page, and are kept with the engine's summary. */
const MOST_WAITS = 60;

/** All that an engine waits for, the first to be said first; one at the least. */
export function waitsOf({ joints, fits, leaves, order }: EngineState): readonly [Wait, ...Wait[]] {
  if (leaves === 0) return [{ waitsFor: 'a first entry from its book', state: 'rest', to: { at: 'book' } }];
  if (joints.length === 0) return [{ waitsFor: 'a first joint', state: 'rest', to: { at: 'joints' } }];
  const found = [
    ...fits.flatMap(({ fit, places }) =>
      places.flatMap((one) => {
        const wait = placeWaits(one, places.length > 1 ? `${fit.name}, ${one.name}` : fit.name);
        return wait ? [{ ...wait, to: { at: 'fit' as const, id: fit.id } }] : [];
      }),
    ),
    ...joints.flatMap((state) => {
      const wait = jointWaits(state);
      const own = wait ? [{ ...wait, to: wait.to ?? { at: 'joint' as const, id: state.joint.id } }] : [];
      return [...own, ...stretchWaits(state).map((one) => ({ ...one, to: one.to ?? { at: 'joints' as const } }))];
    }),
    ...orderWaits(order).map((wait) => ({ ...wait, to: wait.to ?? ({ at: 'order' } as const) })),
  ];
  const [first, ...rest] = found
    .sort((a, b) => a.rank - b.rank)
    .slice(0, MOST_WAITS)
    .map(({ rank: _, ...wait }): Wait => wait);
  return first ? [first, ...rest] : [{ waitsFor: 'nothing', state: 'rest', to: { at: 'joints' } }];
}
