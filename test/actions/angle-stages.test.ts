import { beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readTorque } from '@/core/print';
import { tighteningPlan } from '@/core/tightening';
import { jointInputs } from '@/db/reads/joint-inputs';
import type { Shop } from '@/db/shop';
import { recordEvent } from '@/features/bench/record-event';
import { addLeafAction } from '@/features/book/actions';
import { addJointAction, startTighteningAction } from '@/features/joint/actions';
import { pullWords } from '@/interface/words/bench-words';
import { figureDiffers, turnsOfLeaf } from '@/model/book/leaf-figure';
import { jointStateOf } from '@/model/engine/engine-rows';
import { computeJoint, stagesOfJoint } from '@/model/joint/joint-result';
import { planOfJoint, retorquePlan } from '@/model/joint/round-plan';
import { endsInTurn, PLAN_JSON } from '@/model/joint/tightening-plan';
import { nowMs } from '@/server/clock';
import { codeOf } from '../core/code-of';
import { rowsNamed } from '../db/temporary-shop';
import { accepted, ownShop, refusedWhole, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const ENGINE = 'demo-norrhem';
const idOf = ({ href }: { readonly href: string }) => there(href.split('/').at(-1));

const leafOf = (printedText: string) => ({
  engineId: ENGINE,
  sourceId: there(shop.book.sources(ENGINE)[0]).id,
  page: '12',
  subject: 'Carrier bolts',
  kind: 'torque',
  printedText,
  conditionText: '',
  readingIndex: 0,
  agreedNotes: ['unread-words'],
  replacesId: null,
});

/** A joint from what a page prints, made as a person does. */
async function jointOf(printedText: string, films = { originalFilm: 'engine-oil', todayFilm: 'moly-paste' }) {
  const { id: leafId } = await accepted(addLeafAction(leafOf(printedText)));
  const made = await accepted(
    addJointAction({
      engineId: ENGINE,
      leafId,
      name: 'Carrier',
      pattern: 'rows',
      fasteners: 4,
      thread: 'M10x1.5',
      ...films,
      orderSchool: 'centre-out',
      turnShaft: false,
      retorqueSchool: 'slacken',
    }),
  );
  return there(shop.joints.find(idOf(made)));
}
const inputsOf = (joint: Awaited<ReturnType<typeof jointOf>>) => jointInputs(shop, joint, nowMs());

async function roundOf(joint: Awaited<ReturnType<typeof jointOf>>) {
  const { href } = await accepted(
    startTighteningAction({ jointId: joint.id, version: joint.version, purpose: 'final', reason: 'as printed' }),
  );
  return there(shop.tightenings.find(idOf({ href })));
}

const pullAll = (tighteningId: string, steps: number) => {
  for (let step = 0; step < steps; step++)
    recordEvent(shop, tighteningId, { id: `pull-${step}-0001`, kind: 'pull', step, outcome: 'pulled', age_ms: 0 });
};

describe('torque, then an angle', () => {
  test('makes a joint: the torque is corrected for the lubricant, the angle is as printed', async () => {
    const joint = await jointOf('20 Nm, then 35 Nm, then 90°, then 45°');
    const inputs = inputsOf(joint);
    const worked = computeJoint(inputs);
    expect(worked.ladder.printed_Nm).toBeCloseTo(35, 6);
    expect(worked.ladder.target_Nm).toBeLessThan(35);
    const stages = stagesOfJoint(inputs, worked);
    expect(stages.map(({ turn }) => turn)).toEqual([
      undefined,
      undefined,
      { min_deg: 90, max_deg: 90 },
      { min_deg: 45, max_deg: 45 },
    ]);
    // Of the page's own stages, in the same share of what is set today.
    expect(stages[0]?.torque_Nm).toBeCloseTo((20 / 35) * worked.ladder.target_Nm, 0);
    expect(stages[2]?.setting).toBe(worked.ladder.setting.rounded);
    expect(worked.guards.find(({ code }) => code === 'turn-after-torque')).toMatchObject({ severity: 'ask' });
    expect(figureDiffers(inputs.leaf)).toBeUndefined();
  });

  test('goes round: every fastener at the torque before the first is turned, and says so', async () => {
    const { plan } = await roundOf(await jointOf('30 lb ft + 85 to 95°'));
    const kinds = plan.steps.map((step) => (step.kind === 'pull' ? (step.turn ? 'turn' : 'torque') : step.kind));
    expect(kinds).toEqual([...Array<string>(4).fill('torque'), ...Array<string>(4).fill('turn')]);
    const last = there(plan.steps.at(-1));
    if (last.kind !== 'pull') throw new Error('the last step is no pull');
    expect(last).toMatchObject({ final: true, turn: { min_deg: 85, max_deg: 95 } });
    expect(pullWords(plan, last, '41')).toBe('85 to 95° further');
    expect(pullWords(plan, { ...last, turn: undefined }, '41')).toMatch(/^41 /);
    expect(endsInTurn(plan)).toBe(true);
  });

  test('is kept, and an older program is told that it cannot read it', async () => {
    const { plan } = await roundOf(await jointOf('30 lb ft + 90°'));
    const text = PLAN_JSON.write(plan);
    expect(PLAN_JSON.read(text)).toEqual(plan);
    expect((JSON.parse(text) as { version: number }).version).toBe(4);
  });

  test('is tight when all is turned, and no figure goes over it again, whatever school its sheet has', async () => {
    const joint = await jointOf('30 lb ft + 90°');
    expect(jointStateOf(rowsNamed(shop, ENGINE), joint).retorque.state).toBe('not-asked');
    const round = await roundOf(joint);
    pullAll(round.id, 7);
    expect(jointStateOf(rowsNamed(shop, ENGINE), joint).final?.state.complete).toBe(false);
    recordEvent(shop, round.id, { id: 'pull-7-0001', kind: 'pull', step: 7, outcome: 'pulled', age_ms: 0 });
    expect(jointStateOf(rowsNamed(shop, ENGINE), joint).final?.state.complete).toBe(true);
    // By its sheet it would wait for its first heat cycle.
    expect(joint.retorqueSchool).toBe('slacken');
    expect(jointStateOf(rowsNamed(shop, ENGINE), joint).retorque.state).toBe('not-asked');
    const again = () => retorquePlan({ joint }, round.plan, { cycleId: 'cycle-0001', guards: [] });
    expect(codeOf(again)).toBe('left-by-angle');
  });

  test('an entry whose kept angle is not the page’s is a stop', async () => {
    const joint = await jointOf('30 lb ft + 90°');
    const inputs = inputsOf(joint);
    const { guards } = computeJoint({ ...inputs, leaf: { ...inputs.leaf, max_deg: 180 } });
    expect(guards.find(({ code }) => code === 'figure-differs')).toMatchObject({ severity: 'stop' });
  });

  test('a torque that follows a turn is refused with a way on', async () => {
    const problem = await refusedWhole(shop, () => addLeafAction(leafOf('20 Nm, then 90°, then 40 Nm')));
    expect(problem).toMatchObject({ code: 'turn-in-stages', field: 'printedText' });
  });

  test('a turn that stands beside the torque in the book is asked about, and no more once it is part of the figure', async () => {
    const joint = await jointOf('30 lb ft');
    const codes = (of = joint) => jointStateOf(rowsNamed(shop, ENGINE), of).page.map(({ code }) => code);
    expect(codes()).not.toContain('turn-beside');
    await accepted(addLeafAction(leafOf('90°')));
    expect(codes()).toContain('turn-beside');
    const { id } = await accepted(addLeafAction({ ...leafOf('30 lb ft + 90°'), replacesId: joint.leafId }));
    expect(codes({ ...joint, leafId: id })).not.toContain('turn-beside');
  });

  test('the shaft is turned before the last figure and not before the angle; nothing confirms an angle', async () => {
    const made = await jointOf('30 to 40 Nm, then 90°');
    const joint = { ...made, rangeSchool: 'bottom-then-middle' as const, detail: { ...made.detail, confirming: true } };
    const { steps } = planOfJoint(inputsOf(joint));
    const told = steps.map((step) => (step.kind === 'shaft' ? 'shaft' : step.turn ? '°' : step.setting));
    expect(told.filter((one) => one === 'shaft')).toHaveLength(1);
    const [last] = told.filter((one) => typeof one === 'number').slice(-1);
    expect(told.indexOf('shaft')).toBe(told.indexOf(last ?? 0) - 1);
    // Four at the last figure, then four by angle: no round more.
    expect(told.slice(-8)).toEqual([...Array<number>(4).fill(Number(last)), ...Array<string>(4).fill('°')]);
    expect(told.filter((one) => one === last)).toHaveLength(4);
  });

  test('no plan begins with a turn', () => {
    const plan = () =>
      tighteningPlan({
        positions: [[0, 0]],
        school: 'star',
        stages: [{ setting: 1, torque_Nm: 1, turn: { min_deg: 90, max_deg: 90 } }],
        unitOfWork: 'row',
        turnShaft: false,
      });
    expect(codeOf(plan)).toBe('bad-field');
  });

  test('whatever torques and turns a page prints: its turns come back in their order, its shares rise to one', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 5, max: 90 }), { minLength: 1, maxLength: 4 }),
        fc.array(fc.integer({ min: 20, max: 180 }), { minLength: 1, maxLength: 3 }),
        (figures, turns) => {
          const rising = [...figures].sort((a, b) => a - b);
          const text = [...rising.map((figure) => `${figure} Nm`), ...turns.map((turn) => `${turn}°`)].join(', then ');
          const print = readTorque(text);
          if (print.kind !== 'stages') throw new Error(`${text} was read as ${print.kind}`);
          expect(print.final).toBeUndefined();
          expect(print.snug?.max_Nm).toBeCloseTo(there(rising.at(-1)), 9);
          expect(print.turns?.map(({ max_deg }) => max_deg)).toEqual(turns);
          expect(print.shares).toHaveLength(rising.length);
          expect(print.shares?.at(-1)).toBe(1);
          expect([...(print.shares ?? [])].sort((a, b) => a - b)).toEqual(print.shares);
        },
      ),
    );
    expect(turnsOfLeaf({ printedText: '40 Nm', kind: 'torque' } as Parameters<typeof turnsOfLeaf>[0])).toEqual([]);
  });
});
