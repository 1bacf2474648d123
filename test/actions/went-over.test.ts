import { beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { assertFollows, roundState, type BenchEvent, type PullOutcome, type Step } from '@/core/tightening';
import { openShop, type Shop } from '@/db/shop';
import { recordEvent } from '@/features/bench/record-event';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { lineOf } from '@/interface/words/bench-words';
import { tighteningLine } from '@/interface/words/status-words';
import { jointStateOf } from '@/model/engine/engine-rows';
import { waitsOf } from '@/model/engine/engine-wait';
import { nowMs } from '@/server/clock';
import { codeOf } from '../core/code-of';
import {
  freshTightening,
  jointNamed,
  rowsNamed,
  stateNamed,
  temporaryFile,
  YARD_NOW,
  yardShop,
} from '../db/temporary-shop';

let shop: Shop;
let steps: readonly Step[];
let sent = 0;
beforeEach(() => {
  shop = yardShop();
  steps = freshTightening(shop).plan.steps;
});

const send = (part: object) => recordEvent(shop, 'round', { id: `line-${++sent}-00000`, age_ms: 0, ...part });
const codeSent = (part: object) => {
  const answer = send(part);
  return answer.ok ? 'written' : answer.error.code;
};
/** Goes through the whole round; the step named goes over. */
const goRound = (over?: number) => {
  for (const [step, { kind }] of steps.entries())
    expect(
      send(kind === 'shaft' ? { kind, step } : { kind, step, outcome: step === over ? 'went-over' : 'pulled' }).ok,
    ).toBe(true);
};
const mains = () => jointStateOf(rowsNamed(shop, 'demo-norrhem'), jointNamed(shop, 'demo-n-joint-mains'));
const finalSteps = () => steps.flatMap((step, at) => (step.kind === 'pull' && step.final ? [at] : []));

describe('a fastener that went over at its final figure', () => {
  test('leaves the round unfinished, however many are pulled after it', () => {
    const [third = 0] = finalSteps().slice(2);
    goRound(third);
    const { final } = mains();
    expect(final?.state).toMatchObject({ next: steps.length, complete: false, over: [third] });
    expect(tighteningLine(mains(), nowMs())).toMatch(/^Number 3 went over: to be slackened and pulled again/);
    expect(mains().retorque.state).not.toBe('open');
  });
  test('is finished by slackening and pulling again; over once more, it is asked again', () => {
    const [first = 0] = finalSteps();
    goRound(first);
    expect(send({ kind: 'again', step: first, outcome: 'went-over' }).ok).toBe(true);
    expect(mains().final?.state.complete).toBe(false);
    expect(send({ kind: 'again', step: first, outcome: 'pulled' }).ok).toBe(true);
    const state = mains().final?.state;
    expect(state).toMatchObject({ complete: true, over: [] });
    expect(state?.marks.some(({ attention }) => attention)).toBe(false);
  });
  test('or by a reason, which the record keeps and another shop reads', () => {
    const [first = 0] = finalSteps();
    goRound(first);
    expect(codeSent({ kind: 'left', step: first, words: ' ' })).not.toBe('written');
    expect(send({ kind: 'left', step: first, words: 'the book allows five more' }).ok).toBe(true);
    const { final } = mains();
    expect(final?.state.complete).toBe(true);
    const { plan } = final!.tightening;
    expect(lineOf(plan, final!.state.last!)).toMatch(/left as it is: the book allows five more$/);

    const engine = shop.engines.find('demo-norrhem')!;
    const other = openShop(temporaryFile());
    let n = 0;
    const { file: sentFile } = parseBuildFile(JSON.stringify(buildFileOf(shop, engine, YARD_NOW)));
    const { file } = readBack(other, sentFile, Date.now(), () => `read-${n++}`);
    const lines = [...rowsNamed(other, file.engine.id).events.values()].flat();
    expect(lines).toContainEqual(expect.objectContaining({ kind: 'left', words: 'the book allows five more' }));
  });
  test('struck, the second pull is not there: it waits again', () => {
    const [first = 0] = finalSteps();
    goRound(first);
    send({ kind: 'again', step: first, outcome: 'pulled' });
    const last = mains().final!.state.last!;
    expect(send({ kind: 'strike', strikes: last.id }).ok).toBe(true);
    expect(mains().final?.state.over).toEqual([first]);
  });
  test('only such a one is pulled again: not one that was pulled, not one of a stage before', () => {
    expect(codeSent({ kind: 'again', step: 0, outcome: 'pulled' })).toBe('not-over');
    expect(send({ kind: 'pull', step: 0, outcome: 'went-over' }).ok).toBe(true);
    expect(steps[0]).toMatchObject({ final: false });
    expect(codeSent({ kind: 'again', step: 0, outcome: 'pulled' })).toBe('not-over');
    expect(codeSent({ kind: 'left', step: 0, words: 'because' })).toBe('not-over');
    expect(codeSent({ kind: 'again', step: 10_001, outcome: 'pulled' })).toBe('bad-field');
  });
  test('a plan of before did not ask, and what was done then is done', () => {
    const events: BenchEvent[] = finalSteps().map((step) => ({
      id: `${step}`,
      kind: 'pull',
      step,
      outcome: 'went-over',
      at: '',
    }));
    expect(roundState(steps, events, 6).over).toEqual([]);
    expect(roundState(steps, events, 6, true).over).toEqual(finalSteps());
  });
  test('is what its engine waits for, before a nut that is only next', () => {
    const [first = 0] = finalSteps();
    for (let step = 0; step <= first; step++) {
      const kind = steps[step]?.kind;
      send(kind === 'shaft' ? { kind, step } : { kind, step, outcome: step === first ? 'went-over' : 'pulled' });
    }
    const state = stateNamed(shop, 'demo-norrhem');
    expect(waitsOf({ ...state, fits: [] })[0].waitsFor).toMatch(/number 1 went over$/);
  });
  test('whatever is sent in whatever order: finished means that none stands over', () => {
    const four: readonly Step[] = [0, 1, 2, 3].map((position) => ({
      kind: 'pull',
      stage: 0,
      position,
      setting: 40,
      torque_Nm: 40,
      final: true,
    }));
    const outcome = fc.constantFrom<PullOutcome>('pulled', 'went-over', 'did-not-move');
    const act = fc.tuple(fc.constantFrom('pull', 'again', 'left', 'strike'), fc.nat(3), outcome);
    fc.assert(
      fc.property(fc.array(act, { maxLength: 30 }), (acts) => {
        const events: BenchEvent[] = [];
        for (const [i, [kind, step, how]] of acts.entries()) {
          const last = roundState(four, events, 4, true).last?.id ?? 'none';
          const shared = { id: `${i}`, at: '' };
          const event = (
            kind === 'strike'
              ? { ...shared, kind, strikes: last }
              : kind === 'left'
                ? { ...shared, kind, step, words: 'x' }
                : { ...shared, kind, step, outcome: how }
          ) as BenchEvent;
          if (codeOf(() => assertFollows(four, events, event)) === undefined) events.push(event);
        }
        const state = roundState(four, events, 4, true);
        const lastAt = (step: number) =>
          state.done.findLast((event) => event.kind !== 'shaft' && event.step === step) as
            { readonly kind: string; readonly outcome?: string } | undefined;
        const over = [0, 1, 2, 3].filter((step) => lastAt(step)?.outcome === 'went-over');
        expect([...state.over].sort()).toEqual(over);
        expect(state.complete).toBe(state.next === 4 && over.length === 0);
      }),
    );
  });
});
