import { describe, expect, test } from '@jest/globals';
import { jointInputs } from '@/db/reads/joint-inputs';
import { answersFor, answerSource } from '@/features/joint/known-elsewhere';
import { fastenerFingerprint } from '@/model/fit/fit-context';
import { fastenerWords, type FastenerFacts } from '@/model/joint/fastener-facts';
import { DETAIL_JSON, PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { originalFacts } from '@/model/joint/joint-ladder';
import { computeJoint } from '@/model/joint/joint-result';
import { jointNamed, rowsNamed, YARD_NOW, yardShop } from '../db/temporary-shop';

const shop = yardShop();
const cover = jointNamed(shop, 'demo-m-joint-cover');
const of = (form: FastenerFacts['form'], today = false) => ({
  ...cover,
  detail: {
    ...cover.detail,
    original: { ...cover.detail.original, form: today ? ('stud' as const) : form, length_mm: 60 },
    today: today ? { ...originalFacts({ joint: cover }), form, length_mm: 60 } : null,
    parent: { ...cover.detail.parent, grip_mm: 40, holeDepth_mm: null },
    holes: [],
  },
});
const inputs = (joint: ReturnType<typeof of>) => ({ ...jointInputs(shop, cover, Date.parse(YARD_NOW)), joint });
const asked = (joint: ReturnType<typeof of>) => computeJoint(inputs(joint)).unknown.map(({ code }) => code);

describe('whether it is a bolt or a stud', () => {
  test('is asked of a sheet on which nobody said it, and of what is on it today', () => {
    expect(PLAIN_DETAIL.original.form).toBe('unsaid');
    expect(asked(of('unsaid'))).toContain('form');
    expect(asked(of('unsaid', true))).toContain('form');
    for (const form of ['bolt', 'stud'] as const) expect(asked(of(form))).not.toContain('form');
  });
  test('a bolt is asked how deep its hole is, a stud what it is screwed into; unsaid, what a stud is asked', () => {
    expect(asked(of('bolt'))).toContain('hole-depth');
    expect(asked(of('bolt'))).not.toContain('metal-thread');
    for (const form of ['stud', 'unsaid'] as const) {
      expect(asked(of(form))).toContain('metal-thread');
      expect(asked(of(form))).not.toContain('hole-depth');
    }
  });
  test('until it is said it is judged as a stud, and no figure moves by saying so', () => {
    const [unsaid, stud] = [computeJoint(inputs(of('unsaid'))), computeJoint(inputs(of('stud')))];
    expect(unsaid.ladder.setting).toEqual(stud.ladder.setting);
    expect(unsaid.ladder.band).toEqual(stud.ladder.band);
    expect(unsaid.guards).toEqual(stud.guards);
    expect(unsaid.unknown.filter(({ code }) => code !== 'form')).toEqual(stud.unknown);
  });
  test('is answered by one key, on what is on it today', () => {
    const answers = (joint: ReturnType<typeof of>) =>
      answersFor(answerSource(rowsNamed(shop, 'demo-maestrale'), joint, inputs(joint).shelves), joint)
        .filter(({ code }) => code === 'form')
        .map(({ detail }) => detail.today?.form ?? detail.original?.form);
    expect(answers(of('unsaid'))).toEqual(['bolt', 'stud']);
    expect(answers(of('unsaid', true))).toEqual(['bolt', 'stud']);
  });
  test('is told where it is known', () => {
    expect(fastenerWords({ thread: 'M6', form: 'unsaid' })).toBe('M6');
    expect(fastenerWords({ thread: 'M6', form: 'bolt' })).toBe('M6 bolt');
  });
  test('to say that they are studs makes no other fasteners of them to a fit; to say that they are bolts does', () => {
    expect(fastenerFingerprint(of('unsaid'))).toBe(fastenerFingerprint(of('stud')));
    expect(fastenerFingerprint(of('unsaid'))).not.toBe(fastenerFingerprint(of('bolt')));
  });
  test('a sheet of before on which it stood keeps it', () => {
    const { form } = DETAIL_JSON.read('{"version":2,"original":{"form":"stud"}}').original;
    expect(form).toBe('stud');
  });
});
