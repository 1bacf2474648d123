import type { Step } from '@/core/tightening';
import { type FitState, isHolding } from '@/model/fit/fit-state';
import type { EngineState, JointState } from './engine-state';

/** How an engine's tag is marked: work to be done now, waiting for something, held up, or at rest. */
export type WaitState = 'ready' | 'waiting' | 'stop' | 'rest';

/** What an engine waits for. Plain data that holds until a row of it is written: only the hour is told anew. */
export interface Wait {
  readonly waitsFor: string;
  readonly state: WaitState;
  /** When it is likely to be so, ms since 1970. */
  readonly about?: number;
}

type Ranked = Wait & { readonly rank: number };

/** As the drawing and the face number it: by the turn. */
const place = (step: Step | undefined, order: readonly number[]): string => {
  if (!step) return '';
  return step.kind === 'shaft'
    ? 'turn the crank'
    : `number ${order.indexOf(step.position) + 1}, stage ${step.stage + 1}`;
};

/** What one joint waits for; the lower the rank, the sooner it is said. */
function jointWaits({ joint, final, openRetorque, retorque, page, isChanged }: JointState): Ranked | undefined {
  if (!final?.state.complete && page.some(({ severity }) => severity === 'stop'))
    return { rank: 0.6, state: 'stop', waitsFor: `${joint.name}: which page governs` };
  if (isChanged) return { rank: 0.65, state: 'stop', waitsFor: `${joint.name}: its sheet was changed since` };
  if (openRetorque) return { rank: 0, state: 'ready', waitsFor: `${joint.name}: retorque under way` };
  if (retorque.state === 'open') return { rank: 1, state: 'ready', waitsFor: `${joint.name}: go over again now` };
  const over = final?.tightening.plan.steps[final.state.over[0] ?? -1];
  if (final && over?.kind === 'pull')
    return {
      rank: 1.5,
      state: 'ready',
      waitsFor: `${joint.name}: number ${final.tightening.plan.order.indexOf(over.position) + 1} went over`,
    };
  if (final && !final.state.complete && final.state.next > 0)
    return {
      rank: 2,
      state: 'ready',
      waitsFor: `${joint.name}: ${place(final.tightening.plan.steps[final.state.next], final.tightening.plan.order)}`,
    };
  if (retorque.state === 'cooling')
    return { rank: 3, state: 'waiting', waitsFor: `${joint.name} cold`, about: retorque.window.from };
  if (retorque.state === 'waits-for-heat')
    return { rank: 5, state: 'rest', waitsFor: `${joint.name}: first heat cycle` };
  if (!final?.state.complete) return { rank: 4, state: 'rest', waitsFor: `${joint.name}: to tighten` };
  return undefined;
}

/** What one fit waits for: out of limits goes before everything but work under way. */
function fitWaits({ fit, places }: FitState): Ranked | undefined {
  const at = (name: string) => (places.length > 1 ? `${fit.name}, ${name}` : fit.name);
  const strip = places.find(({ stripIn }) => stripIn);
  if (strip) return { rank: 0.4, state: 'ready', waitsFor: `${at(strip.name)}: strip in, crank held` };
  const out = places.find(({ state }) => isHolding(state));
  if (out)
    return out.order
      ? { rank: 2.7, state: 'waiting', waitsFor: `${out.order} on order` }
      : { rank: 0.5, state: 'stop', waitsFor: `${at(out.name)}: out of limits` };
  const reopened = places.find(({ remedy }) => remedy !== undefined);
  if (reopened) return { rank: 2.5, state: 'waiting', waitsFor: `${at(reopened.name)}: to read again` };
  const stale = places.find(({ state }) => state === 'stale');
  return stale && { rank: 2.6, state: 'waiting', waitsFor: `${at(stale.name)}: stale` };
}

/** What of all that an engine waits for is said on its tag. */
export function waitOf({ joints, fits, leaves }: EngineState): Wait {
  if (leaves === 0) return { waitsFor: 'a first entry from its book', state: 'rest' };
  if (joints.length === 0) return { waitsFor: 'a first joint', state: 'rest' };
  const waits = [...fits.flatMap((fit) => fitWaits(fit) ?? []), ...joints.flatMap((joint) => jointWaits(joint) ?? [])];
  const first = waits.sort((a, b) => a.rank - b.rank)[0];
  if (!first) return { waitsFor: 'nothing', state: 'rest' };
  const { waitsFor, state, about } = first;
  return { waitsFor, state, ...(about !== undefined && { about }) };
}
