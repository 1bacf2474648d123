import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { ShelfKind } from '@/model/shelf/shelf-rows';
import { SHELF_GRADES } from '@/core/fastener';
import { SHELF_FILMS } from '@/core/film';
import { recordEvent } from '@/features/bench/record-event';
import { openShop, type Shop } from '@/db/shop';
import { jointInputs } from '@/db/reads/joint-inputs';
import { buildFileOf, type BuildFile } from '@/features/record/build-file';
import { buildFileSchema } from '@/features/record/build-file-schema';
import { previewBuild } from '@/features/record/build-preview';
import { readBack } from '@/features/record/read-back';
import { fitsOf, jointStateOf } from '@/model/engine/engine-rows';
import { computeJoint } from '@/model/joint/joint-result';
import { isDomainError } from '@/core/units';
import { freshTightening, jointNamed, rowsNamed, temporaryFile, yardShop, YARD_NOW } from '../db/temporary-shop';

const NOW = Date.parse(YARD_NOW);
let n = 0;
const newId = () => `fresh-${(n += 1)}`;
const ENGINES = ['demo-fourteen', 'demo-maestrale', 'demo-norrhem'];

const fileFrom = (shop: Shop, id = 'demo-maestrale'): BuildFile =>
  JSON.parse(JSON.stringify(buildFileOf(shop, rowsNamed(shop, id).engine, YARD_NOW))) as BuildFile;

/** Every figure of the engines of the yard and of every row of theirs, with the drawers that they draw on. */
const figures = (shop: Shop): string =>
  JSON.stringify(
    ENGINES.map((id) => {
      const rows = rowsNamed(shop, id);
      return [
        buildFileOf(shop, rows.engine, YARD_NOW),
        rows.joints.map((joint) => computeJoint(jointInputs(shop, joint, NOW))),
        fitsOf(rows),
        rows.fits.map(({ detail }) => detail.shim && shop.shims.inFamily(detail.shim.family)),
        shop.measures.all(id),
      ];
    }),
  );

/** The shop that reads: the yard itself. */
const reading = () => yardShop();

const paste = SHELF_FILMS.find(({ id }) => id === 'moly-paste');
if (!paste) throw new Error('no paste on the shelf');
const slippery = { ...paste, provenance: 'own' as const, thread: { low: 0.15, middle: 0.16, high: 0.17 } };

/** The Maestrale as a shop wrote it that has its own row over the shipped paste, and uses it on the head. */
function withOwnPaste(): BuildFile {
  const there = yardShop();
  there.shelf.put('film', slippery, 0, YARD_NOW);
  there.joints.alter({ ...jointNamed(there, 'demo-m-joint-head'), todayFilm: 'moly-paste' });
  return fileFrom(there);
}

describe('what a build file brings stays with its engine', () => {
  test('a row over a shipped lubricant: no other engine moves, and the build keeps the figure it was made with', () => {
    const shop = reading();
    shop.joints.alter({ ...jointNamed(shop, 'demo-f-joint-head'), todayFilm: 'moly-paste' });
    const before = figures(shop);
    const { file, coming } = readBack(shop, withOwnPaste(), NOW, newId);
    expect(figures(shop)).toBe(before);
    const film = coming.find(({ what }) => what === 'film');
    expect(film).toMatchObject({ as: 'beside', name: expect.stringContaining(paste.name) as unknown });
    const head = file.joints.find(({ name }) => name === jointNamed(shop, 'demo-m-joint-head').name);
    const came = shop.shelf.find('film', head?.todayFilm ?? '')?.row;
    expect(came?.thread).toEqual(slippery.thread);
    const there = file.figures.find(({ jointId }) => jointId === head?.id);
    const here = head && computeJoint(jointInputs(shop, head, NOW)).ladder.setting.rounded;
    expect(here).toBe(there?.setting);
    expect(shop.shelf.find('film', 'moly-paste')).toBeUndefined();
  });
  test('the grade of a nut, and the lubricants that a round was pulled with, come under the names that the joint has here', () => {
    const there = yardShop();
    const grade = SHELF_GRADES.find(({ id }) => id === 'iso-8.8-to-16-mm');
    if (!grade) throw new Error('no such grade');
    there.shelf.put('grade', { ...grade, provenance: 'own', tensile_MPa: 500, yield_MPa: 300 }, 0, YARD_NOW);
    there.shelf.put('film', slippery, 0, YARD_NOW);
    const mains = jointNamed(there, 'demo-n-joint-mains');
    const original = { ...mains.detail.original, nutGrade: grade.id };
    expect(there.joints.alter({ ...mains, todayFilm: 'moly-paste', detail: { ...mains.detail, original } })).toBe(true);
    freshTightening(there);
    recordEvent(there, 'round', { id: 'pull-0001', kind: 'pull', step: 0, outcome: 'pulled', age_ms: 0 });
    const shop = reading();
    const { file } = readBack(shop, fileFrom(there, 'demo-norrhem'), Date.now(), newId);
    const joint = file.joints.find(({ name }) => name === mains.name);
    const { nutGrade } = joint?.detail.original ?? {};
    expect(shop.shelf.find('grade', nutGrade ?? '')?.row).toMatchObject({ tensile_MPa: 500 });
    const rows = rowsNamed(shop, file.engine.id);
    const state = joint && jointStateOf(rows, joint);
    expect(state?.final?.tightening.plan.films?.thread).toBe(joint?.todayFilm);
    expect(joint?.todayFilm).not.toBe('moly-paste');
    expect(state?.isChanged).toBe(false);
  });
  test('a shipped lubricant that this shop has its own row over comes along as it was shipped', () => {
    const there = yardShop();
    there.joints.alter({ ...jointNamed(there, 'demo-m-joint-head'), todayFilm: 'moly-paste' });
    const shop = reading();
    shop.shelf.put('film', slippery, 0, YARD_NOW);
    const { file } = readBack(shop, fileFrom(there), NOW, newId);
    const head = file.joints.find(({ todayFilm }) => todayFilm.startsWith('fresh-'));
    const came = shop.shelf.find('film', head?.todayFilm ?? '')?.row;
    expect(came?.thread).toEqual(paste.thread);
  });
  test('its practice is kept with it where this shop’s is another', () => {
    const there = yardShop();
    const shop = reading();
    shop.settings.set('house-practice', JSON.stringify({ version: 1, window: 'whole' }), 0);
    const before = figures(shop);
    const { practice, file } = readBack(shop, fileFrom(there, 'demo-norrhem'), Date.now(), newId);
    expect(Object.keys(practice)).toEqual(['window']);
    expect(shop.engines.find(file.engine.id)?.practice.window).toBe(practice.window);
    expect(figures(shop)).toBe(before);
  });
  test('a wrench that is not here serves that engine alone, until somebody hangs it here', () => {
    const there = yardShop();
    const file = fileFrom(there);
    const better = file.wrenches.map((wrench) => ({ ...wrench, name: `${wrench.name}, another`, graduation: 0.1 }));
    const shop = reading();
    const before = figures(shop);
    const { file: written } = readBack(shop, { ...file, wrenches: better }, NOW, newId);
    expect(figures(shop)).toBe(before);
    const came = shop.wrenches.all().filter(({ cameWith }) => cameWith === written.engine.id);
    expect(came.map(({ name }) => name)).toEqual(better.map(({ name }) => name));
  });
  test('a drawer of shims of the same name stays as it is', () => {
    const file = fileFrom(yardShop());
    const shop = reading();
    const before = figures(shop);
    const others = file.shims.map((shim) => ({ ...shim, count: shim.count + 7 }));
    const { file: written } = readBack(shop, { ...file, shims: others }, NOW, newId);
    expect(figures(shop)).toBe(before);
    const family = written.fits.find(({ detail }) => detail.shim)?.detail.shim?.family ?? '';
    expect(shop.shims.inFamily(family).map(({ count }) => count)).toEqual(written.shims.map(({ count }) => count));
    expect(written.shims.length).toBeGreaterThan(2);
  });
  test('the page before it says what would happen, and nothing is written by looking', () => {
    const shop = reading();
    const before = figures(shop);
    const counts = () =>
      shop.db.prepare('SELECT (SELECT count(*) FROM engine) + (SELECT count(*) FROM shelf_row) AS n').get();
    const [rows, file] = [counts(), withOwnPaste()];
    const told = previewBuild(shop, { file, unread: ['colour'] }, NOW, newId);
    expect([counts(), figures(shop)]).toEqual([rows, before]);
    expect(told).toMatchObject({ copied: true, same: file.joints.length, figures: [], unread: ['colour'] });
    expect(told.coming.map(({ what }) => what)).toContain('film');
    expect(told.holds.find(({ what }) => what === 'joints')?.count).toBe(file.joints.length);
  });
  test('a shop whose wrenches are others is told what it would set instead', () => {
    const shop = openShop(temporaryFile());
    const [wrench] = yardShop().wrenches.all();
    if (!wrench) throw new Error('no wrench');
    shop.wrenches.add({
      ...wrench,
      id: 'only-here',
      name: 'The only one here',
      unit: 'kgf·cm',
      min: 50,
      max: 900,
      graduation: 10,
    });
    const file = fileFrom(yardShop(), 'demo-fourteen');
    const byItself = file.joints.map((joint) => ({ ...joint, detail: { ...joint.detail, wrenchByHand: false } }));
    const told = previewBuild(shop, { file: { ...file, joints: byItself }, unread: [] }, NOW, newId);
    expect(told.figures[0]?.here).toMatchObject({ wrench: 'The only one here' });
    expect(told.figures[0]?.here.figure).toMatch(/kgf·cm/);
    expect(told.figures[0]?.there?.wrench).toMatch(/click/);
  });
});

/** Everything in a file that may point somewhere, by its path. */
const references = (
  value: unknown,
  path: readonly (string | number)[] = [],
): readonly (readonly (string | number)[])[] => {
  if (typeof value === 'string') {
    const key = path.findLast((one) => typeof one === 'string') ?? '';
    return /^(id|strikes|alsoLeaves|holds|.*Id|.*[fF]ilm|grade|metal|underHead|family)$/.test(`${key}`) ? [path] : [];
  }
  if (typeof value !== 'object' || value === null) return [];
  const entries = Array.isArray(value) ? value.map((one, i) => [i, one] as const) : Object.entries(value);
  return entries.flatMap(([key, one]) => references(one, [...path, key]));
};

const at = (value: unknown, path: readonly (string | number)[]): string =>
  path.reduce<unknown>((inner, key) => (inner as Readonly<Record<string | number, unknown>>)[key], value) as string;

const put = (value: unknown, [key, ...rest]: readonly (string | number)[], to: unknown): unknown => {
  if (key === undefined) return to;
  if (Array.isArray(value)) return value.map((one: unknown, i) => (i === key ? put(one, rest, to) : one));
  return { ...(value as object), [key]: put((value as Record<string, unknown>)[key], rest, to) };
};

test('whatever a file names, no figure of another engine changes by a letter', () => {
  const shop = reading();
  const before = figures(shop);
  const there = yardShop();
  const files = ENGINES.map((id) => fileFrom(there, id));
  const known = files.flatMap((file) => references(file).map((path) => at(file, path)));
  const kinds: readonly ShelfKind[] = ['film', 'grade', 'metal'];
  const shipped = SHELF_FILMS.map(({ id }) => id);
  let accepted = 0;
  fc.assert(
    fc.property(
      fc.nat(files.length - 1),
      fc.boolean(),
      fc.array(
        fc.record({
          at: fc.nat(),
          to: fc.oneof(fc.constantFrom(...known), fc.constantFrom(...shipped), fc.constant('new-to-all')),
        }),
        { maxLength: 3 },
      ),
      (which, isFresh, spoils) => {
        const file = files[which] as BuildFile;
        const base = isFresh ? (put(file, ['engine', 'name'], 'Under another name') as BuildFile) : file;
        const spoilt = spoils.reduce<unknown>(
          (one, { at, to }) => {
            const paths = references(one);
            return put(one, paths[at % paths.length] as readonly (string | number)[], to);
          },
          { ...base, shelf: { ...base.shelf, film: [...base.shelf.film, slippery] } },
        );
        const checked = buildFileSchema.validate(spoilt, { stripUnknown: true });
        if (checked.error) return;
        try {
          readBack(shop, checked.value, NOW, newId);
          accepted += 1;
        } catch (error) {
          if (!isDomainError(error)) throw error;
        }
        expect(figures(shop)).toBe(before);
        expect(
          kinds.flatMap((kind) => shop.shelf.own(kind).map(({ row }) => row.id)).filter((id) => shipped.includes(id)),
        ).toEqual([]);
      },
    ),
    { numRuns: 60 },
  );
  expect(accepted).toBeGreaterThan(10);
}, 120_000);
