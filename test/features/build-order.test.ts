import { describe, expect, test } from '@jest/globals';
import { openShop, type Shop } from '@/db/shop';
import { buildFileOf, type BuildFile } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { engineStateOf } from '@/model/engine/engine-rows';
import { rowsNamed, temporaryFile, yardShop, YARD_NOW } from '../db/temporary-shop';

const NOW = Date.parse(YARD_NOW);
let n = 0;
const newId = () => `fresh-${(n += 1)}`;

const written = (shop: Shop, id: string): BuildFile =>
  parseBuildFile(JSON.stringify(buildFileOf(shop, rowsNamed(shop, id).engine, YARD_NOW))).file;

/** What the order comes to, by names: ids may be others. */
function told(shop: Shop, id: string) {
  const { steps, aids, loose, tray, crank, trial } = engineStateOf(rowsNamed(shop, id)).order;
  const name = new Map(steps.map(({ step }) => [step.id, step.name]));
  return {
    steps: steps.map(({ step, state, why, waits }) => [
      step.name,
      step.branch,
      state,
      why,
      waits.map((wait) => ('stepId' in wait ? name.get(wait.stepId) : wait.words)),
      step.detail,
    ]),
    aids: aids.map(({ name: aid, count, inside }) => [aid, count, inside]),
    loose: loose.map(({ words }) => words),
    tray: tray.map(({ part, has, used, left, short, surplus, order, checked }) => [
      part.name,
      name.get(part.stepId ?? ''),
      has,
      used,
      left,
      short,
      surplus,
      order,
      checked,
    ]),
    crank: crank.state,
    trial: trial && [trial.isGoing, trial.stretch.size, name.get(trial.upTo)],
  };
}

const ENGINES = ['demo-fourteen', 'demo-maestrale', 'demo-norrhem'];

/** Lines that end others by name, so that what they name has to follow where ids change. */
function withLines(): Shop {
  const shop = yardShop();
  const write = (id: string, line: object) =>
    shop.build.record('demo-fourteen', { id, at: YARD_NOW, ...line } as never, YARD_NOW);
  write('rag', { kind: 'aid-in', body: { name: 'rag', count: 3, inside: true } });
  write('rag-out', { kind: 'aid-out', body: { of: 'rag', count: 2 } });
  write('tab', { kind: 'loose', body: { words: 'tab' } });
  write('tab-done', { kind: 'tight', body: { of: 'tab' } });
  write('studs-back', { kind: 'undone', stepId: 'demo-fourteen-guide-studs', body: { reason: 'one was in still' } });
  write('studs-out', { kind: 'aid-out', body: { of: 'demo-fourteen-head-on-done:0', count: 1 } });
  write('tab-struck', { kind: 'strike', strikes: 'tab-done', body: {} });
  return shop;
}

describe('the order of a build in its file', () => {
  test.each(ENGINES)('of %s comes over into an empty shop to the letter', (id) => {
    const from = withLines();
    const to = openShop(temporaryFile());
    readBack(to, written(from, id), NOW, newId);
    expect(told(to, id)).toEqual(told(from, id));
  });
  test.each(ENGINES)('of %s comes beside itself under other ids, and says the same', (id) => {
    const shop = withLines();
    const before = told(shop, id);
    const { file } = readBack(shop, written(shop, id), NOW, newId);
    expect(file.engine.id).not.toBe(id);
    expect(told(shop, file.engine.id)).toEqual(before);
    expect(told(shop, id)).toEqual(before);
  });
  test('a number of its own that is known here is told in words, and is not on two engines', () => {
    const shop = yardShop();
    const [part] = shop.build.ofEngine('demo-fourteen').parts;
    if (!part) throw new Error('no parts');
    shop.build.alterPart({ ...part, serial: 'F-77' });
    const { file } = readBack(shop, written(shop, 'demo-fourteen'), NOW, newId);
    const copied = shop.build.ofEngine(file.engine.id).parts.find(({ name }) => name === part.name);
    expect(copied).toMatchObject({ serial: '', detail: { words: expect.stringMatching(/Number F-77/) as unknown } });
    expect(shop.build.partsNumbered('F-77')).toHaveLength(1);
  });
});

describe('an order that is not whole is refused', () => {
  const shop = yardShop();
  const file = () => JSON.parse(JSON.stringify(written(shop, 'demo-fourteen'))) as BuildFile;
  const spoilt: readonly (readonly [string, (order: BuildFile['order']) => BuildFile['order'], RegExp])[] = [
    [
      'a step that waits for none of the file',
      (order) => ({ ...order, steps: order.steps.slice(1) }),
      /step .* is missing/,
    ],
    [
      'steps in a ring',
      (order) => ({
        ...order,
        steps: order.steps.map((step, i) => (i === 0 ? { ...step, after: [order.steps.at(-1)?.id ?? ''] } : step)),
      }),
      /in a ring/,
    ],
    [
      'a line of a step that is not there',
      (order) => ({
        ...order,
        buildLines: order.buildLines.map((line) => ('stepId' in line ? { ...line, stepId: 'none' } : line)),
      }),
      /step none/,
    ],
    [
      'a part that goes to no step of it',
      (order) => ({ ...order, parts: order.parts.map((part) => ({ ...part, stepId: 'none' })) }),
      /step none/,
    ],
    [
      'a line of the future',
      (order) => ({
        ...order,
        buildLines: order.buildLines.map((line) => ({ ...line, at: '2031-01-01T00:00:00.000Z' })),
      }),
      /future/,
    ],
  ];
  test.each(spoilt)('%s', (_, spoil, says) => {
    const whole = file();
    const to = openShop(temporaryFile());
    expect(() => readBack(to, { ...whole, order: spoil(whole.order) }, NOW, newId)).toThrow(says);
    expect(to.engines.all()).toEqual([]);
  });
  test('and a file of before, without one, has an empty one', () => {
    const { order: _, ...before } = file();
    expect(parseBuildFile(JSON.stringify(before)).file.order).toEqual({ steps: [], parts: [], buildLines: [] });
  });
});
