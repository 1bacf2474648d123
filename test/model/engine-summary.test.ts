import { expect, test } from '@jest/globals';
import { engineStateOf } from '@/model/engine/engine-rows';
import { summaryOf } from '@/model/engine/engine-summary';
import type { EngineState } from '@/model/engine/engine-state';
import { rowsNamed, yardShop } from '../db/temporary-shop';

const state = engineStateOf(rowsNamed(yardShop(), 'demo-fourteen'));

/** The engine with one bolt of each joint so. */
const withBolts = (open: readonly object[]): EngineState => ({
  ...state,
  joints: state.joints.map((one) => ({
    ...one,
    stretch: [{ set: { name: 'x', bolts: 4 }, bolts: [], open }] as never,
  })),
});

test('a joint with a bolt that is not inside its stretch is not counted as tight, nor as complete', () => {
  const { tighten, record } = summaryOf(state).progress;
  expect([tighten.done, record.done].every((done) => done > 0)).toBe(true);
  expect(summaryOf(withBolts([])).progress).toEqual(summaryOf(state).progress);
  const open = summaryOf(withBolts([{ bolt: 2, words: 'stretch short', stops: false }])).progress;
  expect([open.tighten, open.record]).toEqual([
    { ...tighten, done: 0 },
    { ...record, done: 0 },
  ]);
});
