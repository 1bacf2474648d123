import { roundState } from '@/core/tightening';
import { assertLine, type SaidLine } from '@/model/order/assert-line';
import type { BuildLine } from '@/model/order/build-line';
import { barsOfGate, type GateState } from '@/model/order/gate';
import { orderState, type OrderRows } from '@/model/order/order-state';
import { PLAIN_PART, type Part } from '@/model/order/part';
import { PLAIN_STEP, type Step } from '@/model/order/step';

type StepGiven = Partial<Omit<Step, 'detail'>> & { readonly detail?: Partial<Step['detail']> };

/** A step by its id; what is left out is as plain as can be. */
export const step = (id: string, given: StepGiven = {}): Step => ({
  id,
  engineId: 'engine',
  place: 1,
  kind: 'part',
  name: id,
  branch: '',
  jointId: null,
  purpose: null,
  fitId: null,
  leafId: null,
  after: [],
  notUntil: [],
  version: 1,
  createdAt: '2026-05-01T00:00:00.000Z',
  ...given,
  detail: { ...PLAIN_STEP, ...given.detail },
});

export const part = (id: string, given: Partial<Part> = {}): Part => ({
  id,
  engineId: 'engine',
  stepId: null,
  name: id,
  need: 1,
  here: 1,
  mark: '',
  serial: '',
  bag: '',
  origin: 'taken-off',
  condition: 'good',
  detail: PLAIN_PART,
  version: 1,
  createdAt: '2026-05-01T00:00:00.000Z',
  ...given,
});

const STARTED = Date.parse('2026-05-16T08:00:00.000Z');

type SaidOf = SaidLine extends infer One ? (One extends SaidLine ? Omit<One, 'id' | 'at'> : never) : never;

/**
 * An order that lines are written into, a minute apart, through the same refusal as every door.
 * Joints and fits come as the states that they would have.
 */
export function bench(steps: readonly Step[], given: Partial<OrderRows> = {}) {
  const lines: BuildLine[] = [];
  let minute = 0;
  const rows = { steps, parts: [], joints: [], fits: [], cutAt: [], ...given } as OrderRows;
  // A line that was refused leaves it as it was: of a made history most are.
  let known: { readonly of: readonly BuildLine[]; readonly is: GateState } | undefined;
  const state = (): GateState => {
    if (known?.of.length !== lines.length || known.of.some((line, i) => line !== lines[i])) {
      const held = { ...rows, lines: [...lines] };
      known = { of: held.lines, is: { order: orderState(held), joints: held.joints, fits: held.fits } };
    }
    return known.is;
  };
  return {
    state,
    lines,
    now: () => new Date(STARTED + minute * 60_000).toISOString(),
    /** Writes a line, or throws its refusal. */
    write: (said: SaidOf): string => {
      minute += 1;
      const at = new Date(STARTED + minute * 60_000).toISOString();
      const id = `line-${minute}`;
      const line = assertLine(state(), { ...said, id, at }, at);
      lines.push({ ...line, at, recordedAt: at });
      return id;
    },
    stands: (id: string) => state().order.byId.get(id)?.state,
    why: (id: string) => state().order.byId.get(id)?.why,
    bars: (id: string) => {
      const now = state();
      const own = now.order.byId.get(id)?.step;
      return own ? barsOfGate(now, own).map(({ code }) => code) : [];
    },
  };
}

/** What a refusal says by its code. */
export function refusal(work: () => unknown): string {
  try {
    work();
  } catch (error) {
    return (error as { readonly code?: string }).code ?? String(error);
  }
  return 'none';
}

/** A joint whose round was pulled to its end at a time, or not at all. */
export function joint(id: string, pulledAt?: string, purpose: 'final' | 'trial' = 'final', steps = 1) {
  const events = pulledAt
    ? [
        {
          id: `${id}-pull`,
          kind: 'pull' as const,
          step: 0,
          outcome: 'pulled' as const,
          at: pulledAt,
          recordedAt: pulledAt,
        },
      ]
    : [];
  const planned = Array.from({ length: steps }, (_, i) => ({ kind: 'pull' as const, stage: 0, position: i }));
  const round = {
    tightening: { id: `${id}-round`, jointId: id, purpose, plan: { steps: planned }, startedAt: pulledAt ?? '' },
    events,
    state: roundState(planned as never, events, steps),
  };
  return {
    joint: { id, name: id, detail: { kinds: [], today: null, original: { locking: 'none' } } },
    tightenings: pulledAt ? [round] : [],
    ...(pulledAt && purpose === 'final' && { final: round }),
    retorque: { state: 'not-asked' },
    isChanged: false,
    stretch: [],
    page: [],
  } as unknown as GateState['joints'][number];
}

/** A fit of one place that stands so. */
export const fit = (
  id: string,
  state: 'inside' | 'loose' | 'stale' | 'unread',
  given: { stripIn?: boolean; holds?: string[] } = {},
) =>
  ({
    fit: { id, name: id, places: ['1'], holds: given.holds ?? [] },
    places: [{ place: 0, name: '1', state, stripIn: given.stripIn ?? false }],
    state,
  }) as unknown as GateState['fits'][number];
