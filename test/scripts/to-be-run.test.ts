import { describe, expect, test } from '@jest/globals';
import { toBeRun } from '../../scripts/to-be-run.cjs';

const FILES: Readonly<Record<string, string>> = {
  'src/core/units/units.ts': 'export const one = 1;',
  'src/interface/parts/field.tsx': 'export const Field = () => null;',
  'src/db/migrations/001.sql': 'CREATE TABLE engine (id TEXT);',
  'docs/reckoner.md': '# The reckoner',
  'package-lock.json': '{}',
  'test/core/units.test.ts': "import { one } from '@/core/units';",
  'test/house.test.ts': "readFileSync('README.md')",
  'test/db/copies.test.ts': 'spawnSync(process.execPath)',
  'test/db/inserts.test.ts': "readdirSync(join('src', 'db'))",
  'test/db/layouts.test.ts': "readFileSync('test/fixtures/layout.sqlite')",
  'test/browser/order.spec.ts': "readFileSync('x')",
  'test/server/door.test.ts': "spawn('node')",
};
const read = (name: string) => FILES[name] ?? '';
const passed = { ...FILES, node: 'v20' };
const LOOKS = ['test/house.test.ts', 'test/db/copies.test.ts', 'test/db/inserts.test.ts'];

const after = (changed: Readonly<Record<string, string | undefined>>) => {
  const now = Object.fromEntries(Object.entries({ ...passed, ...changed }).filter(([, text]) => text !== undefined));
  return toBeRun(passed, now, read);
};

describe('what of the suite is run', () => {
  test('is all of it where it is not known on what it passed, or what there is', () => {
    expect(toBeRun(undefined, passed, read)).toMatchObject({ isAll: true, files: [] });
    expect(toBeRun(passed, undefined, read)).toMatchObject({ isAll: true, files: [] });
  });

  test('is what looks round where nothing is another: a test of the project’s files, or that starts a program', () =>
    expect(after({})).toEqual({ isAll: false, files: LOOKS, why: '0 files are others than when all passed.' }));

  test.each(['src/core/units/units.ts', 'src/interface/parts/field.tsx', 'test/core/units.test.ts'])(
    'is what imports %s where it was changed, or is new',
    (name) => {
      expect(after({ [name]: 'another' }).files).toEqual([name, ...LOOKS]);
      expect(after({ 'src/core/new.ts': 'new' }).files).toEqual(['src/core/new.ts', ...LOOKS]);
    },
  );

  test('is never asked of a file that is gone; whatever imported it was changed too', () =>
    expect(after({ 'src/core/units/units.ts': undefined, 'test/core/units.test.ts': 'x' })).toMatchObject({
      isAll: false,
      files: ['test/core/units.test.ts', ...LOOKS],
    }));

  test('is what looks round where only a text of the docs was changed', () =>
    expect(after({ 'docs/reckoner.md': 'another', 'src/a.css': 'new' }).files).toEqual(LOOKS));

  test.each([
    ['a migration', { 'src/db/migrations/001.sql': 'another' }],
    ['a package', { 'package-lock.json': '{"a":1}' }],
    ['a migration that is gone', { 'src/db/migrations/001.sql': undefined }],
    ['a fixture that is new', { 'test/fixtures/a.json': '{}' }],
    ['the Node', { node: 'v22' }],
  ])('is all of it where %s is another', (_, changed) => expect(after(changed)).toMatchObject({ isAll: true }));
});
