import { beforeEach, describe, expect, test } from '@jest/globals';
import type { Shop } from '@/db/shop';
import { copyFromPaperAction } from '@/features/bench/actions';
import { changedNow, facePage } from '@/features/bench/queries';
import { recordEvent } from '@/features/bench/record-event';
import { startTighteningAction } from '@/features/joint/actions';
import { lineOf } from '@/interface/words/bench-words';
import type { Effect, StepKind } from '@/model/order/step';
import { nowMs } from '@/server/clock';
import { freshTightening, jointNamed } from '../db/temporary-shop';
import { accepted, ownShop, refusedWhole, there } from './own-shop';

const NORRHEM = 'demo-norrhem';
const MAINS = 'demo-n-joint-mains';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

/** A step that was done so many seconds ago, by the server's clock. */
function doneStep(id: string, kind: StepKind, makes: readonly Effect[], ago_s: number) {
  const [step] = shop.build.ofEngine(NORRHEM).steps;
  const plain = { ...there(step), jointId: null, fitId: null, after: [], notUntil: [] };
  shop.build.addStep({ ...plain, id, name: id, kind, detail: { ...plain.detail, makes } });
  const at = new Date(nowMs() - 1000 * ago_s).toISOString();
  shop.build.record(NORRHEM, { id: `done-${id}`, kind: 'done', stepId: id, at, body: { set: 'by the marks' } }, at);
}

const time = (ago_s = 60) => doneStep('Cam timing', 'timing', [], ago_s);
const free = (ago_s: number) => doneStep('Chain on', 'other', ['crank-free'], ago_s);

describe('a round that was begun while the crank was free', () => {
  /** Up to where the crank is to be turned. */
  function begun() {
    const round = freshTightening(shop);
    const turn = round.plan.steps.findIndex(({ kind }) => kind === 'shaft');
    expect(turn).toBeGreaterThan(0);
    for (let step = 0; step < turn; step++)
      expect(recordEvent(shop, round.id, { id: `pull-${step}-x`, kind: 'pull', step, outcome: 'pulled' }).ok).toBe(
        true,
      );
    const line = (kind: 'shaft' | 'skip', age_ms = 0, words?: string) =>
      recordEvent(shop, round.id, { id: `${kind}-line`, kind, step: turn, age_ms, ...(words && { words }) });
    return { ...round, turn, line };
  }

  test('asks for no turn once the crank was timed, and takes none', () => {
    const { id, line } = begun();
    expect(facePage(shop, id, nowMs())?.held).toBeUndefined();
    time();
    const held = { by: 'order', why: 'It is locked by “Cam timing”' };
    expect(facePage(shop, id, nowMs())?.held).toEqual(held);
    expect(changedNow(shop, id, nowMs())).toMatchObject({ held });
    expect(line('shaft')).toMatchObject({
      ok: false,
      error: { code: 'crank-held', message: expect.stringContaining('locked by “Cam timing” in the order') },
    });
  });
  test('takes a turn that was made before it was timed, and comes late; and the same once more', () => {
    const { line } = begun();
    time(60);
    expect(line('shaft', 90_000)).toMatchObject({ ok: true });
    expect(line('shaft')).toMatchObject({ ok: true, result: { isNew: false } });
  });
  test('goes on without it, with a reason, and its record says so', () => {
    const { id, plan, turn, line } = begun();
    time();
    expect(line('skip')).toMatchObject({ ok: false, error: { field: 'words' } });
    expect(line('skip', 0, 'timed, and stays so')).toMatchObject({ ok: true });
    expect(recordEvent(shop, id, { id: 'next-pull', kind: 'pull', step: turn + 1, outcome: 'pulled' }).ok).toBe(true);
    const passed = shop.tightenings.events(id).find(({ kind }) => kind === 'skip');
    expect(passed?.kind === 'skip' && lineOf(plan, passed)).toBe('crank not turned: timed, and stays so');
  });
  test('does not pass the turn over where nothing holds the crank', () => {
    const { line } = begun();
    const refused = { ok: false, error: { code: 'crank-free' } };
    expect(line('skip', 0, 'no time')).toMatchObject(refused);
    time(120);
    free(60);
    expect(line('skip', 0, 'no time')).toMatchObject(refused);
    // Passed over while it was held, and only heard of now.
    expect(line('skip', 90_000, 'timed')).toMatchObject({ ok: true });
  });
  test('a paper card tells of a turn at some time since it was begun', async () => {
    const { id, turn } = begun();
    time();
    const boxes = [{ step: turn, outcome: 'turned' }];
    await accepted(copyFromPaperAction({ roundId: id, boxes, words: '', bench: 'bench-0001' }));
    expect(shop.tightenings.events(id).at(-1)).toMatchObject({ kind: 'shaft', step: turn });
  });
});

describe('a round that is begun while the crank is held', () => {
  const begin = (purpose: string, reason = '') =>
    startTighteningAction({ jointId: MAINS, version: jointNamed(shop, MAINS).version, purpose, reason });
  const turnsIn = ({ href }: { readonly href: string }) =>
    there(shop.tightenings.find(there(href.split('/').at(-1)))).plan.steps.filter(({ kind }) => kind === 'shaft');

  test('goes without turning it, and one for good wants a reason for that', async () => {
    expect(turnsIn(await accepted(begin('trial', 'tried')))).not.toEqual([]);
    time();
    expect(turnsIn(await accepted(begin('trial', 'tried')))).toEqual([]);
    expect(await refusedWhole(shop, () => begin('final'))).toMatchObject({
      code: 'needs-reason',
      message: expect.stringMatching(/locked by “Cam timing”: this round goes without turning it/),
    });
    expect(turnsIn(await accepted(begin('final', 'it was felt before')))).toEqual([]);
  });
});
