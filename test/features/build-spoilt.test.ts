import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isDomainError } from '@/core/units';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import { bookOf } from '@/features/book/queries';
import { fitPage, fitsPage } from '@/features/fits/queries';
import { jointPage, jointSummaries } from '@/features/joint/queries';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { fitsRecord, jointRecord } from '@/features/record/queries';
import { readBack } from '@/features/record/read-back';
import { runInOf } from '@/features/run-in/queries';
import { stretchPage } from '@/features/stretch/queries';
import { engineStateOf } from '@/model/engine/engine-rows';
import { summaryOf } from '@/model/engine/engine-summary';
import { rowsNamed, yardShop, YARD_NOW } from '../db/temporary-shop';

const NOW = Date.parse(YARD_NOW);
const ENGINES = ['demo-fourteen', 'demo-maestrale', 'demo-norrhem'];
let n = 0;
const newId = () => `fresh-${(n += 1)}`;

type Path = readonly (string | number)[];

/** Every place in a file, by its path. */
const places = (value: unknown, path: Path = []): readonly Path[] => {
  if (typeof value !== 'object' || value === null) return [path];
  const entries = Array.isArray(value) ? value.map((one: unknown, i) => [i, one] as const) : Object.entries(value);
  return [path, ...entries.flatMap(([key, one]) => places(one, [...path, key]))];
};

const GONE = Symbol('gone');

/** The file with another value at a place, or without it. */
function spoilt(value: unknown, [key, ...rest]: Path, to: unknown): unknown {
  if (key === undefined) return to;
  if (Array.isArray(value)) {
    const list = value.map((one: unknown, i) => (i === key ? spoilt(one, rest, to) : one));
    return list.filter((one) => one !== GONE);
  }
  const held = value as Readonly<Record<string, unknown>>;
  const put = spoilt(held[key], rest, to);
  return Object.fromEntries(Object.entries({ ...held, [key]: put }).filter(([, one]) => one !== GONE));
}

const VALUES = [
  GONE,
  null,
  0,
  -1,
  1e9,
  1e308,
  0.0001,
  '',
  'x',
  '=1+1',
  'a'.repeat(500),
  [],
  {},
  [[]],
  true,
  '__proto__',
  '2026',
  '9999-12-31T00:00:00Z',
  1.5,
  'demo-fourteen',
  'moly-paste',
];

const hasOdd = (value: unknown): boolean =>
  typeof value === 'number'
    ? !Number.isFinite(value)
    : typeof value === 'object' && value !== null && Object.values(value).some(hasOdd);

/** What every page of an engine is drawn from. */
function pagesOf(shop: Shop, id: string): readonly unknown[] {
  const rows = rowsNamed(shop, id);
  const [state, shelves] = [engineStateOf(rows), shelvesOf(shop)];
  return [
    summaryOf(state),
    jointSummaries(rows, shelves, NOW),
    fitsPage(state),
    fitsRecord(shop, rows),
    runInOf(state, NOW),
    bookOf(shop, rows),
    ...rows.joints.flatMap((joint) => [
      jointPage(rows, shelves, joint.id, NOW),
      jointRecord(rows, shelves, joint.id, NOW),
      stretchPage(rows, joint.id, NOW, shelves),
    ]),
    ...rows.fits.map((fit) => fitPage(shop, rows, fit.id)),
  ];
}

test('a spoilt file is refused with a sentence, or every page of what came in can be drawn', () => {
  const shop = yardShop();
  const files = ENGINES.map((id): unknown =>
    JSON.parse(JSON.stringify(buildFileOf(shop, rowsNamed(shop, id).engine, YARD_NOW))),
  );
  const paths = files.map((file) => places(file).slice(1));
  const told = { accepted: 0, refused: 0 };
  fc.assert(
    fc.property(fc.nat(files.length - 1), fc.nat(), fc.constantFrom(...VALUES), (which, at, to) => {
      const own = paths[which] ?? [];
      const text = JSON.stringify(spoilt(files[which], own[at % own.length] ?? [], to));
      try {
        const { file } = readBack(shop, parseBuildFile(text).file, NOW, newId);
        told.accepted += 1;
        expect(pagesOf(shop, file.engine.id).some(hasOdd)).toBe(false);
      } catch (error) {
        if (!isDomainError(error)) throw error;
        told.refused += 1;
        expect(error.message).toMatch(/[.]$/);
      }
    }),
    { numRuns: 400 },
  );
  expect(told.accepted).toBeGreaterThan(20);
  expect(told.refused).toBeGreaterThan(200);
}, 90_000);
