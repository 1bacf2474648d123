import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { describe, expect, test } from '@jest/globals';
import { RANGE_SCHOOLS } from '@/core/joint';
import { migrationFiles, digestOf, MIGRATIONS_FOLDER } from '@/db/migrate';
import { openShop, type Shop } from '@/db/shop';
import { ShopTrouble } from '@/db/trouble';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { jointInputs } from '@/db/reads/joint-inputs';
import { LEAF_KINDS } from '@/model/book/leaf';
import { engineStateOf } from '@/model/engine/engine-rows';
import { SHELF_KINDS, type ShelfRows } from '@/model/shelf/shelf-rows';
import { computeJoint } from '@/model/joint/joint-result';
import { rowsNamed, temporaryFile } from './temporary-shop';

const LAYOUTS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17];
const NOW = Date.now();

function opened(layout: number): Shop {
  const file = temporaryFile();
  writeFileSync(file, gunzipSync(readFileSync(join('test', 'fixtures', 'before', `layout-${layout}.sqlite.gz`))));
  return openShop(file);
}

describe.each(LAYOUTS)('a shop of layout %d', (layout) => {
  const shop = opened(layout);
  test('has its engines, and every joint and fit of them is worked out', () => {
    const engines = shop.engines.all();
    expect(engines).toHaveLength(3);
    for (const engine of engines) {
      const { joints, fits } = engineStateOf(rowsNamed(shop, engine.id));
      expect(joints.length).toBeGreaterThan(0);
      for (const { joint } of joints)
        expect(computeJoint(jointInputs(shop, joint, NOW)).ladder.setting.rounded).toBeGreaterThan(0);
      for (const fit of fits) expect(fit.places.length).toBeGreaterThan(0);
      expect(shop.measures.all(engine.id).every(({ body }) => typeof body === 'object')).toBe(true);
    }
  });
  test('takes leaves, ranges and rows of every kind there is today', () => {
    const leaf = shop.book.leaves('demo-fourteen')[0];
    const joint = shop.joints.ofEngine('demo-fourteen')[0];
    if (!leaf || !joint) throw new Error('the yard is not whole');
    for (const kind of LEAF_KINDS) shop.book.addLeaf({ ...leaf, id: `leaf-${kind}`, kind, replacesId: null });
    for (const rangeSchool of RANGE_SCHOOLS) {
      const now = shop.joints.find(joint.id);
      expect(now && shop.joints.alter({ ...now, rangeSchool })).toBe(true);
    }
    for (const kind of SHELF_KINDS)
      expect(
        shop.shelf.put(kind, { id: `own-${kind}`, name: 'Own' } as ShelfRows[typeof kind], 0, leaf.createdAt),
      ).toBe(true);
    expect(shop.db.pragma('foreign_key_check')).toEqual([]);
  });
  test('writes its engines out, and another shop reads them in', () => {
    const other = openShop(temporaryFile());
    let n = 0;
    for (const engine of opened(layout).engines.all()) {
      const text = JSON.stringify(buildFileOf(opened(layout), engine, new Date(NOW).toISOString()));
      const { file } = readBack(other, parseBuildFile(text).file, NOW, () => `fresh-${(n += 1)}`);
      expect(other.joints.ofEngine(file.engine.id)).toHaveLength(shop.joints.ofEngine(engine.id).length);
    }
    expect(other.engines.all()).toHaveLength(3);
  });
});

describe('a migration that shops were brought up to date by', () => {
  const known = JSON.parse(readFileSync(join('test', 'fixtures', 'migrations.json'), 'utf8')) as Record<string, string>;
  test('is never altered again', () => {
    const now = migrationFiles(MIGRATIONS_FOLDER).map((name) => [
      name,
      digestOf(readFileSync(join(MIGRATIONS_FOLDER, name), 'utf8')),
    ]);
    expect(Object.fromEntries(now)).toEqual(known);
  });
  test('has its digest kept in the file, and another of that name is refused', () => {
    const shop = opened(1);
    const kept = shop.db.prepare('SELECT name, digest FROM migration ORDER BY name').all() as readonly {
      readonly name: string;
      readonly digest: string;
    }[];
    expect(Object.fromEntries(kept.map(({ name, digest }) => [name, digest]))).toEqual(known);
    shop.db.prepare("UPDATE migration SET digest = 'another' WHERE name LIKE '0002%'").run();
    shop.close();
    expect(() => openShop(shop.file)).toThrow(ShopTrouble);
  });
});
