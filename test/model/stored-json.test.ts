import { readFileSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { openShop } from '@/db/shop';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { MEASURE_JSON } from '@/model/engine/engine-measure';
import { FIT_DETAIL_JSON, WANTED_JSON } from '@/model/fit/fit';
import { DETAIL_JSON, PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { PLAN_JSON } from '@/model/joint/tightening-plan';
import { PRACTICE_JSON, USUAL_PRACTICE } from '@/model/practice/house-practice';
import { SHELF_JSON } from '@/model/shelf/shelf-rows';
import { storedJson } from '@/model/stored-json';
import { codeOf } from '../core/code-of';
import { temporaryFile, YARD_NOW } from '../db/temporary-shop';

const before = (name: string) => gunzipSync(readFileSync(join('test', 'fixtures', 'before', name)));

describe('JSON that is kept for good', () => {
  const kind = storedJson<{ readonly b: number; readonly c: string }>('thing', [
    ({ a, ...rest }) => ({ ...rest, b: a }),
    (held) => ({ c: 'new', ...held }),
  ]);
  test('every earlier version is lifted, one after another', () => {
    expect(kind.read('{"a":1}')).toEqual({ b: 1, c: 'new' });
    expect(kind.read('{"version":2,"b":1}')).toEqual({ b: 1, c: 'new' });
    expect(kind.read('{"version":3,"b":1,"c":"x"}')).toEqual({ b: 1, c: 'x' });
  });
  test('what is written says its version and comes back as it was', () => {
    expect(JSON.parse(kind.write({ b: 1, c: 'x' }))).toEqual({ version: 3, b: 1, c: 'x' });
    fc.assert(
      fc.property(fc.integer(), fc.string(), (b, c) => expect(kind.read(kind.write({ b, c }))).toEqual({ b, c })),
    );
  });
  test('a version of a newer program is refused in a sentence, not guessed at', () => {
    expect(codeOf(() => kind.read('{"version":4,"b":1}'))).toBe('newer-json');
    expect(codeOf(() => kind.read('{"version":"two"}'))).toBe('newer-json');
    expect(() => kind.read('{"version":4}')).toThrow(
      /This thing was written by a newer version .*4; this one reads up to 3/,
    );
  });
});

describe('a fixture of every version of what a file holds', () => {
  test('a plan of the first version always says what stood against it', () => {
    expect(PLAN_JSON.read('{"steps":[]}')).toEqual({ steps: [], guards: [] });
    expect(PLAN_JSON.read('{"version":2,"steps":[],"guards":[{"code":"x"}]}')).toEqual({
      steps: [],
      guards: [{ code: 'x' }],
    });
  });
  test('a row of a shelf: its standing is where it comes from', () => {
    expect(SHELF_JSON.read('{"id":"a","standing":"own"}')).toEqual({ id: 'a', provenance: 'own' });
    expect(SHELF_JSON.read('{"version":2,"id":"a","provenance":"own"}')).toEqual({ id: 'a', provenance: 'own' });
  });
  test.each([
    ['house practice', PRACTICE_JSON.read('{"range":"low"}'), { range: 'low' }],
    ['what is wanted of a fit', WANTED_JSON.read('{"target_mm":1}'), { target_mm: 1 }],
    ['the detail of a fit', FIT_DETAIL_JSON.read('{"nominal_mm":50}'), { nominal_mm: 50 }],
    ['a measure of the engine', MEASURE_JSON.read('{"pairs":[]}'), { pairs: [] }],
    ['the detail of a joint', DETAIL_JSON.read('{}'), PLAIN_DETAIL],
  ])('%s of the first version', (_, read, expected) => expect(read).toEqual(expected));
  test('the detail of a joint of the second version: that it is not locked is no answer yet, a lock that is there is one', () => {
    const lockings = (locking: string) => {
      const fastener = { ...PLAIN_DETAIL.original, locking };
      const kinds = [{ name: 'long', places: [0], fields: {}, detail: { original: fastener, today: fastener } }];
      const held = { version: 2, original: fastener, today: fastener, kinds };
      const { original, today, kinds: read } = DETAIL_JSON.read(JSON.stringify(held));
      return [original, today, read[0]?.detail.original, read[0]?.detail.today].map((one) => one?.locking);
    };
    expect(lockings('none')).toEqual(Array.from({ length: 4 }, () => 'unsaid'));
    expect(lockings('wire')).toEqual(Array.from({ length: 4 }, () => 'wire'));
  });
  test('nothing of it carries its version into the program', () => {
    expect(PRACTICE_JSON.read(PRACTICE_JSON.write(USUAL_PRACTICE))).toEqual(USUAL_PRACTICE);
    expect(DETAIL_JSON.read(DETAIL_JSON.write(PLAIN_DETAIL))).toEqual(PLAIN_DETAIL);
  });
});

describe('a build file of the first version', () => {
  test.each(['fourteen', 'maestrale', 'norrhem'])('%s comes in, and goes out again as its old shop has it', (name) => {
    const file = join(mkdtempSync(join(tmpdir(), 'spanner-lift-')), 'shop.sqlite');
    writeFileSync(file, before('yard-0004.sqlite.gz'));
    const old = openShop(file);
    const engine = old.engines.find(`demo-${name}`);
    if (!engine) throw new Error('not in the file of before');
    const lifted = parseBuildFile(before(`build-1-${name}.json.gz`).toString());
    const other = openShop(temporaryFile());
    readBack(other, lifted.file, Date.now(), () => 'fresh-1');
    const back = other.engines.find(engine.id);
    if (!back) throw new Error('it did not come in');
    const [from, into] = [buildFileOf(old, engine, YARD_NOW), buildFileOf(other, back, YARD_NOW)];
    // A file of before names a reading by its place; the shop of before by nothing but its figure.
    // It brought only the wrench that each joint names, not the one chosen for it from the shelf.
    const brought = new Set(lifted.file.wrenches.map(({ id }) => id));
    const plain = ({ figures: _figures, ...build }: typeof from) => ({
      ...build,
      wrenches: build.wrenches.filter(({ id }) => brought.has(id)),
      leaves: build.leaves.map(({ figure: _, ...leaf }) => leaf),
      fits: build.fits.map(({ lines, ...fit }) => ({
        ...fit,
        lines: lines.map(({ recordedAt: __, ...line }) => line),
      })),
    });
    expect(plain(into)).toEqual(plain(from));
    expect(into.leaves.filter(({ kind }) => kind === 'torque').every(({ figure }) => figure !== null)).toBe(true);
  });
  test('what is no build file is refused as such', () => {
    for (const text of ['[]', '"x"', '{"version":1}', '{"format":"other","version":1}', 'null', '{"version":7}'])
      expect(codeOf(() => parseBuildFile(text))).toBe('bad-field');
    expect(codeOf(() => parseBuildFile('{'))).toBe('bad-json');
  });
});
