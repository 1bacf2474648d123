import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LOCKINGS } from '@/core/joint';
import { jointInputs } from '@/db/reads/joint-inputs';
import { knownOfPlaces } from '@/features/bench/known-of-places';
import { LOCK_LAST, lockedIn, lockingAt, lockUnsaid } from '@/features/bench/lock-words';
import { answersFor, answerSource } from '@/features/joint/known-elsewhere';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { newKind } from '@/model/joint/fastener-kind';
import type { FastenerFacts } from '@/model/joint/fastener-facts';
import type { Joint } from '@/model/joint/joint';
import { DETAIL_JSON, PLAIN_DETAIL, type JointDetail } from '@/model/joint/joint-detail';
import { originalFacts } from '@/model/joint/joint-ladder';
import { computeJoint } from '@/model/joint/joint-result';
import { lockingUnknown } from '@/model/joint/own-guards';
import { PURPOSES } from '@/model/joint/tightening';
import type { HousePractice } from '@/model/practice/house-practice';
import { jointNamed, rowsNamed, YARD_NOW, yardShop } from '../db/temporary-shop';

const shop = yardShop();
const COVER = 'demo-m-joint-cover';
type Facts = Partial<FastenerFacts>;

const withDetail = (part: (joint: Joint) => Partial<JointDetail>): Joint => {
  const joint = jointNamed(shop, COVER);
  return { ...joint, detail: { ...joint.detail, today: null, ...part(joint) } };
};
/** The cover's joint with what is said of the original, and of a substitute where there is one. */
const locked = (original: Facts, today?: Facts): Joint =>
  withDetail((joint) => ({
    original: { ...joint.detail.original, ...original },
    today: today ? { ...originalFacts({ joint }), ...today } : null,
  }));
const inputsOf = (joint: Joint) => ({ ...jointInputs(shop, jointNamed(shop, COVER), Date.parse(YARD_NOW)), joint });
const asked = (joint: Joint) => lockingUnknown(inputsOf(joint)).map(({ code }) => code);
const MEASURED: Facts = { locking: 'metal-nut', prevailingLow_Nm: 1, prevailingHigh_Nm: 2 };
const UNMEASURED: Facts = { locking: 'polymer-nut', prevailingLow_Nm: null, prevailingHigh_Nm: null };

describe('how a fastener is locked', () => {
  test('a sheet on which nobody said anything asks, among everything else that is not known', () => {
    expect(PLAIN_DETAIL.original.locking).toBe('unsaid');
    const { unknown } = computeJoint(inputsOf(locked({ locking: 'unsaid' })));
    expect(unknown.map(({ code }) => code)).toContain('locking');
    expect(computeJoint(inputsOf(locked({ locking: 'none' }))).unknown.map(({ code }) => code)).not.toContain(
      'locking',
    );
  });
  test.each<[string, Facts, Facts | undefined, readonly string[]]>([
    ['nobody said it, of the one that is on it', { locking: 'unsaid' }, undefined, ['locking']],
    ['that nothing locks it is an answer', { locking: 'none' }, undefined, []],
    ['a tab has no torque of its own', { locking: 'tab' }, undefined, []],
    ['a nut that locks itself is measured', UNMEASURED, undefined, ['own-torque']],
    ['one of two figures is no measure', { ...UNMEASURED, prevailingLow_Nm: 1 }, undefined, ['own-torque']],
    ['measured, nothing is asked', MEASURED, undefined, []],
    [
      'it may turn freely, and that is measured',
      { ...UNMEASURED, prevailingLow_Nm: 0, prevailingHigh_Nm: 0 },
      undefined,
      [],
    ],
    [
      'of the original only once something else is on it',
      { locking: 'unsaid' },
      { locking: 'tab' },
      ['original-locking'],
    ],
    ['and what its nut turned with', UNMEASURED, MEASURED, ['original-own-torque']],
    ['of both', { locking: 'unsaid' }, UNMEASURED, ['own-torque', 'original-locking']],
    ['of neither', MEASURED, { locking: 'wire' }, []],
  ])('%s', (_, original, today, expected) => expect(asked(locked(original, today))).toEqual(expected));
  test('what is not counted does not move the figure, and is told; what is measured does', () => {
    const figure = (joint: Joint) => computeJoint(inputsOf(joint)).ladder.target_Nm;
    const before = figure(locked({ locking: 'none' }));
    expect(figure(locked({ locking: 'none' }, { locking: 'none' }))).toBeCloseTo(before, 9);
    expect(figure(locked({ locking: 'none' }, { ...UNMEASURED }))).toBeCloseTo(before, 9);
    expect(figure(locked({ locking: 'none' }, MEASURED))).toBeCloseTo(before + 1.5, 9);
  });
});

describe('the answer of one key', () => {
  const rows = rowsNamed(shop, 'demo-maestrale');
  const answers = (locking: HousePractice['locking'], joint: Joint) => {
    const shelves = { ...inputsOf(joint).shelves };
    const source = answerSource(rows, joint, { ...shelves, practice: { ...shelves.practice, locking } });
    return answersFor(source, joint).filter(({ code }) => code.endsWith('locking'));
  };
  test.each<[HousePractice['locking'], readonly string[]]>([
    ['tab', ['tab', 'none']],
    ['compound', ['compound', 'none']],
    ['wire', ['wire', 'none']],
    ['self-locking', ['polymer-nut', 'metal-nut', 'none']],
    ['two-together', ['none']],
  ])('house practice %s offers what it may mean, and never takes it', (school, expected) => {
    const joint = locked({ locking: 'unsaid' });
    const offered = answers(school, joint).filter(({ code }) => code === 'locking');
    expect(offered.map(({ detail }) => detail.original?.locking)).toEqual(expected);
    for (const { detail } of offered)
      expect(asked({ ...joint, detail: { ...joint.detail, ...detail } })).not.toContain('locking');
    expect(joint.detail.original.locking).toBe('unsaid');
  });
  test('of what is on it today it is put on that, of the original on the original', () => {
    const joint = locked({ locking: 'unsaid' }, { locking: 'unsaid' });
    const [house] = answers('wire', joint);
    expect(house?.detail.today?.locking).toBe('wire');
    const wired = locked({ locking: 'unsaid' }, { locking: 'wire' });
    const of = answers('tab', wired).filter(({ code }) => code === 'original-locking');
    expect(of.map(({ detail }) => detail.original?.locking)).toEqual(['wire', 'none']);
  });
});

test('of an engine of which nobody said the metal no metal is offered', () => {
  const joint = locked({});
  const source = answerSource(rowsNamed(shop, 'demo-maestrale'), joint, inputsOf(joint).shelves);
  const offered = (metal: 'unsaid' | 'iron') =>
    answersFor({ ...source, others: [], blockMetal: metal, headMetal: metal }, joint)
      .filter(({ code }) => code === 'metal' || code === 'under-head')
      .map(({ detail }) => detail.parent?.metal ?? detail.parent?.underHead);
  expect(offered('unsaid')).toEqual([]);
  expect(offered('iron')).toEqual(['grey-iron', 'grey-iron']);
});

describe('a sheet of before, on which “not locked” stood where nobody said it', () => {
  const { locking: _, ...bare } = PLAIN_DETAIL.original;
  const sheet = (locking: string) => ({
    original: { ...bare, locking },
    today: { ...originalFacts({ joint: jointNamed(shop, COVER) }), locking },
    kinds: [{ name: 'long', detail: { original: { ...bare, locking }, today: null } }],
  });
  const lockings = ({ original, today, kinds }: JointDetail) => [
    original.locking,
    today?.locking,
    ...kinds.map(({ detail }) => detail.original.locking),
  ];
  test.each([1, 2])('of version %i asks, and keeps every other word', (version) => {
    for (const locking of LOCKINGS.filter((one) => one !== 'unsaid')) {
      const now = locking === 'none' ? 'unsaid' : locking;
      const read = DETAIL_JSON.read(JSON.stringify({ ...(version > 1 && { version }), ...sheet(locking) }));
      expect(lockings(read)).toEqual([now, now, now]);
    }
  });
  test('since then it is an answer, and stays one', () => {
    const detail = { ...PLAIN_DETAIL, original: { ...PLAIN_DETAIL.original, locking: 'none' as const } };
    expect(DETAIL_JSON.read(DETAIL_JSON.write(detail))).toEqual(detail);
  });
  test('so it is in a build file of before, and in one of today', () => {
    const engine = shop.engines.find('demo-maestrale');
    if (!engine) throw new Error('the yard has no Maestrale');
    const file = buildFileOf(shop, engine, YARD_NOW);
    const said = {
      ...file,
      joints: file.joints.map((joint) => ({ ...joint, detail: locked({ locking: 'none' }).detail })),
    };
    const read = (version: number) =>
      new Set(
        parseBuildFile(JSON.stringify({ ...said, version })).file.joints.map(({ detail }) => detail.original.locking),
      );
    expect(read(3)).toEqual(new Set(['unsaid']));
    expect(read(4)).toEqual(new Set(['none']));
  });
});

describe('at the bench', () => {
  const known = (joint: Joint) => knownOfPlaces(joint, [], inputsOf(joint));
  test('what was not said is asked for in the end, with what the house does; a lock that is known is told as before', () => {
    expect(lockUnsaid(known(locked({ locking: 'unsaid' })))).toMatch(/not said \(house practice: tab washer\)/);
    expect(lockUnsaid({})).toMatch(/^How they are locked is not said: /);
    expect(LOCK_LAST.unsaid).toBeUndefined();
  });
  test('a kind that its sheet does not have any more has not said that nothing locks it', () => {
    const joint = locked({ locking: 'tab' });
    const kind = newKind(joint, 'Long', [0, 1]);
    const plan = { kinds: [{ ...kind, places: kind.places }] } as unknown as Parameters<typeof lockingAt>[0]['plan'];
    const round = { plan, purpose: 'final' as const, known: known(joint) };
    expect(lockingAt(round, 0)).toBe('unsaid');
    expect(lockingAt({ ...round, known: known({ ...joint, detail: { ...joint.detail, kinds: [kind] } }) }, 0)).toBe(
      'tab',
    );
  });
  test('a round after which the nuts come off asks for no lock', () =>
    fc.assert(
      fc.property(fc.constantFrom(...PURPOSES), fc.constantFrom(...LOCKINGS), (purpose, locking) =>
        expect(lockedIn(purpose, locking)).toBe(['final', 'retorque'].includes(purpose) ? locking : 'none'),
      ),
    ));
});
