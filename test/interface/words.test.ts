import { threadNamed } from '@/core/thread';
import { USUAL_THREADS } from '@/interface/words/usual-threads';
import { describe, expect, test } from '@jest/globals';
import { CHANGES, CONDITIONS, FIT_KINDS, PARTS, REMEDIES } from '@/core/fits';
import { PULL_OUTCOMES, type DoneEvent } from '@/core/tightening';
import type { EngineMeasure, EngineMeasures } from '@/model/engine/engine-measure';
import { figuresFor } from '@/interface/figures/figures';
import { measureWords } from '@/interface/words/measure-words';
import type { JointState } from '@/model/joint/joint-state';
import type { FitLine } from '@/model/fit/fit';
import { PLACE_STATES, isHolding, isProven } from '@/model/fit/place-state';
import { PURPOSE_WORDS } from '@/interface/words/purpose-words';
import {
  isNewSetting,
  lastPulled,
  lineOf,
  OUTCOME_WORDS,
  stageCount,
  stepName,
  turnNumber,
} from '@/interface/words/bench-words';
import { lineWords } from '@/interface/words/fit-line-words';
import { METHOD_WORDS, PART_WORDS, STATE_WORDS, angleName, partName, stationName } from '@/interface/words/fit-words';
import { retorqueRule } from '@/interface/words/retorque-words';
import { retorqueLine, tighteningLine } from '@/interface/words/status-words';
import { jointStateOf } from '@/model/engine/engine-rows';
import { freshTightening, rowsNamed, stateNamed, yardShop, YARD_NOW } from '../db/temporary-shop';

const shop = yardShop();
const NOW = Date.parse(YARD_NOW);
const told = (mm: number) => `${mm.toFixed(3)} mm`;

describe('words of the bench', () => {
  const { plan } = freshTightening(shop);
  test('every fastener has a number of its own in the turn', () =>
    expect(plan.positions.map((_, position) => turnNumber(plan, position)).sort((a, b) => a - b)).toEqual(
      plan.positions.map((_, i) => i + 1),
    ));
  test('the first pull is number 1, stage 1; a turned shaft is neither', () => {
    const [first] = plan.steps;
    const shaft = plan.steps.find(({ kind }) => kind === 'shaft');
    expect(first && stepName(plan, first)).toBe('number 1, stage 1');
    expect(shaft && stepName(plan, shaft)).toBe('crank turned');
  });
  test('each outcome is told apart in the record', () => {
    expect(new Set(Object.values(OUTCOME_WORDS)).size).toBe(PULL_OUTCOMES.length);
    for (const outcome of PULL_OUTCOMES)
      expect(lineOf(plan, { id: 'x', kind: 'pull', step: 0, outcome, at: YARD_NOW })).toBe(
        `number 1, stage 1: ${OUTCOME_WORDS[outcome]}`,
      );
    expect(lineOf(plan, { id: 'x', kind: 'pull', step: 9999, outcome: 'pulled', at: YARD_NOW })).toBe('');
  });
  test('the wrench is set anew once for each stage after the first', () => {
    const settings = plan.steps.flatMap((step) => (step.kind === 'pull' ? [step.setting] : []));
    const changes = settings.filter((setting, i) => i > 0 && setting !== settings[i - 1]).length;
    const done = plan.steps.map((step, i): DoneEvent => {
      const line = { id: `${i}`, step: i, at: YARD_NOW };
      return step.kind === 'shaft' ? { ...line, kind: 'shaft' } : { ...line, kind: 'pull', outcome: 'pulled' };
    });
    const fresh = plan.steps.filter((_, i) => isNewSetting(plan, i, lastPulled(plan, done.slice(0, i))));
    expect(fresh).toHaveLength(changes);
    expect(stageCount(plan)).toBe(
      new Set(plan.steps.flatMap((step) => (step.kind === 'pull' ? [step.stage] : []))).size,
    );
  });
});

describe('words of a fit', () => {
  test('every state is told by its shape: none that holds the work looks like one that is proven', () => {
    const signs = (is: (state: (typeof PLACE_STATES)[number]) => boolean) =>
      new Set(PLACE_STATES.filter(is).map((state) => STATE_WORDS[state].sign));
    for (const sign of signs(isHolding)) expect(signs(isProven)).not.toContain(sign);
    for (const state of PLACE_STATES) expect(STATE_WORDS[state].kind === 'stop').toBe(isHolding(state));
    for (const state of PLACE_STATES) expect(STATE_WORDS[state].kind === 'done').toBe(isProven(state));
    expect(new Set(PLACE_STATES.map((state) => STATE_WORDS[state].words)).size).toBe(PLACE_STATES.length);
  });
  test('every part has a name, the two sides that of their fit', () => {
    for (const part of PARTS) expect(partName(part, ['Piston', 'Bore'])).not.toBe('');
    expect(partName('journal', ['Piston', 'Bore'])).toBe('Piston');
    expect(new Set(Object.values(PART_WORDS)).size).toBe(PARTS.length - 2);
    expect(Object.values(METHOD_WORDS)).not.toContain('');
  });
  test('angles run evenly round half a turn, stations by letter', () => {
    expect([0, 1].map((angle) => angleName(angle, 2))).toEqual(['0°', '90°']);
    expect([0, 1, 2].map((angle) => angleName(angle, 3))).toEqual(['0°', '60°', '120°']);
    expect([0, 1, 3].map((angle) => angleName(angle, 8))).toEqual(['0°', '22.5°', '67.5°']);
    expect([0, 1, 25].map(stationName)).toEqual(['a', 'b', 'z']);
  });
  test('every kind, remedy, change and condition is named once', () => {
    for (const names of [
      FIT_KINDS.map(({ name }) => name),
      Object.values(REMEDIES).map(({ name }) => name),
      Object.values(CHANGES).map(({ name }) => name),
      Object.values(CONDITIONS),
    ])
      expect(new Set(names).size).toBe(names.length);
  });
});

describe('a line of a fit in words', () => {
  const mains = shop.fits.find('demo-n-fit-mains');
  const gaps = shop.fits.find('demo-f-fit-gaps');
  if (!mains || !gaps) throw new Error('no fits in the yard');
  const shared = { id: 'line-0001', at: YARD_NOW, place: 0 };
  const reading = (part: object, body: object = {}): FitLine =>
    ({
      ...shared,
      kind: 'reading',
      station: 0,
      angle: 0,
      value_mm: 44.982,
      typed: '44,982',
      body: { unit: 'mm', instrument: 'Micrometer', answers: {}, ...body },
      ...part,
    }) as never;
  test.each<readonly [FitLine, string]>([
    [reading({ part: 'journal', station: 1, angle: 1 }), 'Journal b 90°: “44,982”, 44.982 mm (Micrometer)'],
    [
      reading({ part: 'bore' }, { by: 'Anna', part_C: 12 }),
      'Bore a 0°: “44,982”, 44.982 mm (Micrometer, read by Anna, part at 12 °C)',
    ],
    [
      reading({ part: 'strip', value_mm: 0.051, typed: '2' }, { reportedBy: 'the grinder' }),
      'Strip a: “2”, 0.051 mm (Micrometer, reported by the grinder)',
    ],
    [{ ...shared, kind: 'felt', body: { words: 'none' } }, 'Felt: none'],
    [{ ...shared, kind: 'affirm', body: { answers: {} } }, 'Conditions said to hold'],
    [{ ...shared, kind: 'change', body: { change: 'cap-loosened', words: '' } }, 'Changed: a cap was loosened'],
    [{ ...shared, kind: 'change', body: { change: 'bore-cut', words: 'honed' } }, 'Changed: the bore was cut, honed'],
    [{ ...shared, kind: 'accept', body: { reason: 'it will do' } }, 'Accepted: it will do'],
    [{ ...shared, kind: 'remedy', body: { remedy: 'next-shell', words: '0.25' } }, 'The next shell: 0.25'],
    [{ ...shared, kind: 'order', body: { words: 'shells' } }, 'On order: shells'],
    [{ ...shared, kind: 'strip-in', body: {} }, 'Strip laid in; the crank is held'],
    [{ ...shared, kind: 'strip-out', body: {} }, 'Strip taken out'],
    [{ ...shared, kind: 'strike', strikes: 'line-0000', body: {} }, 'Cancelled'],
  ])('%#: %j', (line, words) => expect(lineWords(line, mains, told)).toBe(words));
  test('a marked ring is named by its mark', () =>
    expect(lineWords(reading({ part: 'length', value_mm: 0.28, typed: '11' }, { piece: 'A' }), gaps, told)).toBe(
      'As read: “11”, 0.280 mm (Ring marked A, Micrometer)',
    ));
});

describe('where a joint stands, in a line', () => {
  const standingOf = (engineId: string, jointId: string): JointState => {
    const engine = shop.engines.find(engineId);
    const joint = shop.joints.find(jointId);
    if (!engine || !joint) throw new Error(`no ${jointId}`);
    return jointStateOf(rowsNamed(shop, engine.id), joint);
  };
  const fourteen = standingOf('demo-fourteen', 'demo-f-joint-head');
  test('tight, half way round, and not begun', () => {
    expect(tighteningLine(fourteen, NOW)).toMatch(/^Tight since /);
    expect(tighteningLine(standingOf('demo-maestrale', 'demo-m-joint-head'), NOW)).toMatch(
      /^7 of \d+ steps done\. Last: number \d, stage \d: .*ago\.$/,
    );
    expect(tighteningLine({ ...fourteen, final: undefined }, NOW)).toBe('Not begun.');
    expect(tighteningLine(standingOf('demo-norrhem', 'demo-n-joint-mains'), NOW)).toBe('Begun; nothing pulled yet.');
  });
  test('every state of a retorque has a sentence of its own', () => {
    if (fourteen.retorque.state !== 'cooling') throw new Error(fourteen.retorque.state);
    const { window, cycleId } = fourteen.retorque;
    const states: JointState['retorque'][] = [
      { state: 'not-asked' },
      { state: 'waits-for-tightening' },
      { state: 'waits-for-heat' },
      fourteen.retorque,
      { state: 'open', cycleId, steady: true, window },
      { state: 'done', cycleId },
    ];
    const lines = states.map((retorque) => retorqueLine({ ...fourteen, retorque, openRetorque: undefined }, NOW));
    expect(new Set(lines).size).toBe(states.length);
    for (const line of lines) expect(line).toMatch(/^[A-Z].*\.$/);
    expect(retorqueLine({ ...fourteen, openRetorque: fourteen.final }, NOW)).toBe('Its retorque is under way.');
  });
  test('every joint of the yard is told', () => {
    for (const engine of shop.engines.all())
      for (const joint of stateNamed(shop, engine.id).joints)
        expect(`${tighteningLine(joint, NOW)} ${retorqueLine(joint, NOW)}`).toMatch(/^\S.*\.$/);
  });
});

describe('what is said before the first pull', () => {
  test('fasteners are run down by hand, but for those that are tight already', () => {
    for (const [purpose, { before }] of Object.entries(PURPOSE_WORDS))
      expect([purpose, /by hand/.test(before)]).toEqual([purpose, purpose !== 'retorque']);
  });
});

test('every thread that is offered is one that is read', () => {
  expect(USUAL_THREADS.length).toBeGreaterThan(30);
  for (const thread of USUAL_THREADS) expect(threadNamed(thread).designation).toBeTruthy();
});

describe('how a joint is gone over again, as its record prints it', () => {
  const { joint } = jointStateOf(
    rowsNamed(shop, 'demo-fourteen'),
    shop.joints.find('demo-f-joint-head') as JointState['joint'],
  );
  const rule = (
    school: JointState['joint']['retorqueSchool'],
    detail: Partial<JointState['joint']['detail']>,
    state: JointState['retorque']['state'] = 'open',
  ) =>
    retorqueRule({
      joint: { retorqueSchool: school, detail: { ...joint.detail, ...detail } },
      retorque: { state },
    }).join(' ');
  test('says how, after what, what the gasket prints, and by whose word', () => {
    const again = [{ cycles: 1 }, { distance: { value: 300, unit: 'mi' as const }, days: 30 }];
    expect(rule('slacken', { slackenBy_deg: 30, again, gasketSays: 'retorque', retorqueSource: 'Leaf 3' })).toBe(
      'Cold; slacken each a little, pull again (by 30°); after first heat; 300 miles or ' +
        '30 days. Its gasket prints: to go over it. By: Leaf 3.',
    );
    expect(
      rule('warm', { again: [], warm: { head_C: 80, page: 'p. 14' }, gasketSays: 'nothing', retorqueSource: '' }),
    ).toBe('Warm, where the book says so; after the first heat. At 80 °C, by p. 14. Its gasket prints: nothing of it.');
  });
  test('does not take a gasket that nobody read for one that says nothing', () => {
    expect(rule('straight', { again: [], gasketSays: 'unread', retorqueSource: '' })).toContain('was not read');
  });
  test('a gasket that says no comes before the shop; of a joint that is never gone over nothing is printed', () => {
    expect(rule('straight', { gasketSays: 'no-retorque' })).toBe('Not gone over: its gasket says so.');
    expect(rule('none', { gasketSays: 'unread' })).toBe('');
    expect(rule('straight', { gasketSays: 'nothing' }, 'not-asked')).toBe('');
    expect(rule('straight', { gasketSays: 'no-retorque' }, 'not-asked')).toContain('its gasket says so');
  });
});

describe('the words of a ratio of compression', () => {
  const WHOLE = {
    bore_mm: 60,
    stroke_mm: 90,
    cylinders: 4,
    overbore_mm: 0,
    chamber_cc: 40,
    gasketBore_mm: 62,
    gasket_mm: 1.5,
    deck_mm: 0,
    crown_cc: 0,
  };
  const words = (body: EngineMeasures['volumes']) =>
    measureWords({ kind: 'volumes', body } as EngineMeasure, figuresFor({ decimalSign: '.', unit: 'N·m' }));
  test('are a figure once all that lies above the piston is given, be it nothing', () =>
    expect(words(WHOLE)).toMatch(/; compression 6\.\d+ : 1\.$/));
  test.each(['gasketBore_mm', 'gasket_mm', 'deck_mm', 'crown_cc'] as const)('without %s say so', (name) => {
    const { [name]: _, ...rest } = WHOLE;
    expect(words(rest)).toMatch(/; compression: not all that lies above the piston is given\.$/);
  });
  test('say nothing of it while no chamber was measured', () => {
    const { chamber_cc: _, ...rest } = WHOLE;
    expect(words(rest)).toMatch(/bored 0 mm over\.$/);
  });
});
