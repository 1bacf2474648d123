import { describe, expect, test } from '@jest/globals';
import { stepsOfStart } from '@/model/order/steps-of-start';
import { STARTS, type StartId } from '@/model/order/starts';
import { USUAL_PRACTICE, type HousePractice } from '@/model/practice/house-practice';
import { PRACTICE_QUESTIONS } from '@/model/practice/practice-questions';

const made = (start: StartId, practice: Partial<HousePractice>) => {
  let n = 0;
  const all = { ...USUAL_PRACTICE, ...practice };
  return stepsOfStart(
    start,
    'engine',
    {},
    { freshId: () => `s${(n += 1)}`, nowIso: '2026-05-16T14:20:00.000Z', practice: all },
  );
};

/** The steps of all starts that are made with a practice, by their names. */
const ofAll = (practice: Partial<HousePractice>) =>
  (Object.keys(STARTS) as StartId[]).flatMap((start) => made(start, practice));

const named = (practice: Partial<HousePractice>, name: RegExp) => {
  const found = ofAll(practice).find((step) => name.test(step.name));
  if (!found) throw new Error('no such step');
  return found.detail;
};

describe('what house practice decides of a step', () => {
  test('shells go in dry, or oiled with the caution that this calls for; the school and its reason are told', () => {
    const dry = named({ shellBacks: 'dry' }, /Upper main shells/);
    expect(dry.surfaces).toEqual([{ what: 'nothing: dry', on: 'back of the shell and its seat', much: '', sets: '' }]);
    expect(dry.words).toContain('Shell backs dry, by house practice: metal to metal carries the heat away');
    const oiled = named({ shellBacks: 'lightly-oiled' }, /Upper main shells/);
    expect(oiled.surfaces.map(({ what }) => what)).toEqual(['engine oil']);
    expect(oiled.caution).toBe(
      'Dirt behind a shell is a tight bearing. Oil that cannot get out from behind a shell holds it off its seat: read the clearance as it lies.',
    );
    // What else goes on there stays.
    expect(named({ shellBacks: 'dry' }, /Rod caps on/).surfaces.map(({ what }) => what)).toEqual([
      'nothing: dry',
      'engine oil',
    ]);
  });
  test('bearings are handled in gloves, or with clean hands', () => {
    expect(named({ handling: 'gloves' }, /Left bearing/).kit).toContain('clean gloves');
    const hands = named({ handling: 'clean-hands' }, /Left bearing/);
    expect(hands.kit).not.toContain('clean gloves');
    expect(hands.words).toContain('with clean hands, by house practice');
  });
  test('what goes on the seat of a seal; one that sets is not put on for a trial', () => {
    const seat = (sealSeats: HousePractice['sealSeats']) => {
      const { surfaces, makes } = named({ sealSeats }, /Rear seal/);
      return [
        surfaces.find(({ on }) => on === 'seat of the seal')?.what,
        makes.includes('sealant'),
        makes.includes('once-only'),
      ];
    };
    expect(seat('dry')).toEqual(['nothing: dry', false, true]);
    expect(seat('compound')).toEqual(['jointing compound', true, true]);
    expect(seat('cement')).toEqual(['gasket cement', true, true]);
  });
  test.each(['shellBacks', 'handling', 'sealSeats'] as const)(
    'every school of %s does something, in some start',
    (row) => {
      const schools = PRACTICE_QUESTIONS.find((question) => question.row === row)?.schools ?? [];
      const texts = schools.map(({ value }) => JSON.stringify(ofAll({ [row]: value }).map(({ detail }) => detail)));
      expect(new Set(texts).size).toBe(schools.length);
      expect(schools.length).toBeGreaterThan(1);
    },
  );
  test('no step is left to a school that nobody chose', () =>
    expect(JSON.stringify(ofAll({}))).not.toContain('by school'));
});
