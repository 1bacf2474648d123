import { describe, expect, test } from '@jest/globals';
import { HAZARD_IDS, HAZARDS, hazardsOf, type HazardId } from '@/model/order/hazards';
import { PLAIN_STEP, type StepDetail, type StepKind } from '@/model/order/step';
import { START_IDS, STARTS } from '@/model/order/starts';
import { stepsOfStart } from '@/model/order/steps-of-start';
import { USUAL_PRACTICE } from '@/model/practice/house-practice';

const at = (kind: StepKind, name: string, detail: Partial<StepDetail> = {}) =>
  hazardsOf({ kind, name, detail: { ...PLAIN_STEP, ...detail } });

/** A step for each that a person might write; nobody thought of a caution. */
const MET: readonly (readonly [HazardId, StepKind, string, Partial<StepDetail>?])[] = [
  ['air', 'other', 'Galleries blown through'],
  ['blind-hole', 'clean', 'Bolt holes of the block'],
  ['blind-hole', 'part', 'Head on'],
  ['solvent', 'clean', 'Everything once more'],
  ['solvent', 'other', 'Case degreased'],
  ['hot-metal', 'part', 'Bearing in, case in the oven'],
  ['hot-metal', 'part', 'Small end bush', { kit: ['heat without a flame'] }],
  ['asbestos', 'part', 'Clutch plate on its splines'],
  ['asbestos', 'clean', 'Gasket faces'],
  ['springs', 'part', 'Gudgeon pin and circlips'],
  ['blade', 'other', 'Packing cut off flush'],
  ['heavy', 'part', 'Gearbox on the engine'],
  ['heavy', 'joint', 'Flywheel bolts'],
  ['from-below', 'part', 'Main bearing caps put on from below'],
  ['stand', 'freedom', 'Goes round'],
  ['stand', 'other', 'Engine turned over, sump upwards'],
  ['stand', 'other', 'Marks seen again', { makes: ['turns-crank'] }],
  ['coolant', 'part', 'Thermostat housing'],
  ['fuel', 'part', 'Carburettor on'],
  ['old-paint', 'other', 'Paint off the rocker cover'],
  ['magnesium', 'other', 'Stud hole drilled for a thread insert'],
  ['residue', 'clean', 'Seal that was overheated, out'],
  ['start', 'other', 'It runs', { makes: ['starts'] }],
  ['road', 'other', 'First ride to the bridge and back'],
];

test('each of what hurts people is met at a step of somebody’s own, by what it is called', () => {
  for (const [hazard, ...step] of MET)
    expect([step[1], at(...step)]).toEqual([step[1], expect.arrayContaining([hazard])]);
  expect(HAZARD_IDS.filter((id) => !MET.some(([hazard]) => hazard === id))).toEqual([]);
});

test.each<[StepKind, string, Partial<StepDetail>?]>([
  ['joint', 'Sump on and tight'],
  ['joint', 'Rod bolts tight'],
  ['part', 'Dynamo strap'],
  ['part', 'Rod caps on by their numbers', { words: 'Shells go in dry: metal to metal carries the heat away.' }],
  ['part', 'Overhead camshaft in'],
  ['fit', 'Big ends: oil clearance', { surfaces: [{ what: 'engine oil', on: 'shells', much: '', sets: '' }] }],
  ['joint', 'Head gone over again after the first heat cycle'],
  ['other', 'Offered up to the broader flange'],
  ['aid-out', 'Rags out of the oil holes, counted'],
])('nobody is warned at a %s “%s”', (...step) => expect(at(...step)).toEqual([]));

describe('what a step’s own caution says', () => {
  test('is not said again', () => {
    for (const [hazard, kind, name, detail] of MET) {
      expect(at(kind, name, { ...detail, caution: 'Mind the dowel.' })).toContain(hazard);
      expect([hazard, at(kind, name, { ...detail, caution: HAZARDS[hazard].says })]).toEqual([
        hazard,
        expect.not.arrayContaining([hazard]),
      ]);
    }
  });
  test('is not said again either where an order was begun by a line that said it itself', () => {
    const before: readonly (readonly [StepKind, string, string])[] = [
      [
        'clean',
        'Block: oilways brushed and blown through, threads run clean, blind holes dry',
        'Compressed air drives grit into eyes. Oil trapped under a bolt in a blind hole can crack the casting.',
      ],
      ['part', 'Left bearing in, case warmed', 'Hot metal; no flame on a bearing, none near fuel or solvent.'],
      ['joint', 'Flywheel on by its mark, tight', 'Heavy: two people, or a support under it.'],
      ['part', 'Valves, springs and collets in', 'A spring let go hits the eye: glasses on, compressor square.'],
    ];
    expect(before.map(([kind, name, caution]) => at(kind, name, { caution }))).toEqual([['solvent'], [], [], []]);
    expect(
      at('part', 'New gasket, head down over two guide studs', {
        caution: 'Heavy: two people, nothing under a head that hangs on a hoist alone.',
      }),
    ).toEqual(['blind-hole']);
    expect(
      at('other', 'First start', {
        makes: ['starts'],
        caution: 'Fumes, belts, fan, hot coolant; a fire is likeliest now. Outside, with help at hand.',
      }),
    ).toEqual([]);
  });
});

describe.each(START_IDS)('the line to start from of a %s', (start) => {
  let n = 0;
  const steps = stepsOfStart(
    start,
    'engine',
    {},
    { freshId: () => `s${(n += 1)}`, nowIso: '2026-05-16T14:20:00.000Z', practice: USUAL_PRACTICE },
  );
  const where = (hazard: HazardId) => steps.filter((step) => hazardsOf(step).includes(hazard)).map(({ name }) => name);
  test('warns where its head goes on, where it is turned, where it is cleaned and where it is started', () => {
    expect(where('heavy').some((name) => /head down/.test(name))).toBe(true);
    expect(where('blind-hole').length).toBeGreaterThan(0);
    expect(where('solvent')).toEqual(steps.filter(({ kind }) => kind === 'clean').map(({ name }) => name));
    expect(where('stand').length).toBeGreaterThan(1);
    expect(where('asbestos').length).toBeGreaterThan(0);
    expect(where('start')).toEqual(['First start']);
    expect(where('hot-metal')).toEqual(steps.filter(({ name }) => /warm/.test(name)).map(({ name }) => name));
  });
  test('says at most three things at one step, and nothing at most of them', () => {
    const counts = steps.map((step) => hazardsOf(step).length);
    expect(Math.max(...counts)).toBeLessThanOrEqual(3);
    expect(counts.filter((count) => count === 0).length).toBeGreaterThan(steps.length / 2);
    expect(STARTS[start].steps).toHaveLength(steps.length);
  });
});
