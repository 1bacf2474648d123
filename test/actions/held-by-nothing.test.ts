import { beforeEach, describe, expect, test } from '@jest/globals';
import { keepMeasureAction } from '@/features/measures/actions';
import { undoAction } from '@/features/removal/actions';
import { keepPracticeAction } from '@/features/shelves/actions';
import { startRetorqueAction } from '@/features/run-in/actions';
import type { Shop } from '@/db/shop';
import { jointInputs } from '@/db/reads/joint-inputs';
import { ladderInput } from '@/model/joint/joint-ladder';
import { planOfJoint } from '@/model/joint/round-plan';
import { recordEvent } from '@/features/bench/record-event';
import { jointNamed, YARD_NOW } from '../db/temporary-shop';
import { accepted, ownShop, refused, there } from './own-shop';

// Each of these could be spoilt without a test that saw it.

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const FOURTEEN = 'demo-fourteen';
const tokenOf = (result: unknown) => there((result as { readonly undo?: { token: string } }).undo).token;

describe('a sheet of the whole engine taken back', () => {
  const marks = (one: string) => ({ pairs: [{ place: 'Rod 1', one, other: one }] });
  const keep = (one: string, basedOn: string | null) =>
    accepted(keepMeasureAction({ engineId: FOURTEEN, kind: 'marks', body: marks(one), basedOn }));
  const latest = () => shop.measures.latest(FOURTEEN, 'marks');
  test('is the one before it; saved again since it is not, and nothing is written', async () => {
    const before = there(latest());
    const first = await keep('7', before.id);
    const second = await keep('8', there(latest()).id);
    const count = shop.measures.all(FOURTEEN).length;
    expect(await refused(undoAction({ token: tokenOf(first) }))).toMatchObject({ code: 'changed-since' });
    expect(shop.measures.all(FOURTEEN)).toHaveLength(count);
    await accepted(undoAction({ token: tokenOf(second) }));
    expect(latest()?.body.pairs[0]?.one).toBe('7');
    expect(latest()?.id).not.toBe(before.id);
  });
  test('that had none before it has no way back: there would be nothing to hold', async () => {
    shop.engines.add({ ...there(shop.engines.find(FOURTEEN)), id: 'bare', name: 'Bare' });
    const done = await accepted(
      keepMeasureAction({ engineId: 'bare', kind: 'marks', body: marks('1'), basedOn: null }),
    );
    expect(done).not.toHaveProperty('undo');
    expect(shop.measures.latest('bare', 'marks')?.body.pairs[0]?.one).toBe('1');
  });
});

test('renaming says whether there was anything to rename', () => {
  expect([shop.trials.rename('none', 'x'), shop.trials.rename(there(shop.trials.all()[0]).id, 'x')]).toEqual([
    false,
    true,
  ]);
});

test('the practice of one engine is told by its name, and its version rises by one', async () => {
  const engine = there(shop.engines.find(FOURTEEN));
  const done = await accepted(
    keepPracticeAction({ engineId: FOURTEEN, version: engine.version, change: { range: 'top' } }),
  );
  expect(done).toMatchObject({
    version: engine.version + 1,
    undo: { words: expect.stringContaining(engine.name) as unknown },
  });
  expect(shop.engines.find(FOURTEEN)).toMatchObject({ version: engine.version + 1, practice: { range: 'top' } });
});

describe('a retorque that was done', () => {
  const head = () => jointNamed(shop, 'demo-f-joint-head');
  const start = () =>
    startRetorqueAction({
      jointId: head().id,
      version: head().version,
      asPulled: false,
      reason: 'as the page has it',
      film: 'as-pulled',
    });
  const goneRound = (href: string) => {
    const id = href.split('/').at(-1) ?? '';
    const { plan } = there(shop.tightenings.find(id));
    plan.steps.forEach((step, i) => {
      const line = { id: `${id}-${i}`, step: i, at: new Date().toISOString() };
      const event =
        step.kind === 'shaft'
          ? { ...line, kind: 'shaft' as const }
          : { ...line, kind: 'pull' as const, outcome: 'pulled' as const };
      recordEvent(shop, id, event);
    });
  };
  test('is not begun again on the same run', async () => {
    const [cycle] = shop.heat.log(FOURTEEN).cycles;
    const at = new Date(Date.now() - 60_000).toISOString();
    shop.heat.addReading({ id: 'c1', engineId: FOURTEEN, cycleId: there(cycle).id, at, head_C: 15, ambient_C: 15 }, at);
    goneRound((await accepted(start())).href);
    expect(await refused(start())).toMatchObject({ code: 'not-open' });
  });
});

describe('a rung that was taken out', () => {
  test('without a reason of words is in: blanks are none', () => {
    const joint = jointNamed(shop, 'demo-f-joint-head');
    const now = Date.parse(YARD_NOW);
    const withReason = (reason: string) => {
      const inputs = jointInputs(
        shop,
        { ...joint, detail: { ...joint.detail, overrides: { film: { kind: 'out', reason } as never } } },
        now,
      );
      const wrench = there(inputs.shelves.wrenches.find(({ id }) => id === joint.wrenchId));
      return Object.keys(ladderInput(inputs, wrench).overrides ?? {});
    };
    expect([withReason('  '), withReason('the page says so')]).toEqual([[], ['film']]);
  });
});

describe('bottom first, then the middle', () => {
  const stages = (id: string, rangeSchool: 'bottom-then-middle' | 'middle') => {
    const { steps } = planOfJoint(jointInputs(shop, { ...jointNamed(shop, id), rangeSchool }, Date.parse(YARD_NOW)));
    return 1 + Math.max(...steps.map((step) => (step.kind === 'pull' ? step.stage : 0)));
  };
  const joints = () => shop.engines.all().flatMap(({ id }) => shop.joints.ofEngine(id));
  const isRange = (id: string) => {
    const leaf = there(shop.book.findLeaf(jointNamed(shop, id).leafId));
    return leaf.min_Nm !== leaf.max_Nm;
  };
  test('is a stage more where the page has a range, and none where it has one figure', () => {
    const more = joints()
      .filter(({ leafId }) => shop.book.findLeaf(leafId)?.min_Nm != null)
      .map(({ id }) => [isRange(id), stages(id, 'bottom-then-middle') - stages(id, 'middle')]);
    expect(more.map(([range]) => range)).toEqual(expect.arrayContaining([true, false]));
    expect(more.filter(([range, added]) => added !== (range ? 1 : 0))).toEqual([]);
  });
});
