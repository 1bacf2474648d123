import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { openShop } from '@/db/shop';
import { fitShims } from '@/features/fits/fit-shims';
import { recordLine } from '@/features/fits/record-line';
import { BUILD_VERSION, buildFileOf, type BuildFile } from '@/features/record/build-file';
import { buildFileSchema } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { publishedSchema } from '../../scripts/published-schema';
import { codeOf } from '../core/code-of';
import { temporaryFile, yardShop, YARD_NOW } from '../db/temporary-shop';

const shop = yardShop();
const NOW = Date.parse(YARD_NOW);
/** Ids one after another. */
const newId = () => {
  let n = 0;
  return () => `fresh-${n++}`;
};
const fileOf = (id: string, jointId?: string): BuildFile => {
  const engine = shop.engines.find(id);
  if (!engine) throw new Error(`no ${id}`);
  return JSON.parse(JSON.stringify(buildFileOf(shop, engine, YARD_NOW, jointId))) as BuildFile;
};

describe('the build file', () => {
  test.each(['demo-fourteen', 'demo-maestrale', 'demo-norrhem'])(
    '%s comes back line for line in another shop',
    (id) => {
      const file = fileOf(id);
      const checked = buildFileSchema.validate(file, { stripUnknown: true });
      if (checked.error) throw checked.error;
      expect(checked.value).toEqual(file);
      const other = openShop(temporaryFile());
      readBack(other, checked.value, NOW, newId());
      const engine = other.engines.find(id);
      if (!engine) throw new Error('it did not come back');
      expect(JSON.parse(JSON.stringify(buildFileOf(other, engine, YARD_NOW)))).toEqual(file);
    },
  );

  test('shims place by place, marked rings, corrected pages and named sheets come back too', () => {
    const own = yardShop();
    const cam = own.fits.find('demo-m-fit-cam');
    const leaf = own.book.findLeaf('demo-n-mains-play');
    if (!cam || !leaf) throw new Error('the yard is not whole');
    fitShims(own, cam, 0, [0.35], YARD_NOW);
    own.book.addLeaf({
      ...leaf,
      id: 'again',
      replacesId: leaf.id,
      printedText: '0,04 bis 0,07 mm',
      min_mm: 0.04,
      max_mm: 0.07,
    });
    own.measures.add({
      id: 'pistons',
      engineId: 'demo-fourteen',
      kind: 'weights',
      at: YARD_NOW,
      body: { what: 'pieces', name: 'Pistons', rods: [], pieces_g: [380, 381], tolerance_g: 1 },
    });
    const ring = {
      id: 'ring-marked',
      kind: 'reading',
      place: 0,
      part: 'length',
      station: 0,
      angle: 0,
      value_mm: 0,
      typed: '11',
      at: YARD_NOW,
    };
    expect(
      recordLine(own, 'demo-f-fit-gaps', {
        ...ring,
        body: { unit: 'thou', instrument: 'Feelers', answers: {}, piece: 'A' },
      }).ok,
    ).toBe(true);
    for (const id of ['demo-fourteen', 'demo-maestrale', 'demo-norrhem']) {
      const engine = own.engines.find(id);
      if (!engine) throw new Error(`no ${id}`);
      const file = JSON.parse(JSON.stringify(buildFileOf(own, engine, YARD_NOW))) as BuildFile;
      const checked = buildFileSchema.validate(file, { stripUnknown: true });
      if (checked.error) throw checked.error;
      const other = openShop(temporaryFile());
      readBack(other, checked.value, Date.now(), newId());
      const back = other.engines.find(id);
      expect(back && JSON.parse(JSON.stringify(buildFileOf(other, back, YARD_NOW)))).toEqual(file);
    }
  });

  test('one joint takes along what it rests on, and no more', () => {
    const file = fileOf('demo-fourteen', 'demo-f-joint-head');
    expect([file.joints.length, file.leaves.map((leaf) => leaf.id), file.sources.length, file.wrenches.length]).toEqual(
      [1, ['demo-f-head-38'], 1, 1],
    );
    expect(() => readBack(openShop(temporaryFile()), file, NOW, newId())).not.toThrow();
  });

  test('a copy stands beside the first, with lines of its own', () => {
    const own = yardShop();
    const { file, copied } = readBack(own, fileOf('demo-fourteen'), NOW, newId());
    expect(copied).toBe(true);
    const engine = own.engines.find(file.engine.id);
    expect(engine?.name).toBe('Thorncote-Wicks Fourteen (copy)');
    const lines = (id: string) => [
      own.joints.ofEngine(id).length,
      [...own.tightenings.eventsOfEngine(id).values()].flat().length,
      [...own.fits.linesOfEngine(id).values()].flat().length,
      own.heat.log(id).readings.length,
    ];
    expect(lines(file.engine.id)).toEqual(lines('demo-fourteen'));
    expect(lines('demo-fourteen')[0]).toBe(2);
  });

  test('a file that is not whole changes nothing', () => {
    const file = fileOf('demo-norrhem');
    const other = openShop(temporaryFile());
    const spoilt: readonly BuildFile[] = [
      { ...file, leaves: [] },
      { ...file, wrenches: [] },
      {
        ...fileOf('demo-maestrale'),
        tightenings: fileOf('demo-maestrale').tightenings.map((one) => ({ ...one, events: one.events.slice(1) })),
      },
    ];
    for (const one of spoilt) expect(codeOf(() => readBack(other, one, NOW, newId()))).toMatch(/bad-field|out-of-turn/);
    expect(other.engines.all()).toEqual([]);
  });

  test('something else is refused', () => {
    for (const body of [
      {},
      { format: 'other' },
      { ...fileOf('demo-norrhem'), version: BUILD_VERSION + 1 },
      { ...fileOf('demo-norrhem'), joints: 'x' },
    ])
      expect(buildFileSchema.validate(body).error).toBeDefined();
  });

  test('the published schema is the one in force', () => {
    expect(JSON.parse(readFileSync('docs/build-file.schema.json', 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(publishedSchema())),
    );
  });
});

describe('lengths of bolts in a file', () => {
  const rods = () => {
    const file = fileOf('demo-maestrale');
    const [set] = file.boltSets;
    const last = set?.readings.at(-1);
    if (!set || !last) throw new Error('no rod bolts');
    const back = (id: string, strikes: string) => ({ ...last, id, strikes });
    const withLines = (...more: readonly (typeof last)[]): BuildFile => ({
      ...file,
      boltSets: [{ ...set, readings: [...set.readings, ...more] }],
    });
    return { last, back, withLines };
  };
  test('one that was taken back comes so, beside the same engine too, and takes back its own', () => {
    const { last, back, withLines } = rods();
    const other = openShop(temporaryFile());
    for (const time of ['first', 'second'])
      readBack(other, withLines(back('back-1', last.id)), NOW, () => `${time}-${(made += 1)}`);
    const sets = other.engines.all().flatMap(({ id }) => other.bolts.ofEngine(id));
    expect(sets).toHaveLength(2);
    for (const { readings } of sets) expect(readings.at(-1)?.strikes).toBe(readings.at(-2)?.id);
  });
  let made = 0;
  test.each([
    ['what is not in it', (last: string) => `not-${last}`],
    ['itself', () => 'back-1'],
  ])('none takes back %s', (_, strikes) => {
    const { last, back, withLines } = rods();
    const other = openShop(temporaryFile());
    const file = withLines(back('back-1', strikes(last.id)));
    expect(() => readBack(other, file, NOW, newId())).toThrow(/takes back one that is not before it/);
    expect(other.engines.all()).toEqual([]);
  });
});
