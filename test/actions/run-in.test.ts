import { beforeEach, describe, expect, test } from '@jest/globals';
import type { Shop } from '@/db/shop';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { enterTemperaturesAction, previewTemperaturesAction } from '@/features/run-in/temperature-actions';
import { addCycleAction, addMeterAction, strikeHeatAction } from '@/features/run-in/actions';
import { runInOf } from '@/features/run-in/queries';
import { seenTyped } from '@/features/run-in/seen-typed';
import { openShop } from '@/db/shop';
import { engineStateOf } from '@/model/engine/engine-rows';
import { waitsOf } from '@/model/engine/engine-wait';
import { nowMs } from '@/server/clock';
import { rowsNamed, temporaryFile } from '../db/temporary-shop';
import { accepted, ownShop, refused, refusedWhole, there } from './own-shop';

const ENGINE = 'demo-fourteen';
const HEAD = 'demo-f-joint-head';
const MINUTE = 60_000;

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const iso = (ago_min: number) => new Date(nowMs() - ago_min * MINUTE).toISOString();
let n = 0;
const run = (part: object = {}) => ({
  id: `run-of-test-${(n += 1)}`,
  engineId: ENGINE,
  sentAt: iso(0),
  ranFrom: iso(40),
  ranTo: iso(10),
  highest_C: '85',
  ambient_C: '12',
  ...part,
});
const meter = (part: object = {}) => ({
  id: `meter-of-test-${(n += 1)}`,
  engineId: ENGINE,
  sentAt: iso(0),
  at: iso(5),
  reads: '45,000',
  unit: 'mi',
  ...part,
});

const runIn = () => runInOf(engineStateOf(rowsNamed(shop, ENGINE)), nowMs());
const log = () => shop.heat.log(ENGINE);

describe('a run', () => {
  test('keeps how far it went, what was seen and what the odometer read', async () => {
    await accepted(
      addCycleAction(
        run({ went: '12,5', reads: '45,012', unit: 'km', seen: [{ sign: 'leak', words: 'left corner' }] }),
      ),
    );
    expect(log().cycles.at(-1)).toMatchObject({
      went: { value: 12.5, unit: 'km' },
      seen: [{ sign: 'leak', words: 'left corner' }],
    });
    expect(log().meters).toMatchObject([{ reads: 45_012, unit: 'km' }]);
    const [latest] = runIn().cycles;
    expect(latest?.seenLines).toMatchObject([{ what: 'a leak: left corner', state: 'unsaid' }]);
    expect(latest?.seenLines[0]?.words).toContain('At the run of');
  });

  test('keeps how it was left to cool, and why it is no cycle of its own', async () => {
    await accepted(addCycleAction(run({ ranFrom: iso(200), ranTo: iso(160), stood: 'fan' })));
    await accepted(addCycleAction(run({ ranFrom: iso(150), ranTo: iso(120), stood: '' })));
    await accepted(addCycleAction(run({ ranFrom: iso(9), ranTo: iso(3), highest_C: '48' })));
    const [cool, warm, first] = runIn().cycles;
    expect(first).toMatchObject({ stood: 'fan', noCycle: [] });
    expect(warm).not.toHaveProperty('stood');
    expect(warm?.noCycle).toMatchObject([{ joint: 'Cylinder head', no: { why: 'not-cooled' } }]);
    expect(cool?.noCycle).toMatchObject([{ no: { why: 'too-cool' }, least: { highest_C: 60, cooledTo_C: 40 } }]);
    expect(runIn().sinceTight.find(({ name }) => name === 'Cylinder head')?.heats).toBe(2);
  });

  test('that says nothing of its way has none, and sent twice it is one', async () => {
    const sent = run({ went: '', reads: '' });
    await accepted(addCycleAction(sent));
    await accepted(addCycleAction(sent));
    const own = log().cycles.filter(({ id }) => id === sent.id);
    expect(own).toHaveLength(1);
    expect(own[0]).not.toHaveProperty('went');
    expect(log().meters).toEqual([]);
  });
  test('under a known id, with another way, other signs or another cooling, is refused; the same again is not', async () => {
    const sent = run({ went: '12', unit: 'km', stood: 'fan', seen: [{ sign: 'leak', words: 'left corner' }] });
    await accepted(addCycleAction(sent));
    for (const other of [
      { went: '13' },
      { went: '' },
      { unit: 'mi' },
      { stood: '' },
      { seen: [] },
      { seen: [{ sign: 'leak', words: 'right corner' }] },
      { highest_C: '71' },
    ])
      expect(await refused(addCycleAction({ ...sent, ...other }))).toMatchObject({ code: 'id-taken' });
    await accepted(addCycleAction(sent));
    expect(log().cycles.filter(({ id }) => id === sent.id)).toHaveLength(1);
  });

  test.each([
    [{ went: '-3' }, 'went'],
    [{ went: 'far' }, 'went'],
    [{ reads: '1e3' }, 'reads'],
    [{ unit: 'h' }, 'unit'],
    [{ stood: 'the moon' }, 'stood'],
    [{ seen: [{ sign: 'ghost', words: '' }] }, 'seen'],
    [{ seen: Array.from({ length: 13 }, () => ({ sign: 'leak', words: '' })) }, 'seen'],
  ])('%j is refused at the door', async (part, field) => {
    const problem = await refusedWhole(shop, () => addCycleAction(run(part)));
    expect(JSON.stringify(problem)).toContain(field);
  });

  test('whose odometer went back is refused whole: no half of it is written', async () => {
    await accepted(addMeterAction(meter({ at: iso(60) })));
    const problem = await refusedWhole(shop, () => addCycleAction(run({ reads: '44,000', unit: 'mi' })));
    expect(problem.code).toBe('meter-back');
  });

  test('miles or km are never assumed', async () => {
    expect(await refusedWhole(shop, () => addCycleAction(run({ went: '5' })))).toMatchObject({
      fields: { unit: expect.stringContaining('miles or in km') as unknown },
    });
    expect(await refusedWhole(shop, () => addCycleAction(run({ reads: '45,000' })))).toMatchObject({
      code: 'bad-field',
    });
  });

  test('taken back it takes along what the odometer read with it, and nothing else', async () => {
    await accepted(addMeterAction(meter({ at: iso(60) })));
    const sent = run({ reads: '45,010', unit: 'mi' });
    await accepted(addCycleAction(sent));
    expect(log().meters).toHaveLength(2);
    await accepted(strikeHeatAction({ id: 'strike-of-run', engineId: ENGINE, strikesId: sent.id }));
    expect(log().cycles.map(({ id }) => id)).not.toContain(sent.id);
    expect(log().meters.map(({ reads }) => reads)).toEqual([45_000]);
  });

  test('an engine runs once at a time', async () => {
    await accepted(addCycleAction(run()));
    expect((await refusedWhole(shop, () => addCycleAction(run({ ranFrom: iso(20), ranTo: iso(5) })))).code).toBe(
      'overlaps',
    );
    await accepted(addCycleAction(run({ ranFrom: iso(10), ranTo: iso(5) })));
  });

  test('what was ticked and said goes together; words alone are something else', () => {
    expect(seenTyped('leak,smoke', ' at the front ')).toEqual([
      { sign: 'leak', words: 'at the front' },
      { sign: 'smoke', words: 'at the front' },
    ]);
    expect(seenTyped('', 'rattle')).toEqual([{ sign: 'other', words: 'rattle' }]);
    expect(seenTyped('', ' ')).toEqual([]);
  });
});

describe('odometer and hours', () => {
  test('exchanged: told with both figures, and counted on', async () => {
    await accepted(addMeterAction(meter({ at: iso(60) })));
    expect((await refused(addMeterAction(meter({ reads: '12' })))).fields?.reads).toContain('does not go back');
    expect(
      (await refused(addMeterAction(meter({ reads: '12', jumpFrom: '45,010', jumpTo: '' })))).fields,
    ).toHaveProperty('jumpTo');
    await accepted(addMeterAction(meter({ reads: '12', jumpFrom: '45,010', jumpTo: '2' })));
    expect(log().meters.at(-1)).toMatchObject({ reads: 12, jump: { from: 45_010, to: 2 } });
  });

  test('of two readings told to one minute the one that is written later is the later, whatever the jitter', async () => {
    await accepted(addMeterAction(meter({ at: new Date(Date.parse(iso(5)) + 900).toISOString() })));
    await accepted(addMeterAction(meter({ reads: '12', jumpFrom: '45,010', jumpTo: '0' })));
    await accepted(addMeterAction(meter({ reads: '14', at: new Date(Date.parse(iso(5)) - 400).toISOString() })));
    expect([...log().meters].sort((a, b) => Date.parse(a.at) - Date.parse(b.at)).map(({ reads }) => reads)).toEqual([
      45_000, 12, 14,
    ]);
    expect(runIn().meters.map(({ reads }) => reads)).toEqual([14, 12, 45_000]);
  });

  test('one in the future is refused; one that was wrong is cancelled by a line', async () => {
    const ahead = await refused(addMeterAction(meter({ at: iso(-60) })));
    expect(ahead.fields?.at).toContain('future');
    const wrong = meter();
    await accepted(addMeterAction(wrong));
    await accepted(strikeHeatAction({ id: 'strike-of-test', engineId: ENGINE, strikesId: wrong.id }));
    expect(log().meters).toEqual([]);
  });

  test('what it went since a joint was tightened is not known until somebody says so', async () => {
    const head = () => there(runIn().sinceTight.find(({ jointId }) => jointId === HEAD));
    expect(head().way).toBeUndefined();
    expect(head().hours).toBeGreaterThan(0);
    const tight = head().since;
    await accepted(addMeterAction(meter({ at: new Date(tight - MINUTE).toISOString() })));
    await accepted(addMeterAction(meter({ reads: '45,088' })));
    expect(head().way).toMatchObject({ value: expect.closeTo(88, 6), unit: 'mi' });
  });
});

test('what to mind on the road is told until it has been there twice over', async () => {
  for (const { id } of log().cycles)
    await accepted(strikeHeatAction({ id: `strike-${id}`, engineId: ENGINE, strikesId: id }));
  expect(runIn().road).toContain('brakes tried first');
  for (let n = 1; n <= 3; n++) {
    await accepted(
      addCycleAction(run({ id: `run-road-${n}`, ranFrom: iso(60 * (6 - n)), ranTo: iso(60 * (6 - n) - 20) })),
    );
    expect([n, runIn().road !== undefined]).toEqual([n, n <= 2]);
  }
});

describe('a rule of a joint', () => {
  const setRule = (part: object) => {
    const joint = there(shop.joints.find(HEAD));
    expect(shop.joints.alter({ ...joint, detail: { ...joint.detail, ...part } })).toBe(true);
  };
  const wait = () => waitsOf(engineStateOf(rowsNamed(shop, ENGINE))).find(({ waitsFor }) => waitsFor.includes('head'));

  test('a gasket that says no governs over the manual, which comes back when that was wrong', () => {
    const state = () => there(runIn().dues.find(({ jointId }) => jointId === HEAD)).state.state;
    const before = state();
    expect(before).not.toBe('not-asked');
    setRule({ gasketSays: 'no-retorque' });
    expect(state()).toBe('not-asked');
    setRule({ gasketSays: 'nothing' });
    expect(state()).toBe(before);
  });

  test('miles that are not known are asked for, and told once they are', async () => {
    setRule({ again: [{ distance: { value: 300, unit: 'mi' } }] });
    expect(wait()).toMatchObject({ state: 'waiting', to: { at: 'run-in' } });
    expect(wait()?.waitsFor).toContain('not known');
    const { since } = there(runIn().sinceTight.find(({ jointId }) => jointId === HEAD));
    await accepted(addMeterAction(meter({ at: new Date(since - MINUTE).toISOString() })));
    await accepted(addMeterAction(meter({ reads: '45,212' })));
    expect(wait()).toMatchObject({ state: 'rest' });
    expect(wait()?.waitsFor).toContain('at 300 miles, 212 so far');
    await accepted(addMeterAction(meter({ reads: '45,300', at: iso(4) })));
    expect(there(runIn().dues.find(({ jointId }) => jointId === HEAD)).state.state).toBe('cooling');
  });

  test('days have an hour, and so a place in the calendar', async () => {
    setRule({ again: [{ days: 30 }] });
    const { since } = there(runIn().sinceTight.find(({ jointId }) => jointId === HEAD));
    expect(wait()).toMatchObject({ about: since + 30 * 86_400_000, key: `${HEAD}-0`, state: 'waiting' });
    // One that has not been hot since is no more than told.
    for (const { id } of log().cycles)
      await accepted(strikeHeatAction({ id: `strike-${id}`, engineId: ENGINE, strikesId: id }));
    expect(wait()).toMatchObject({ state: 'rest', waitsFor: expect.stringContaining('once it has been hot') });
    expect(wait()).not.toHaveProperty('about');
  });
});

describe('in a build file', () => {
  test('runs, meters and rules come over whole', async () => {
    await accepted(addMeterAction(meter({ at: iso(60) })));
    await accepted(addMeterAction(meter({ reads: '12', jumpFrom: '45,010', jumpTo: '2', at: iso(50) })));
    await accepted(addCycleAction(run({ went: '5', unit: 'km', seen: [{ sign: 'noise', words: '' }] })));
    const joint = there(shop.joints.find(HEAD));
    const again = [{ cycles: 1 }, { distance: { value: 300, unit: 'mi' as const }, days: 30 }];
    shop.joints.alter({
      ...joint,
      detail: { ...joint.detail, again, gasketSays: 'retorque', retorqueSource: 'Leaf 3' },
    });
    const file = parseBuildFile(JSON.stringify(buildFileOf(shop, there(shop.engines.find(ENGINE)), iso(0))));
    expect(file.unread).toEqual([]);
    const other = openShop(temporaryFile());
    readBack(other, file.file, nowMs(), () => 'fresh-of-test');
    const engineId = there(other.engines.all()[0]).id;
    const [came, was] = [other.heat.log(engineId), log()];
    const plain = (rows: readonly object[]) => rows.map((row) => ({ ...row, id: '', engineId: '', cycleId: '' }));
    expect(plain(came.meters)).toEqual(plain(was.meters));
    expect(plain(came.cycles)).toEqual(plain(was.cycles));
    expect(other.joints.ofEngine(engineId).find(({ name }) => name === joint.name)?.detail).toMatchObject({
      again,
      gasketSays: 'retorque',
      retorqueSource: 'Leaf 3',
    });
  });

  test.each([
    [
      [
        [0, 20],
        [20, 80],
        [10, 85],
      ],
      'not in their order',
    ],
    [
      [
        [0, 20],
        [500, 80],
      ],
      'go beyond it',
    ],
  ] as const)('temperatures %j are refused', async (series, _) => {
    await accepted(addCycleAction(run()));
    const file = JSON.parse(JSON.stringify(buildFileOf(shop, there(shop.engines.find(ENGINE)), iso(0)))) as {
      heat: { cycles: { series?: unknown }[] };
    };
    there(file.heat.cycles.at(-1)).series = series;
    const other = openShop(temporaryFile());
    expect(() => readBack(other, parseBuildFile(JSON.stringify(file)).file, nowMs(), () => 'fresh-of-test')).toThrow(
      'not in their order, or go beyond it',
    );
    expect(other.engines.all()).toEqual([]);
  });

  test('an odometer that goes back in it is refused, and nothing is changed', async () => {
    await accepted(addMeterAction(meter({ at: iso(60) })));
    await accepted(addMeterAction(meter({ reads: '45,100' })));
    const text = JSON.stringify(buildFileOf(shop, there(shop.engines.find(ENGINE)), iso(0))).replace('45100', '40100');
    const other = openShop(temporaryFile());
    expect(() => readBack(other, parseBuildFile(text).file, nowMs(), () => 'fresh-of-test')).toThrow(
      'does not go back',
    );
    expect(other.engines.all()).toEqual([]);
  });
});

describe("a recorder's table", () => {
  /** Five minutes idle, ten to warm, twenty held, then cooling to the air in so many minutes; a line every five. */
  const lines = Array.from({ length: 80 }, (_, i) => {
    const minutes = 5 * i;
    const C =
      minutes <= 5
        ? 12
        : minutes <= 15
          ? 12 + 7.3 * (minutes - 5)
          : minutes <= 35
            ? 85
            : 12 + 73 * Math.exp(-(minutes - 35) / 120);
    return `${minutes},${C.toFixed(1)}`;
  });
  const text = ['Minutes,Head °C', ...lines].join('\n');
  const sent = (part: object = {}) => ({
    id: `recorded-${(n += 1)}`,
    engineId: ENGINE,
    sentAt: iso(0),
    text,
    uses: ['time', 'temperature'],
    firstAt: iso(400),
    from_min: 5,
    to_min: 35,
    ambient_C: '12',
    probed: 'head' as const,
    ...part,
  });

  test('is shown first, and nothing of it is written', async () => {
    const before = log();
    const shown = await accepted(previewTemperaturesAction({ text }));
    expect(shown).toMatchObject({ lines: 80, run: { from_min: 5, highest_C: 85, isStopped: true } });
    expect(log()).toEqual(before);
    expect((await refused(previewTemperaturesAction({ text: 'a,b\n1,2' }))).code).toBe('no-time');
  });

  test('with a column of the air each reading has its own; a gap in it has the last that was read', async () => {
    const airs = lines.map((line, i) => `${line},${i === 79 ? '' : (10 + i / 20).toFixed(1)}`);
    const given = sent({ text: ['Minutes,Head °C,Air', ...airs].join('\n'), uses: ['time', 'temperature', 'air'] });
    await accepted(enterTemperaturesAction(given as never));
    const own = log().readings.filter(({ cycleId }) => cycleId === given.id);
    expect(own[0]?.ambient_C).toBeCloseTo(10.4, 5);
    expect(own.at(-1)?.ambient_C).toBeCloseTo(13.9, 5);
    expect(new Set(own.map(({ ambient_C }) => ambient_C)).size).toBeGreaterThan(8);
    const unread = sent({ id: 'recorded-plain', firstAt: iso(900) });
    await accepted(enterTemperaturesAction(unread as never));
    expect(
      log()
        .readings.filter(({ cycleId }) => cycleId === unread.id)
        .every((one) => one.ambient_C === 12),
    ).toBe(true);
  });

  test('is one run with its temperatures, and readings at the head far enough apart, the last among them', async () => {
    const given = sent();
    await accepted(enterTemperaturesAction(given as never));
    await accepted(enterTemperaturesAction(given as never));
    const cycle = there(log().cycles.find(({ id }) => id === given.id));
    expect(cycle).toMatchObject({ highest_C: 85, ambient_C: 12 });
    expect(cycle.series?.[0]).toEqual([0, 12]);
    const own = log().readings.filter(({ cycleId }) => cycleId === given.id);
    expect(own.length).toBeGreaterThan(10);
    expect(own.length).toBeLessThanOrEqual(25);
    expect(Math.abs(Date.parse(there(own.at(-1)).at) - Date.parse(iso(5)))).toBeLessThan(MINUTE);
  });

  test('of a probe in the coolant opens nothing', async () => {
    const given = sent({ probed: 'coolant-or-oil' });
    await accepted(enterTemperaturesAction(given as never));
    expect(log().readings.filter(({ cycleId }) => cycleId === given.id)).toEqual([]);
  });

  test('readings that would be asked about by hand are not written for a recorder either', async () => {
    const cliff = ['Minutes,Head', ...lines.slice(0, 8), '36,12', '37,12.1', '38,12'].join('\n');
    const given = sent({ text: cliff, firstAt: iso(60) });
    expect(await accepted(enterTemperaturesAction(given as never))).toMatchObject({ doubtful: 2 });
    expect(log().readings.filter(({ cycleId }) => cycleId === given.id)).toEqual([]);
  });

  test.each([
    [{ firstAt: iso(10) }, 'firstAt'],
    [{ to_min: 4 }, 'to_min'],
    [{ ambient_C: '90' }, 'ambient_C'],
    [{ probed: 'hand' }, 'probed'],
    [{ from_min: 36, to_min: 38 }, 'to_min'],
  ])('%j is refused whole', async (part, field) => {
    const problem = await refusedWhole(shop, () => enterTemperaturesAction(sent(part)));
    expect(JSON.stringify(problem)).toContain(field);
  });
});
