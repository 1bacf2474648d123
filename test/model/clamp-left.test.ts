import { describe, expect, test } from '@jest/globals';
import { goRound, pulled, pullsOf, roundOf, unpulled } from '@/core/interaction';
import { tighteningPlan, type DoneEvent, type PullOutcome } from '@/core/tightening';
import { asPlanned, passageOf, sharesAfter, drawnByRule, type Passage } from '@/model/joint/clamp-left';
import { givingOfJoint } from '@/model/joint/clamp-map';
import { threadNamed } from '@/core/thread';
import { turnOf } from '@/model/joint/joint-shape';
import { planOfJoint } from '@/model/joint/round-plan';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { jointInputs } from '@/db/reads/joint-inputs';
import { jointNamed, yardShop } from '../db/temporary-shop';
import { codeOf } from '../core/code-of';
import { there } from '../actions/own-shop';

const shop = yardShop();
const head = jointNamed(shop, 'demo-f-joint-head');
const facts = there(head.detail.clampMap);
const giving = givingOfJoint(head, facts);
const plan = planOfJoint(jointInputs(shop, head, Date.now()));
const clamp_N = plan.ladder.band.p50_N;
const pullOf = (step: number, outcome: PullOutcome = 'pulled', part: object = {}): DoneEvent => ({
  id: `line-${step}`,
  kind: 'pull',
  step,
  outcome,
  at: '',
  ...part,
});
const whole = plan.steps.map((_, step) => pullOf(step));
const bsf = (inches: string) => threadNamed(`${inches} BSF`).stressArea_mm2;
const left = (lines: readonly DoneEvent[], of: TighteningPlan = plan) => sharesAfter(giving, passageOf(of, lines, {}));

describe('what a record leaves in the fasteners', () => {
  test('of a plan gone through as it stands is what the map of that plan says', () => {
    const last = there(plan.steps.findLast((step) => step.kind === 'pull'));
    if (last.kind !== 'pull') throw new Error('no pull');
    const targets = [0, 1, 2].map((stage) => {
      const step = there(plan.steps.find((one) => one.kind === 'pull' && one.stage === stage));
      return step.kind === 'pull' ? (clamp_N * step.torque_Nm) / last.torque_Nm : 0;
    });
    // By the way that asks what each newton more does to the others, and solves nothing anew.
    const forces_N = goRound(roundOf(giving, pullsOf(turnOf(head), targets)));
    const shares = left(whole);
    forces_N.forEach((force, place) => expect(shares[place]).toBeCloseTo(force / clamp_N, 9));
  });
  test('what a locking nut turns with by itself clamps nothing, at its last figure as at each before', () => {
    const torques = plan.steps.flatMap((step) => (step.kind === 'pull' && step.position === 0 ? [step.torque_Nm] : []));
    const last = Math.max(...torques);
    const { moves } = passageOf(plan, whole, { '': 8 });
    const shares = moves.flatMap((move) => (move.is === 'pull' && move.place === 0 ? [move.share] : []));
    expect(shares).toEqual(torques.map((torque) => expect.closeTo((torque - 8) / (last - 8), 12)));
    // Pulled below what it turns with, it is drawn to nothing, never with less than none.
    const stiff = passageOf(plan, whole.slice(0, 1), { '': Math.min(...torques) + 1 });
    expect(Math.max(...sharesAfter(giving, stiff))).toBe(0);
    expect(Math.min(...sharesAfter(giving, stiff))).toBe(0);
  });
  test('a plan as it stands is every pull of it as it was meant', () => {
    expect(left(asPlanned(plan))).toEqual(left(whole));
    expect(
      drawnByRule([
        ...whole,
        pullOf(0, 'went-over'),
        pullOf(1, 'went-over', { read_Nm: 50 }),
        pullOf(2, 'already-past'),
      ]),
    ).toEqual({ over: 1, unmoved: 1 });
  });
  test('a nut that did not move holds what that shows, and no less than it did; one passed over holds nothing', () => {
    const step = there(plan.steps.at(-1));
    const at = plan.steps.length - 1;
    if (step.kind !== 'pull') throw new Error('no pull');
    const without = left(whole.slice(0, -1));
    // The model has it at two thirds; that it did not move shows more.
    expect(without[step.position]).toBeLessThan(0.79);
    for (const outcome of ['did-not-move', 'already-past'] as const)
      expect(left([...whole.slice(0, -1), pullOf(at, outcome)])[step.position]).toBeCloseTo(0.79, 9);
    // What holds more already is not drawn with less.
    expect(left([...whole, pullOf(at, 'did-not-move')])).toEqual(left(whole));
    expect(left([])).toEqual(head.detail.clampMap && Array.from({ length: 14 }, () => 0));
    expect(left(whole)[step.position]).toBeGreaterThan(there(without[step.position]));
  });
  test('one that went over is a fifth past where nobody read it, and as far as it was read where somebody did', () => {
    const at = plan.steps.length - 1;
    const step = there(plan.steps.at(-1));
    if (step.kind !== 'pull') throw new Error('no pull');
    const share = (outcome: PullOutcome, part: object = {}) =>
      left([...whole.slice(0, -1), pullOf(at, outcome, part)])[step.position];
    expect(share('went-over')).toBeCloseTo(1.2, 9);
    expect(share('pulled')).toBeCloseTo(1, 9);
    const asked_Nm = step.setting * 1.3558179483314004;
    expect(share('went-over', { read_Nm: asked_Nm * 1.5 })).toBeCloseTo(1.5, 9);
    expect(share('pulled', { read_Nm: asked_Nm * 0.98 })).toBeCloseTo(0.98, 9);
  });
  test('one that is slackened and pulled again holds its figure and no more', () => {
    const at = plan.steps.length - 1;
    const step = there(plan.steps.at(-1));
    if (step.kind !== 'pull') throw new Error('no pull');
    const again = { ...pullOf(at), id: 'again', kind: 'again' as const, outcome: 'pulled' as const };
    const over = [...whole.slice(0, -1), pullOf(at, 'went-over')];
    expect(left([...over, again])[step.position]).toBeCloseTo(1, 9);
    // Pulled over it without slackening it would stand where it is.
    expect(left([...over, pullOf(at)])[step.position]).toBeCloseTo(1.2, 9);
  });
  test('a torque that only turns a locking nut clamps nothing', () => {
    const first = there(plan.steps[0]);
    if (first.kind !== 'pull') throw new Error('no pull');
    const locked: Passage = passageOf(plan, [pullOf(0)], { '': first.torque_Nm });
    expect(sharesAfter(giving, locked)).toEqual(Array.from({ length: 14 }, () => 0));
  });
  test('a turn adds its stiffness for its part of a pitch, in the nut and out of its neighbours', () => {
    const { order, steps } = tighteningPlan({
      positions: plan.positions,
      school: 'centre-out',
      unitOfWork: 'row',
      turnShaft: false,
      stages: [
        { setting: 10, torque_Nm: 13.558 },
        { setting: 10, torque_Nm: 13.558, turn: { min_deg: 80, max_deg: 100 } },
      ],
    });
    const turned: TighteningPlan = { ...plan, order, steps };
    const place = there(order[0]);
    const snug = left(
      steps.slice(0, 14).map((_, i) => pullOf(i)),
      turned,
    );
    const after = left([...steps.slice(0, 14).map((_, i) => pullOf(i)), pullOf(14)], turned);
    const farther = left(
      [...steps.slice(0, 14).map((_, i) => pullOf(i)), pullOf(14, 'pulled', { turned_deg: 180 })],
      turned,
    );
    expect(there(after[place])).toBeGreaterThan(there(snug[place]));
    // Gone over it is slackened, brought to its torque again, and turned again: no more is on it than before.
    const again = { ...pullOf(14), id: 'again', kind: 'again' as const, outcome: 'pulled' as const };
    const over = left(
      [...steps.slice(0, 14).map((_, i) => pullOf(i)), pullOf(14, 'went-over', { turned_deg: 180 }), again],
      turned,
    );
    const only = left([...steps.slice(0, 14).map((_, i) => pullOf(i)), { ...again, turned_deg: 1e-9 }], turned);
    expect(there(over[place])).toBeGreaterThan(there(only[place]) + 0.1);
    expect(there(over[place])).toBeLessThan(there(farther[place]));
    // Twice the angle adds twice as much, as long as nobody lets go.
    expect(there(farther[place]) - there(snug[place])).toBeCloseTo(2 * (there(after[place]) - there(snug[place])), 6);
  });
});

test('a figure that clamps nothing that is known is not drawn', () => {
  const { ladder } = plan;
  const unknown = { ...plan, ladder: { ...ladder, band: { p5_N: 0, p50_N: 0, p95_N: 0, mean_N: 0 } } };
  expect(codeOf(() => passageOf(unknown, whole, {}))).toBe('bad-field');
});

test('a fastener of another kind is as much stiffer as it has more metal', () => {
  const kind = {
    name: 'thin',
    places: [0],
    fields: { ...head, thread: '5/16 BSF' },
    detail: { ...head.detail, today: null },
  };
  const mixed = { ...head, detail: { ...head.detail, kinds: [kind as never] } };
  const [own, other] = [giving.loading, givingOfJoint(mixed, facts).loading];
  expect(other[1]?.[1]).toBe(own[1]?.[1]);
  const more = there(other[0]?.[0]) - there(own[0]?.[0]);
  expect(more).toBeCloseTo((bsf('7/16') / bsf('5/16') - 1) / facts.boltStiffness_N_per_mm, 12);
  expect(pulled(other, unpulled(14), 0, 5000).forces_N[0]).toBe(5000);
});
