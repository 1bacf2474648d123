import { beforeEach, describe, expect, test } from '@jest/globals';
import { jointInputs } from '@/db/reads/joint-inputs';
import type { Shop } from '@/db/shop';
import { leafOfText } from '@/model/book/leaf-of-text';
import { pageGuards, pageGuardsOfWhole } from '@/model/book/page-guards';
import { PLAIN_SOURCE, type Source } from '@/model/book/source';
import { rankedLeaves } from '@/model/book/source-precedence';
import { engineStateOf } from '@/model/engine/engine-rows';
import { waitsOf } from '@/model/engine/engine-wait';
import { originalFacts } from '@/model/joint/joint-ladder';
import { computeJoint } from '@/model/joint/joint-result';
import type { FastenerFacts } from '@/model/joint/fastener-facts';
import type { HousePractice } from '@/model/practice/house-practice';
import { changeGuards, sheetChanges, sheetNow } from '@/model/joint/sheet-changes';
import { YARD_NOW, freshTightening, rowsNamed, yardShop } from '../db/temporary-shop';

const there = <T>(row: T | undefined): T => {
  if (row === undefined) throw new Error('the row is not there');
  return row;
};

let shop: Shop;
beforeEach(() => {
  shop = yardShop();
});

const COVER = 'demo-m-joint-cover';
const cover = () => there(shop.joints.find(COVER));

/** Another page on the timing cover's screws, in a source of its own or in that of the first. */
function addPage(printedText: string, source: Partial<Source> & { readonly id: string }, isNew = true): void {
  const engineId = cover().engineId;
  const own = there(shop.book.findLeaf(cover().leafId));
  if (isNew)
    shop.book.addSource(engineId, {
      ...PLAIN_SOURCE,
      title: `Source ${source.id}`,
      edition: '',
      year: null,
      version: 1,
      createdAt: YARD_NOW,
      ...source,
    });
  shop.book.addLeaf({
    ...own,
    id: `leaf-${source.id}`,
    sourceId: source.id,
    printedText,
    replacesId: null,
    createdAt: YARD_NOW,
    ...leafOfText({ kind: 'torque', printedText, conditionText: null, readingIndex: 0 }),
  });
}

const guards = (engine: { year?: number | null; engineNumber?: string } = {}) => {
  const rows = rowsNamed(shop, cover().engineId);
  return pageGuardsOfWhole({ ...rows.engine, ...engine }, rows.leaves, rows.sources, cover());
};
const said = (engine?: Parameters<typeof guards>[0]) => guards(engine).map(({ code, severity }) => [code, severity]);

describe('the page that a figure is from', () => {
  test('alone it has nothing against it', () => expect(said()).toEqual([]));
  test('a bulletin that governs stops the manual’s figure, with both told', () => {
    addPage('12 Nm', { id: 'bulletin', kind: 'bulletin' });
    expect(said()).toEqual([['another-page-governs', 'stop']]);
    expect(guards()[0]?.message).toMatch(/“12 Nm” \(Source bulletin.*governs.*is from “/);
  });
  test('a written reason is printed instead', () => {
    addPage('12 Nm', { id: 'bulletin', kind: 'bulletin' });
    const joint = cover();
    shop.joints.alter({ ...joint, detail: { ...joint.detail, leafReason: 'early casting' } });
    expect(said()).toEqual([['another-page-governs', 'ask']]);
    expect(guards()[0]?.message).toContain('early casting');
  });
  test('the reason holds over the page that it was written over, and not over one that came since', () => {
    addPage('12 Nm', { id: 'bulletin', kind: 'bulletin' });
    const joint = cover();
    const detail = { ...joint.detail, leafReason: 'early casting', overLeafId: 'leaf-bulletin' };
    shop.joints.alter({ ...joint, detail });
    expect(said()).toEqual([['another-page-governs', 'ask']]);
    addPage('14 Nm', { id: 'packet', kind: 'part-print' });
    expect(said()).toEqual([['another-page-governs', 'stop']]);
    expect(guards()[0]?.message).not.toContain('early casting');
  });
  test('two of one manual more than 3 % apart are asked about, within it they are not', () => {
    const { sourceId } = there(shop.book.findLeaf(cover().leafId));
    const own = there(shop.book.findLeaf(cover().leafId));
    const middle = ((own.min_Nm ?? 0) + (own.max_Nm ?? 0)) / 2;
    addPage(`${(middle * 1.02).toFixed(3)} Nm`, { id: sourceId }, false);
    const joint = cover();
    shop.joints.alter({ ...joint, leafId: `leaf-${sourceId}` });
    expect(said()).toEqual([]);
    addPage(`${(middle * 1.5).toFixed(3)} Nm`, { id: 'equal', kind: 'manual' });
    expect(said()).toEqual([['pages-of-equal-rank', 'stop']]);
  });
  test('a source with limits asks where the year or the number of the engine is not known', () => {
    addPage('12 Nm', { id: 'bulletin', kind: 'bulletin', fromYear: 1938 });
    const joint = cover();
    shop.joints.alter({ ...joint, leafId: 'leaf-bulletin' });
    expect(said({ year: 1950 })).toEqual([]);
    expect(said({ year: null })).toEqual([['page-limits-unknown', 'stop']]);
    expect(said({ year: 1930 })).toEqual([['another-page-governs', 'stop']]);
  });
  test('a page that does not apply to this engine stops where no other does', () => {
    const { sourceId } = there(shop.book.findLeaf(cover().leafId));
    const rows = rowsNamed(shop, cover().engineId);
    const sources = rows.sources.map((one) => (one.id === sourceId ? { ...one, fromNumber: 'Z 900' } : one));
    const of = { ...rows.engine, engineNumber: 'A 1' };
    expect(pageGuardsOfWhole(of, rows.leaves, sources, cover()).map(({ code }) => code)).toEqual(['page-out-of-force']);
  });
  test('stands on the engine’s tag, before it is tight', () => {
    addPage('12 Nm', { id: 'bulletin', kind: 'bulletin' });
    const state = engineStateOf(rowsNamed(shop, cover().engineId));
    const only = { ...state, fits: [], joints: state.joints.filter(({ joint }) => joint.id === COVER) };
    expect(waitsOf(only)[0]).toMatchObject({ state: 'stop', waitsFor: 'Timing cover: which page governs' });
  });
});

test('a fastener has one name: its number in the turn, on the tag as on the face', () => {
  const state = engineStateOf(rowsNamed(shop, 'demo-maestrale'));
  const half = there(state.joints.find(({ final }) => final && !final.state.complete && final.state.next > 0));
  const { order, steps } = there(half.final).tightening.plan;
  const step = there(steps[there(half.final).state.next]);
  const number = step.kind === 'pull' ? order.indexOf(step.position) + 1 : 0;
  const { waitsFor } = waitsOf({ ...state, fits: [], joints: [half] })[0];
  expect(waitsFor).toContain(`number ${number}, stage`);
});

describe('limits of a source that cannot be held against this engine', () => {
  const told = (limits: Partial<Source>, engine: { year?: number | null; engineNumber?: string }) => {
    const leaf = there(shop.book.findLeaf(cover().leafId));
    const source = { ...there(shop.book.findSource(leaf.sourceId)), ...PLAIN_SOURCE, ...limits };
    const of = { ...rowsNamed(shop, cover().engineId).engine, ...engine };
    const ranked = rankedLeaves([leaf], [source], of);
    return pageGuards(ranked, cover(), of).find(({ code }) => code === 'page-limits-unknown')?.message;
  };
  test.each([
    [{ fromYear: 1938 }, { year: null }, 'for engines from 1938, and the year of this one is not known'],
    [{ toYear: 1950 }, { year: null }, 'for engines to 1950, and the year of this one is not known'],
    [{ fromYear: 1938, toYear: 1950 }, { year: null }, 'for engines from 1938 to 1950, and the year'],
    [{ fromNumber: 'A100' }, { engineNumber: ' ' }, 'for engines from A100, and the number of this one is not known'],
    [{ toNumber: 'A900' }, { engineNumber: '' }, 'for engines to A900, and the number'],
    [{ fromNumber: 'A100' }, { engineNumber: '– ?' }, 'for engines from A100, and the number'],
    [{ fromNumber: 'A1', toNumber: 'A9' }, { engineNumber: '' }, 'for engines from A1 to A9, and the number'],
  ])('%j against %j is asked, with both limits told', (limits, engine, words) =>
    expect(told(limits, engine)).toContain(words),
  );
  test.each([
    [{ fromYear: 1938 }, { year: 1940 }],
    [{ toNumber: 'A900' }, { engineNumber: 'A100' }],
    [{}, { year: null, engineNumber: '' }],
  ])('%j against %j is not', (limits, engine) => expect(told(limits, engine)).toBeUndefined());
});

test('a round that was begun and never pulled in leaves what stood before it', () => {
  const joint = there(shop.joints.find('demo-f-joint-mains'));
  const before = there(engineStateOf(rowsNamed(shop, joint.engineId)).joints.find((one) => one.joint.id === joint.id));
  expect(before.final?.state.complete).toBe(true);
  shop.tightenings.start({ ...freshTightening(shop, 'other'), id: 'afresh', jointId: joint.id });
  const after = there(engineStateOf(rowsNamed(shop, joint.engineId)).joints.find((one) => one.joint.id === joint.id));
  expect(after.final?.tightening.id).toBe(before.final?.tightening.id);
});

describe('a sheet that was changed after the pull', () => {
  const HEAD = 'demo-f-joint-head';
  const of = (todayFilm: string) => {
    const joint = there(shop.joints.find(HEAD));
    const plan = there(shop.tightenings.ofJoint(HEAD).findLast(({ purpose }) => purpose === 'final')).plan;
    const inputs = jointInputs(shop, { ...joint, todayFilm }, Date.parse(YARD_NOW));
    const { ladder } = computeJoint(inputs);
    return {
      plan,
      changes: sheetChanges(plan, inputs, { ladder }),
      target_Nm: ladder.target_Nm,
      now: sheetNow(inputs),
    };
  };
  const codes = (film: string, meaning: Parameters<typeof changeGuards>[3]) => {
    const { plan, changes, target_Nm, now } = of(film);
    return changeGuards(changes, plan, target_Nm, meaning && { ...meaning, target_Nm }, now).map(({ code }) => code);
  };
  test('says nothing while it is as it was', () => expect(codes('moly-paste', null)).toEqual([]));
  test('asks what it means, with both figures', () => {
    const { plan, changes, target_Nm, now } = of('engine-oil');
    const [guard] = changeGuards(changes, plan, target_Nm, null, now);
    expect(guard).toMatchObject({ code: 'changed-since-pulled', severity: 'ask' });
    expect(guard?.message).toMatch(/Molybdenum.*Engine oil.*35\.8 N·m.*51\.5 N·m/);
  });
  test('as a correction it judges what was pulled: not far enough, or too far', () => {
    const corrects = { means: 'correction', target_Nm: 0 } as const;
    expect(codes('engine-oil', corrects)).toEqual(['not-far-enough']);
    expect(codes('wax-ptfe', corrects)).toEqual(['too-far']);
    expect(codes('engine-oil', { means: 'next-round', target_Nm: 0 })).toEqual(['changed-for-next']);
  });
  test('an answer holds for the figure that it was given for', () => {
    const { plan, changes, target_Nm, now } = of('engine-oil');
    const old = { means: 'next-round', target_Nm: target_Nm * 1.1 } as const;
    expect(changeGuards(changes, plan, target_Nm, old, now).map(({ code }) => code)).toEqual(['changed-since-pulled']);
  });
  test('and for the sheet that it was given for: another film of the same figure is asked about anew', () => {
    const { plan, changes, target_Nm, now } = of('engine-oil');
    const said = { means: 'next-round', target_Nm, of: { ...now, headFilm: 'wax-ptfe' } } as const;
    expect(changeGuards(changes, plan, target_Nm, said, now).map(({ code }) => code)).toEqual(['changed-since-pulled']);
    const same = { ...said, of: now };
    expect(changeGuards(changes, plan, target_Nm, same, now).map(({ code }) => code)).toEqual(['changed-for-next']);
  });
});

test('a wrench that is checked against a second one at the figure used was checked there', () => {
  const joint = there(shop.joints.find('demo-f-joint-head'));
  const asked = (check: HousePractice['check'], points: (setting: number) => readonly number[]) => {
    const inputs = jointInputs(shop, joint, Date.parse(YARD_NOW));
    const { rounded } = computeJoint(inputs).ladder.setting;
    const { shelves } = inputs;
    const calibration = points(rounded).map((set) => ({ set, true: set }));
    const wrenches = shelves.wrenches.map((wrench) => ({ ...wrench, calibration }));
    const practice = { ...shelves.practice, check };
    const { guards, ladder } = computeJoint({ ...inputs, shelves: { ...shelves, wrenches, practice } });
    const found = guards.find(({ code }) => code === 'not-checked-here');
    if (found)
      expect(found).toMatchObject({ severity: 'ask', message: expect.stringContaining(`${ladder.setting.rounded}`) });
    return found !== undefined;
  };
  const near = (setting: number) => [setting * 1.08];
  const far = (setting: number) => [setting * 0.5, setting * 1.5];
  expect(asked('second-wrench', far)).toBe(true);
  expect(asked('second-wrench', () => [])).toBe(true);
  expect(asked('second-wrench', near)).toBe(false);
  expect([asked('yearly', far), asked('half-yearly', far)]).toEqual([false, false]);
});

const head = () => there(shop.joints.find('demo-f-joint-head'));

describe('what is not this tool’s to reckon', () => {
  const found = (name: string, subject?: string) => {
    const inputs = jointInputs(shop, { ...head(), name }, Date.parse(YARD_NOW));
    const leaf = subject === undefined ? inputs.leaf : { ...inputs.leaf, subject };
    return computeJoint({ ...inputs, leaf }).guards.filter(({ code }) => code === 'not-ours');
  };
  test.each(['Road wheel nuts', 'Brake drum', 'Steering arm', 'Fuel pipe union', 'Lifting eye', 'Hoist bracket'])(
    'stops at “%s”, by the joint’s name or by the entry’s subject, until a reason is written',
    (name) => {
      expect(found(name)).toMatchObject([{ severity: 'stop' }]);
      expect(found('Joint', name)).toHaveLength(1);
    },
  );
  test.each([
    'Flywheel',
    'Camshaft wheel nut',
    'Timing wheel nuts',
    'Fuel pump flange',
    'Broad flange',
    'Cylinder head',
  ])('and not at “%s”, which an engine is held together by', (name) => expect(found(name)).toEqual([]));
});

describe('a substitute', () => {
  const stopped = (
    grade: string,
    films: { readonly todayFilm?: string; readonly headFilm?: string },
    isThere = true,
  ) => {
    const joint = head();
    const facts = originalFacts(jointInputs(shop, joint, Date.parse(YARD_NOW)));
    const today = isThere ? { ...facts, grade } : null;
    const { headFilm = null, todayFilm = joint.todayFilm } = films;
    const detail = { ...joint.detail, today, headFilm };
    return computeJoint(jointInputs(shop, { ...joint, todayFilm, detail }, Date.parse(YARD_NOW)))
      .guards.filter(({ code }) => code === 'no-substitute')
      .map(({ message }) => message.split(' is ')[0]);
  };
  test('is none where it is stainless, by what it is coated with, or unmarked', () => {
    expect(stopped('iso-8.8-to-16-mm', { todayFilm: 'stainless-dry' })).toEqual(['A stainless fastener']);
    expect(stopped('iso-8.8-to-16-mm', { headFilm: 'stainless-dry' })).toEqual(['A stainless fastener']);
    expect(stopped('unmarked', {})).toEqual(['An unmarked fastener']);
  });
  test('is one where it is marked; and what the maker fitted stands for nothing', () => {
    expect(stopped('iso-8.8-to-16-mm', {})).toEqual([]);
    expect(stopped('unmarked', {}, false)).toEqual([]);
  });
});

describe('the head of a substitute', () => {
  const judged = (before: number | null, now: number | null) => {
    const joint = head();
    const { original } = joint.detail;
    const today = { ...originalFacts(jointInputs(shop, joint, Date.parse(YARD_NOW))), headHeight_mm: now };
    const detail = { ...joint.detail, original: { ...original, headHeight_mm: before }, today };
    const { guards, unknown } = computeJoint(jointInputs(shop, { ...joint, detail }, Date.parse(YARD_NOW)));
    return [
      ...guards
        .filter(({ code }) => code === 'head-height')
        .map(({ message }) => message.split('.').slice(0, -2).join('.')),
      ...unknown.filter(({ code }) => code === 'original-head').map(({ what }) => what),
    ];
  };
  test('is asked about where it is taller or lower than the one before', () => {
    expect(judged(6, 8.25)).toEqual(['Its head is 2.25 mm taller than the original’s']);
    expect(judged(8, 6)).toEqual(['Its head is 2 mm lower than the original’s']);
  });
  test('is one where it is as high as anybody measures it, and is not spoken of where nobody did', () => {
    expect([judged(8, 8.4), judged(8, 7.6), judged(8, null), judged(null, null)]).toEqual([[], [], [], []]);
  });
  test('is not judged by a head that nobody measured', () => {
    expect(judged(null, 8)).toEqual(['the height of the original’s head']);
  });
});

test('where studs are seated with a figure, one whose figure nobody gave is counted as not known', () => {
  const joint = head();
  const unknown = (seating: HousePractice['seating'], facts: Partial<FastenerFacts>) => {
    const today = { ...originalFacts(jointInputs(shop, joint, Date.parse(YARD_NOW))), ...facts };
    const inputs = jointInputs(shop, { ...joint, detail: { ...joint.detail, today } }, Date.parse(YARD_NOW));
    const shelves = { ...inputs.shelves, practice: { ...inputs.shelves.practice, seating } };
    return computeJoint({ ...inputs, shelves }).unknown.some(({ code }) => code === 'seating-figure');
  };
  const stud = { form: 'stud', seating_Nm: null } as const;
  expect(unknown('small-figure', stud)).toBe(true);
  expect(unknown('small-figure', { ...stud, seating_Nm: 8 })).toBe(false);
  expect(unknown('small-figure', { ...stud, form: 'bolt' })).toBe(false);
  expect([unknown('finger-tight', stud), unknown('with-compound', stud)]).toEqual([false, false]);
});

test('a stage below the wrench’s lowest mark is asked about, and another wrench named', () => {
  const joint = there(shop.joints.find('demo-f-joint-head'));
  const at = (stageScheme: readonly number[]) => {
    const found = computeJoint(jointInputs(shop, { ...joint, stageScheme }, Date.parse(YARD_NOW)));
    return found.guards.find(({ code }) => code === 'stage-low-on-wrench')?.message;
  };
  expect(at([0.9, 1])).toBeUndefined();
  expect(at([0.1, 1])).toMatch(/^A stage of 2\.5 lbf·ft is below its lowest mark of \d+|lower than/);
  expect(at([0.1, 0.15, 1])).toMatch(/^Stages of /);
});

describe('a thread insert with a torque of its own', () => {
  const at = (form: 'bolt' | 'stud', parent: object) => {
    const joint = there(shop.joints.find('demo-f-joint-head'));
    return computeJoint(
      jointInputs(
        shop,
        {
          ...joint,
          detail: {
            ...joint.detail,
            today: { ...originalFacts({ joint }), form, metalThread: joint.thread },
            parent: { ...joint.detail.parent, insert: true, ...parent },
          },
        },
        Date.parse(YARD_NOW),
      ),
    );
  };
  const target = (of: ReturnType<typeof at>) => of.ladder.target_Nm;
  test('goes on top of a bolt’s figure at every pull, and never on a nut’s of a stud', () => {
    const own = { insertLow_Nm: 4, insertHigh_Nm: 6 };
    expect(target(at('bolt', own)) - target(at('bolt', { insertLow_Nm: 0, insertHigh_Nm: 0 }))).toBeCloseTo(5, 6);
    expect(target(at('stud', own))).toBeCloseTo(target(at('stud', {})), 9);
  });
  test('not asked, it is counted and nothing is added; running freely, it is known', () => {
    const codes = (parent: object) => at('bolt', parent).unknown.map(({ code }) => code);
    expect(codes({})).toEqual(expect.arrayContaining(['insert-torque', 'insert-length']));
    expect(codes({ insertLow_Nm: 0, insertHigh_Nm: 0 })).not.toContain('insert-torque');
    expect(target(at('bolt', {}))).toBeCloseTo(target(at('bolt', { insertLow_Nm: 0, insertHigh_Nm: 0 })), 9);
    // No insert, no torque of it: what was typed before the box was cleared stands in nothing.
    expect(target(at('bolt', { insert: false, insertLow_Nm: 4, insertHigh_Nm: 6 }))).toBeCloseTo(
      target(at('bolt', {})),
      9,
    );
  });
});
