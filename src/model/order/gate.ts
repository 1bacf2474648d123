import type { Guard } from '@/core/joint';
import { isHolding, isProven, type FitState } from '@/model/fit/place-state';
import { shaftOf } from '@/model/joint/joint-shape';
import type { JointState } from '@/model/joint/joint-state';
import { locksOfSheet } from '@/model/joint/locks-of-sheet';
import type { Loose } from './loose';
import type { OrderState } from './order-state';
import { restsOn } from './rests-on';
import type { WaitsFor } from './step-state';
import { does, isGated, type Step } from './step';

/** Where a bar is put right. */
export type BarPlace =
  | { readonly at: 'fit' | 'joint' | 'step'; readonly id: string }
  | { readonly at: 'in' | 'loose' | 'tray' | 'trial' | 'start' };

/** One thing that stands against closing an engine, starting it, or going round a joint. */
export interface Bar {
  readonly code: string;
  readonly message: string;
  /** No written reason lets it pass. */
  readonly absolute: boolean;
  readonly to: BarPlace;
}

export interface GateState {
  readonly order: OrderState;
  readonly joints: readonly JointState[];
  readonly fits: readonly FitState[];
}

const bar = (code: string, message: string, to: BarPlace, absolute = false): Bar => ({ code, message, absolute, to });

const barOfLoose = ({ words }: Loose): Bar => bar('loose', `${words}.`, { at: 'loose' });

/** Aids that are in, and strips: what is inside the engine bars it whatever is written. */
export function barsOfWhatIsIn({ aids, strips }: Pick<OrderState, 'aids' | 'strips'>): readonly Bar[] {
  return [
    ...strips.map((where) => bar('strip-in', `A strip lies in ${where}.`, { at: 'in' }, true)),
    ...aids.map(({ name, count, inside }) =>
      bar(
        'aid-in',
        `${inside ? 'Inside the engine' : 'Still on it'}: ${count === 1 ? '' : `${count} × `}${name}.`,
        { at: 'in' },
        inside,
      ),
    ),
  ];
}

/** Fits are said of the ones that guard what is closed, and of those that nobody gave a place: unknown is no pass. */
function barsOfFits({ fits, order }: GateState, beneath: ReadonlySet<string>, all: boolean): readonly Bar[] {
  const stepsOf = (fitId: string, holds: readonly string[]) =>
    order.steps.filter(({ step }) => step.fitId === fitId || (step.jointId !== null && holds.includes(step.jointId)));
  return fits.flatMap(({ fit, places, state }) => {
    const steps = stepsOf(fit.id, fit.holds);
    if (!all && steps.length > 0 && !steps.some(({ step }) => beneath.has(step.id))) return [];
    if (places.every((place) => isProven(place.state))) return [];
    const [code, words] = isHolding(state)
      ? ['fit-out', 'out of limits']
      : state === 'stale'
        ? ['fit-stale', 'its readings are stale']
        : ['fit-not-proven', 'not proven'];
    return [bar(code, `${fit.name}: ${words}.`, { at: 'fit', id: fit.id })];
  });
}

/** A lock that nobody named cannot be asked for: whoever closes over it says first what there is to be locked. */
const locksUnsaid = ({ joint }: JointState): readonly Bar[] =>
  locksOfSheet(joint).flatMap(({ name, locking }) =>
    locking === 'unsaid'
      ? [
          bar('lock-unsaid', `${joint.name}${name && ` (${name})`}: how it is locked is not said.`, {
            at: 'joint',
            id: joint.id,
          }),
        ]
      : [],
  );

/** Joints beneath, and joints that stand nowhere in the order, are final, and it is known how they are locked. */
function barsOfJoints({ joints, order }: GateState, beneath: ReadonlySet<string>, all: boolean): readonly Bar[] {
  return joints.flatMap((one) => {
    const { joint, final } = one;
    const steps = order.steps.filter(({ step }) => step.jointId === joint.id);
    if (!all && steps.length > 0 && !steps.some(({ step }) => beneath.has(step.id))) return [];
    return final?.state.complete
      ? locksUnsaid(one)
      : [bar('joint-not-final', `${joint.name}: not pulled for good.`, { at: 'joint', id: joint.id })];
  });
}

function barsOfSteps({ order }: GateState, beneath: ReadonlySet<string>): readonly Bar[] {
  return order.steps.flatMap(({ step, state, why }) => {
    if (!beneath.has(step.id) || state === 'done') return [];
    const words = state === 'stale' ? `to be looked at, ${why ?? ''}` : state === 'trial' ? 'only tried' : 'not done';
    const code = state === 'stale' ? (step.kind === 'freedom' ? 'freedom-not-tried' : 'step-stale') : 'step-open';
    return [bar(code, `${step.name}: ${words}.`, { at: 'step', id: step.id })];
  });
}

function barsOfTray({ order }: GateState, beneath: ReadonlySet<string>, all: boolean): readonly Bar[] {
  return order.tray.flatMap(({ part, short, surplus }) => {
    // What goes nowhere that is known is no pass.
    const goesNowhere = part.stepId === null || !order.byId.has(part.stepId);
    if (!all && !goesNowhere && !beneath.has(part.stepId ?? '')) return [];
    const named = [part.name, part.mark].filter(Boolean).join(' ');
    const where = goesNowhere ? ' that goes nowhere' : '';
    return [
      ...(surplus > 0 ? [bar('surplus', `${surplus} × ${named} over${where}.`, { at: 'tray' })] : []),
      ...(short > 0 ? [bar('shortage', `${short} × ${named} short.`, { at: 'tray' })] : []),
    ];
  });
}

/** A start turns the crank: what was set to hold it was not said to be off. */
function barsOfLocked({ crank, byId }: OrderState): readonly Bar[] {
  const step = byId.get(crank.stepId ?? '')?.step;
  return crank.state === 'free' || !step
    ? []
    : [
        bar('crank', `The crank is ${crank.state} by “${step.name}”, and nothing frees it.`, {
          at: 'step',
          id: step.id,
        }),
      ];
}

/**
 * What stands against the step that closes an engine, or starts it; against a start where its order has no step for it.
 * One place decides it: the sheet, the server and the record ask here.
 */
export function barsOfGate(state: GateState, step?: Step): readonly Bar[] {
  const { order } = state;
  const all = step === undefined || does(step, 'starts');
  const steps = order.steps.map((one) => one.step);
  const beneath = new Set(step ? [...restsOn(steps, step.id)].filter((id) => id !== step.id) : []);
  const others = all ? steps.filter((one) => !isGated(one) && !(step && restsOn(steps, one.id).has(step.id))) : [];
  for (const one of others) beneath.add(one.id);
  // The step's own part and joint are of what it closes.
  const own = new Set([...beneath, ...(step ? [step.id] : [])]);
  return [
    ...barsOfWhatIsIn(order),
    ...(all ? barsOfLocked(order) : []),
    ...(order.trial
      ? [
          bar('trial', order.trial.isGoing ? 'A trial build is going.' : 'What was tried is not cleaned.', {
            at: 'trial',
          }),
        ]
      : []),
    ...order.loose
      // What is tried is said once, by the trial that is going.
      .filter(
        (one) =>
          (one.stepId === undefined || !order.trial?.isGoing) &&
          (one.jointId === undefined || one.jointId !== step?.jointId),
      )
      .map(barOfLoose),
    ...barsOfFits(state, own, all),
    ...barsOfJoints(state, beneath, all),
    ...barsOfSteps(state, beneath),
    ...barsOfTray(state, own, all),
  ];
}

/** What the crank says to a step that turns it. */
function barsOfCrank({ order }: GateState, step: Step): readonly Bar[] {
  // Of a start it is said by its gate.
  if (!does(step, 'turns-crank') || does(step, 'starts')) return [];
  if (order.strips.length > 0)
    return [
      bar('strip-in', `A strip lies in ${order.strips.join(', ')}: the crank is not turned.`, { at: 'in' }, true),
    ];
  const { state, stepId } = order.crank;
  const by = stepId === undefined ? '' : ` by “${order.byId.get(stepId)?.step.name ?? ''}”`;
  return state === 'free'
    ? []
    : [bar('crank', `The crank is ${state}${by}; this turns it.`, { at: 'step', id: stepId ?? step.id })];
}

/** In a trial a sealant sets and a once-only part is used up: asked before. */
function barsOfTrial(step: Step, isTrial: boolean): readonly Bar[] {
  if (!isTrial) return [];
  const at = { at: 'step', id: step.id } as const;
  return [
    ...(does(step, 'sealant')
      ? [bar('sealant-in-trial', 'It takes a sealant, which is not put on for a trial.', at)]
      : []),
    ...(does(step, 'once-only') ? [bar('once-in-trial', 'It takes a part that can be used only once.', at)] : []),
  ];
}

/** All that stands against doing a step now, beside what it waits for. */
export const barsOfStep = (state: GateState, step: Step, isTrial: boolean): readonly Bar[] => [
  ...barsOfTrial(step, isTrial),
  ...barsOfCrank(state, step),
  ...(isGated(step) && !isTrial ? barsOfGate(state, step) : []),
];

/** The step that starts the engine, where its order has one. */
export const startStepOf = ({ order }: Pick<GateState, 'order'>) =>
  order.steps.find(({ step }) => does(step, 'starts'));

/** What stands against starting an engine, but for what is looked at by hand: nothing once its order says that it was. */
export function barsOfStart(state: GateState): readonly Bar[] {
  const found = startStepOf(state);
  if (!found) return barsOfGate(state);
  return found.state === 'done' ? [] : barsOfStep(state, found.step, false);
}

// Said by the fits' own gate before a joint already.
const SAID_BY_FITS: ReadonlySet<string> = new Set(['strip-in', 'fit-out', 'fit-stale', 'fit-not-proven']);

export const namesOfWaits = (order: OrderState, waits: readonly WaitsFor[]): string =>
  waits.map((one) => ('words' in one ? one.words : `“${order.byId.get(one.stepId)?.step.name ?? ''}”`)).join(', ');

/** What the order says to going round a joint for good. */
export function barsOfJoint(state: GateState, jointId: string): readonly Bar[] {
  const { order } = state;
  const own = order.steps.filter(
    ({ step }) => step.jointId === jointId && (step.purpose === null || step.purpose === 'final'),
  );
  const turns = state.joints.some(({ joint }) => joint.id === jointId && shaftOf(joint) !== false);
  const { crank } = order;
  const by = order.byId.get(crank.stepId ?? '')?.step.name;
  // A strip holds the crank by the fits' own gate. Without a turn between, nobody feels whether it still goes round.
  const held =
    turns && crank.state !== 'free' && crank.stepId !== undefined
      ? [
          bar('crank', `The crank is ${crank.state} by “${by ?? ''}”: this round goes without turning it.`, {
            at: 'step',
            id: crank.stepId,
          }),
        ]
      : [];
  const ofSteps = own.flatMap(({ step, state: stands, waits }) => [
    ...(stands === 'waiting' || stands === 'barred'
      ? [bar('order-waits', `In the order it waits for ${namesOfWaits(order, waits)}.`, { at: 'step', id: step.id })]
      : []),
    ...(isGated(step) ? barsOfGate(state, step).filter(({ code }) => !SAID_BY_FITS.has(code)) : []),
  ]);
  return [...held, ...ofSteps];
}

/** What the order says to going over a joint again: nothing is in, and nothing else loose, where it has an order. */
export const barsOfRetorque = ({ order }: GateState, jointId: string): readonly Bar[] =>
  order.steps.length === 0
    ? []
    : [
        ...barsOfWhatIsIn(order).filter(({ code }) => !SAID_BY_FITS.has(code)),
        ...order.loose.filter((one) => one.jointId !== jointId).map(barOfLoose),
      ];

/** A bar before a going-round of a joint is one of its guards: it asks for a written reason, or lets nothing pass. */
export const guardsOfBars = (bars: readonly Bar[]): readonly Guard[] =>
  bars.map(({ code, message, absolute }) => ({ code, severity: 'stop', message, ...(absolute && { absolute }) }));
