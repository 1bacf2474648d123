import { beforeEach, describe, expect, test } from '@jest/globals';
import { openShop, type Shop } from '@/db/shop';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { addCycleAction, startWrongAction, strikeHeatAction } from '@/features/run-in/actions';
import { runInOf } from '@/features/run-in/queries';
import { undoAction } from '@/features/removal/actions';
import { enterTemperaturesAction } from '@/features/run-in/temperature-actions';
import { writeLineAction } from '@/features/order/actions';
import { engineStateOf } from '@/model/engine/engine-rows';
import { START_CHECKS } from '@/model/order/start-checks';
import { nowMs } from '@/server/clock';
import { rowsNamed, temporaryFile } from '../db/temporary-shop';
import { step } from '../model/order/bench-of-order';
import { accepted, ownShop, refused, refusedWhole } from './own-shop';

/** The yard's newest engine: it never ran. */
const ENGINE = 'engine-of-test';
const MINUTE = 60_000;
const iso = (ago_min: number) => new Date(nowMs() - ago_min * MINUTE).toISOString();

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
  const [one] = shop.engines.all();
  if (!one) throw new Error('the yard is empty');
  shop.engines.add({ ...one, id: ENGINE, name: 'One that never ran', engineNumber: '' });
});

let n = 0;
const run = (part: object = {}) => ({
  id: `first-run-${(n += 1)}`,
  engineId: ENGINE,
  sentAt: iso(0),
  ranFrom: iso(40),
  ranTo: iso(10),
  highest_C: '85',
  ambient_C: '12',
  ...part,
});
const wrong = (part: object = {}) => ({
  id: `wrong-start-${(n += 1)}`,
  engineId: ENGINE,
  sentAt: iso(0),
  on: iso(5),
  seen: [{ sign: 'no-fire', words: 'leads crossed' }],
  ...part,
});
const look = (check: string, more: object = {}) =>
  writeLineAction({
    engineId: ENGINE,
    line: { id: `look-${(n += 1)}-${check}`, kind: 'start-look', body: { check, is: 'done', words: '', ...more } },
  });
const startLines = (of: Shop) => engineStateOf(rowsNamed(of, ENGINE)).order.lines;
const runIn = () => runInOf(engineStateOf(rowsNamed(shop, ENGINE)), nowMs());
const passed = () => startLines(shop).filter((line) => line.kind === 'start-passed');

describe('the first run', () => {
  test('is refused while its sheet is open and nobody said why; then it is written down with what stood open', async () => {
    const sent = run();
    const problem = await refusedWhole(shop, () => addCycleAction(sent));
    expect(problem).toMatchObject({ code: 'start-open', field: 'startReason' });
    expect(problem.message).toContain('10 of 10 not looked at');
    await accepted(addCycleAction({ ...sent, startReason: 'it ran before it came here' }));
    expect(passed()).toMatchObject([
      { body: { reason: 'it ran before it came here', bars: [expect.stringContaining('10 of 10') as unknown] } },
    ]);
    // Later ones are no first start.
    await accepted(addCycleAction(run({ ranFrom: iso(9), ranTo: iso(2) })));
    expect(runIn().start).toBeUndefined();
  });

  test('with all of it looked at asks nothing and writes no excuse', async () => {
    for (const check of START_CHECKS) await accepted(look(check));
    expect(runIn().start).toMatchObject({ isReady: true, bars: [] });
    await accepted(addCycleAction(run()));
    expect(passed()).toEqual([]);
  });

  test('asks nothing where the order says that it was started: its step asked before', async () => {
    shop.build.addStep(step('first-start', { engineId: ENGINE, name: 'First start', detail: { makes: ['starts'] } }));
    const done = { id: 'started-line', kind: 'done', stepId: 'first-start', body: {} };
    expect((await refused(writeLineAction({ engineId: ENGINE, line: done }))).code).toBe('needs-reason');
    expect(runIn().start?.asksWhy).toBe(true);
    await accepted(writeLineAction({ engineId: ENGINE, line: { ...done, reason: 'it ran on the bench' } }));
    expect(runIn().start).toMatchObject({ asksWhy: false, isReady: false });
    await accepted(addCycleAction(run()));
    expect(passed()).toEqual([]);
  });

  test('taken back it takes the excuse along, and is asked again', async () => {
    const sent = run({ startReason: 'in a hurry' });
    await accepted(addCycleAction(sent));
    await accepted(strikeHeatAction({ id: 'strike-first', engineId: ENGINE, strikesId: sent.id }));
    expect(passed()).toEqual([]);
    expect((await refused(addCycleAction(run()))).code).toBe('start-open');
  });

  test('from a recorder’s table is a first start too', async () => {
    const text = [
      'time;°C',
      ...Array.from({ length: 31 }, (_, i) => `00:${String(i).padStart(2, '0')};${12 + 2.5 * i}`),
    ];
    const table = {
      id: 'recorded-first',
      engineId: ENGINE,
      sentAt: iso(0),
      text: text.join('\n'),
      firstAt: iso(40),
      from_min: 0,
      to_min: 30,
      ambient_C: '12',
      probed: 'head',
    };
    expect((await refusedWhole(shop, () => enterTemperaturesAction(table))).code).toBe('start-open');
    await accepted(enterTemperaturesAction({ ...table, startReason: 'on the trailer' }));
    expect(passed()).toHaveLength(1);
  });

  test('an answer that says nothing, or that nobody may give, is refused', async () => {
    expect((await refused(look('oil', { is: 'left-out' }))).code).toBe('bad-field');
    expect((await refused(look('ghost'))).code).toBe('bad-field');
    expect((await refused(look('oil', { is: 'none' }))).code).toBe('not-none');
  });

  test('a tick is taken back with the act', async () => {
    const { undo } = await accepted(look('oil'));
    if (!undo) throw new Error('there is no way back');
    expect(runIn().start?.checks[0]?.line).toBeDefined();
    await accepted(undoAction({ token: undo.token }));
    expect(runIn().start?.checks[0]?.line).toBeUndefined();
  });
});

describe('a start that went wrong', () => {
  test('is kept without a temperature, puts in doubt what was looked at, and goes on the open list by a press', async () => {
    for (const check of START_CHECKS) await accepted(look(check));
    const sent = wrong({ on: iso(0) });
    await accepted(startWrongAction(sent));
    await accepted(startWrongAction(sent));
    const { start, wrongStarts, cycles } = runIn();
    expect(cycles).toEqual([]);
    expect(wrongStarts).toHaveLength(1);
    expect(wrongStarts[0]?.seenLines).toMatchObject([
      { what: 'it would not fire, or not run: leads crossed', state: 'unsaid' },
    ]);
    expect(start?.isReady).toBe(false);
    expect(start?.checks.filter(({ again }) => again === 'went-wrong')).toHaveLength(7);
    expect((await refused(addCycleAction(run({ ranFrom: iso(3), ranTo: iso(0) })))).code).toBe('start-open');
  });

  test.each([
    [{ seen: [] }, 'seen'],
    [{ on: iso(-60) }, 'on'],
    [{ on: '' }, 'on'],
    [{ engineId: 'none' }, 'engineId'],
  ])('%j is refused at its field', async (part, field) => {
    expect((await refusedWhole(shop, () => startWrongAction(wrong(part)))).field).toBe(field);
  });

  test('travels with the engine; one that lies in the future does not', async () => {
    await accepted(look('water', { is: 'none' }));
    await accepted(startWrongAction(wrong()));
    await accepted(addCycleAction(run({ startReason: 'on the trailer' })));
    const engine = shop.engines.find(ENGINE);
    if (!engine) throw new Error('it is not there');
    const file = parseBuildFile(JSON.stringify(buildFileOf(shop, engine, iso(0)))).file;
    const other = openShop(temporaryFile());
    readBack(other, file, nowMs(), () => 'fresh');
    expect(startLines(other).map(({ kind }) => kind)).toEqual(['start-look', 'start-wrong', 'start-passed']);
    const ahead = JSON.parse(JSON.stringify(file)) as typeof file;
    const line = ahead.order.buildLines.find(({ kind }) => kind === 'start-wrong') as { body: { on: string } };
    line.body.on = iso(-600);
    expect(() => readBack(openShop(temporaryFile()), ahead, nowMs(), () => 'fresh')).toThrow(/in the future/);
    const none = JSON.parse(JSON.stringify(file)) as typeof file;
    const answer = none.order.buildLines.find(({ kind }) => kind === 'start-look') as { body: { check: string } };
    answer.body.check = 'oil';
    expect(() => readBack(openShop(temporaryFile()), none, nowMs(), () => 'fresh')).toThrow(/what every engine has/);
    other.close();
  });
});
