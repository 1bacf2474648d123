import { describe, expect, test } from '@jest/globals';
import { jointInputs } from '@/db/reads/joint-inputs';
import { answersFor, answerSource } from '@/features/joint/known-elsewhere';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import type { ParentFacts } from '@/model/joint/fastener-facts';
import type { Hole } from '@/model/joint/hole';
import type { Joint } from '@/model/joint/joint';
import { DETAIL_JSON, PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { computeJoint } from '@/model/joint/joint-result';
import { jointNamed, rowsNamed, YARD_NOW, yardShop } from '../db/temporary-shop';

const shop = yardShop();
const HEAD = 'demo-m-joint-head';
const QUESTIONS = ['insert', 'nearHeat', 'boreMoves'] as const;
const UNSAID = { insert: null, nearHeat: null, boreMoves: null };
const of = (parent: Partial<ParentFacts>) => Object.fromEntries(QUESTIONS.map((name) => [name, parent[name]]));

/** The head’s joint as it sits in light alloy, with what is said of that. */
function sitting(parent: Partial<ParentFacts>, part: Partial<Joint['detail']> = {}, film?: string): Joint {
  const joint = jointNamed(shop, HEAD);
  const { detail } = joint;
  return {
    ...joint,
    ...(film !== undefined && { todayFilm: film }),
    detail: {
      ...detail,
      ...part,
      parent: { ...detail.parent, metal: 'aluminium-cast', hottest_C: null, ...UNSAID, ...parent },
    },
  };
}
const inputsOf = (joint: Joint) => ({ ...jointInputs(shop, jointNamed(shop, HEAD), Date.parse(YARD_NOW)), joint });
const asked = (joint: Joint) => computeJoint(inputsOf(joint)).unknown.map(({ code }) => code);
const found = (joint: Joint) => computeJoint(inputsOf(joint)).guards.map(({ code }) => code);

describe('of where it sits', () => {
  test('a new sheet says nothing', () => {
    expect(of(PLAIN_DETAIL.parent)).toEqual(UNSAID);
  });
  test('an insert is asked of, until it is said, or every hole was looked at', () => {
    expect(asked(sitting({}))).toContain('insert');
    expect(asked(sitting({ insert: false }))).not.toContain('insert');
    expect(asked(sitting({ insert: true }))).toEqual(expect.arrayContaining(['insert-length', 'insert-torque']));
    const { fasteners } = jointNamed(shop, HEAD);
    const holes = Array.from({ length: fasteners }, (_, place): Hole => {
      return { place, end: 'blind', meets: 'dry', depth_mm: null, thread: 'good', isClear: true };
    });
    expect(asked(sitting({}, { holes }))).not.toContain('insert');
    expect(asked(sitting({}, { holes: holes.slice(1) }))).toContain('insert');
  });
  test('heat is asked of where what is on it does not stand it, and stops once it is said', () => {
    expect(asked(sitting({}, { headFilm: null }, 'engine-oil'))).not.toContain('near-heat');
    const wax = (parent: Partial<ParentFacts>) => sitting(parent, { headFilm: null }, 'wax-ptfe');
    expect([asked(wax({})).includes('near-heat'), found(wax({})).includes('film-near-heat')]).toEqual([true, false]);
    const hot = wax({ nearHeat: true });
    expect([asked(hot).includes('near-heat'), found(hot).includes('film-near-heat')]).toEqual([false, true]);
    const { guards } = computeJoint(inputsOf(wax({ nearHeat: false, hottest_C: 150 })));
    expect(guards).toContainEqual(
      expect.objectContaining({ code: 'film-near-heat', severity: 'ask', message: expect.stringContaining('150 °C') }),
    );
  });
  test('each is answered by its keys, either way', () => {
    const source = answerSource(rowsNamed(shop, 'demo-maestrale'), sitting({}), inputsOf(sitting({})).shelves);
    for (const [code, name] of [
      ['insert', 'insert'],
      ['near-heat', 'nearHeat'],
      ['bore-moves', 'boreMoves'],
    ] as const) {
      const joint = sitting({});
      const answers = answersFor(source, joint).filter((one) => one.code === code);
      expect(answers.map(({ detail }) => detail.parent?.[name]).sort()).toEqual([false, true]);
      // Nothing else of where it sits is said by it.
      for (const { detail } of answers)
        expect({ ...detail.parent, [name]: null }).toEqual({ ...joint.detail.parent, [name]: null });
    }
  });
});

test('of a hardened bolt that is plated it is asked whether that was baked, and either answer settles it', () => {
  const original = { ...jointNamed(shop, HEAD).detail.original, grade: null };
  const joint = sitting({}, { headFilm: null, today: null, original }, 'zinc-oiled');
  // A soft one does not break of it.
  expect(asked(sitting({}, { headFilm: null, today: null }, 'zinc-oiled'))).not.toContain('plated');
  expect(asked(joint)).toContain('plated');
  const source = answerSource(rowsNamed(shop, 'demo-maestrale'), joint, inputsOf(joint).shelves);
  const answers = answersFor(source, joint).filter(({ code }) => code === 'plated');
  const after = answers.map(({ detail }) => ({ ...joint, detail: { ...joint.detail, ...detail } }));
  expect(after.map((one) => asked(one).includes('plated'))).toEqual([false, false]);
  expect(after.map((one) => found(one).includes('plated-unbaked')).sort()).toEqual([false, true]);
});

describe('a sheet of before, on which what nobody had ticked stood as a no', () => {
  const { insert: _1, nearHeat: _2, boreMoves: _3, ...bare } = PLAIN_DETAIL.parent;
  const sheet = (said: boolean) => {
    const parent = { ...bare, insert: said, nearHeat: said, boreMoves: said, holeThrough: said };
    return { parent, kinds: [{ name: 'long', detail: { parent } }] };
  };
  test.each([1, 2, 3])('of version %i asks; what was ticked stays', (version) => {
    for (const said of [false, true]) {
      const read = DETAIL_JSON.read(JSON.stringify({ ...(version > 1 && { version }), ...sheet(said) }));
      const now = said ? { insert: true, nearHeat: true, boreMoves: true } : UNSAID;
      expect([read.parent, ...read.kinds.map(({ detail }) => detail.parent)].map(of)).toEqual([now, now]);
      // A hole that does not go through is the safe side, and stays said.
      expect(read.parent.holeThrough).toBe(said);
    }
    expect(of(DETAIL_JSON.read(JSON.stringify({ version, parent: null })).parent)).toEqual(UNSAID);
  });
  test('since then a no is an answer, and stays one', () => {
    const detail = { ...PLAIN_DETAIL, parent: { ...PLAIN_DETAIL.parent, insert: false, nearHeat: false } };
    expect(DETAIL_JSON.read(DETAIL_JSON.write(detail))).toEqual(detail);
  });
  test('so it is in a build file of before, and in one of today', () => {
    const engine = shop.engines.find('demo-maestrale');
    if (!engine) throw new Error('the yard has no Maestrale');
    const file = buildFileOf(shop, engine, YARD_NOW);
    const joints = file.joints.map((joint) => ({ ...joint, detail: sitting({ insert: false }).detail }));
    const read = (version: number) =>
      new Set(
        parseBuildFile(JSON.stringify({ ...file, joints, version })).file.joints.map(
          ({ detail }) => detail.parent.insert,
        ),
      );
    expect([read(4), read(5)]).toEqual([new Set([null]), new Set([false])]);
  });
});
