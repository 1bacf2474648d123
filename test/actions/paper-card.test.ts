import { beforeEach, describe, expect, test } from '@jest/globals';
import type { Shop } from '@/db/shop';
import { copyFromPaperAction } from '@/features/bench/actions';
import { moveHold } from '@/features/bench/hold';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { setAsideAction } from '@/features/removal/actions';
import { lineOf } from '@/interface/words/bench-words';
import { openShop } from '@/db/shop';
import { temporaryFile } from '../db/temporary-shop';
import { accepted, ownShop, refusedWhole, rowsIn, there } from './own-shop';

const ROUND = 'demo-m-joint-head-round-1';
const BENCH = 'bench-one';
let shop: Shop;
beforeEach(() => {
  shop = ownShop();
  shop.db.exec('UPDATE step SET joint_id = NULL, fit_id = NULL');
});
const plan = () => there(shop.tightenings.find(ROUND)).plan;
const stood = () => shop.tightenings.events(ROUND);
/** Every box from where the round stands on. */
const rest = () =>
  plan().steps.flatMap(({ kind }, step) =>
    step < stood().length ? [] : [{ step, outcome: kind === 'shaft' ? 'turned' : 'pulled' }],
  );
const copy = (boxes: readonly object[], given: object = {}) =>
  copyFromPaperAction({ roundId: ROUND, boxes, words: 'Saturday, MK', bench: BENCH, ...given });

describe('what was ticked on paper', () => {
  test('is on the record, said to be from paper, and goes out and in with a build', async () => {
    const before = stood().length;
    await accepted(copy(rest()));
    const lines = stood().slice(before);
    expect(lines).toHaveLength(plan().steps.length - before);
    const [line] = lines;
    expect(line && 'step' in line ? lineOf(plan(), line) : '').toMatch(/pulled, copied from paper: Saturday, MK$/);
    const file = JSON.stringify(
      buildFileOf(shop, there(shop.engines.find('demo-maestrale')), new Date().toISOString()),
    );
    const other = openShop(temporaryFile());
    readBack(other, parseBuildFile(file).file, Date.now(), () => 'unused');
    expect(other.tightenings.events(ROUND)).toEqual(stood());
  });
  test('is all of it written or none: a crank nobody ticked, a box of before, one twice, a round that is gone', async () => {
    const boxes = rest();
    for (const [sent, code] of [
      [boxes.filter(({ outcome }) => outcome !== 'turned'), 'crank-not-ticked'],
      [[{ step: 0, outcome: 'pulled' }, ...boxes], 'ticked-already'],
      [[boxes[0], boxes[0]], 'bad-field'],
      [[], 'nothing-ticked'],
      [[{ step: 7, outcome: 'perhaps' }], 'bad-field'],
    ] as const)
      expect((await refusedWhole(shop, () => copy(sent as never))).code).toBe(code);
    expect((await refusedWhole(shop, () => copy(boxes, { roundId: 'none' }))).code).toBe('not-found');
    expect((await refusedWhole(shop, () => copy(boxes, { bench: '' }))).code).toBe('bad-field');
  });
  test('is asked what a pull at the bench is asked: who has the wrench, whether it is aside, opened, or the crank held', async () => {
    const boxes = rest();
    moveHold(shop, ROUND, { act: 'take', bench: 'bench-two' }, 'IH', new Date().toISOString());
    expect((await refusedWhole(shop, () => copy(boxes))).code).toBe('held-elsewhere');
    moveHold(shop, ROUND, { act: 'lay-down', bench: 'bench-two' }, 'IH', new Date().toISOString());
    const events = rowsIn(shop, 'bench_event');
    shop.asides.put({
      kind: 'joint',
      id: 'demo-m-joint-head',
      engineId: 'demo-maestrale',
      reason: 'later',
      at: new Date().toISOString(),
    });
    expect((await refusedWhole(shop, () => copy(boxes))).code).toBe('set-aside');
    shop.asides.bringBack('joint', 'demo-m-joint-head');
    expect(rowsIn(shop, 'bench_event')).toBe(events);
    await accepted(copy(boxes));
    // Done by paper it is done: a joint that is tight may be set aside.
    await accepted(setAsideAction({ kind: 'joint', id: 'demo-m-joint-head', reason: 'sold' }));
  });
});
