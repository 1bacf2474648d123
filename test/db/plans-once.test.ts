import SqliteDatabase from 'better-sqlite3';
import { readFileSync, writeFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { describe, expect, test } from '@jest/globals';
import { salvage } from '@/db/reads/salvage';
import { openShop } from '@/db/shop';
import { packed, textDigest, unpacked } from '@/db/packed-text';
import { PLAN_JSON } from '@/model/joint/tightening-plan';
import { freshTightening, temporaryFile, yardShop } from './temporary-shop';

interface OldRow {
  readonly id: string;
  readonly joint_id: string;
  readonly purpose: string;
  readonly plan: string;
  readonly started_at: string;
}

/** The yard as the program before had it, with a round that was just begun, and the act that began it. */
function oldFile() {
  const file = temporaryFile();
  writeFileSync(file, gunzipSync(readFileSync('test/fixtures/before/layout-15.sqlite.gz')));
  const db = new SqliteDatabase(file);
  const rows = () => db.prepare<[], OldRow>('SELECT * FROM tightening ORDER BY rowid').all();
  const [first] = rows();
  if (!first) throw new Error('no rounds');
  const begun = { ...first, id: 'just-begun', plan: first.plan.replace('"version"', ' "version"') };
  db.prepare('INSERT INTO tightening VALUES (@id, @joint_id, @purpose, @plan, @started_at)').run(begun);
  db.prepare("INSERT INTO act (id, words, at) VALUES ('begun', 'A round begun', @started_at)").run(begun);
  db.prepare("INSERT INTO act_change (act_id, tbl, after) VALUES ('begun', 'tightening', ?)").run(
    JSON.stringify(begun),
  );
  const all = rows();
  db.close();
  return { file, all };
}

describe('plans kept once', () => {
  test('of a file of before every round has the plan it had, to the letter, in its order', () => {
    const { file, all } = oldFile();
    const shop = openShop(file);
    const now = shop.db
      .prepare<[], { id: string; body: string }>(
        'SELECT tightening.id, unpacked(body) AS body FROM tightening JOIN plan ON digest = plan_digest ORDER BY tightening.rowid',
      )
      .all();
    expect(now).toEqual(all.map(({ id, plan }) => ({ id, body: plan })));
    for (const { id, plan } of all) expect(shop.tightenings.find(id)?.plan).toEqual(PLAN_JSON.read(plan));
    const plans = shop.db.prepare<[], { n: number }>('SELECT count(*) AS n FROM plan').get()?.n;
    expect(plans).toBe(new Set(all.map(({ plan }) => plan)).size);
    // It takes less than a third of the room it took.
    const room = shop.db.prepare<[], { n: number }>('SELECT sum(length(body)) AS n FROM plan').get()?.n ?? Infinity;
    expect(room).toBeLessThan(all.reduce((sum, { plan }) => sum + plan.length, 0) / 3);
    const clamps = ({ id }: OldRow) => shop.tightenings.find(id)?.plan.ladder.band.p50_N;
    const told = new Map(
      shop.engines
        .all()
        .flatMap((one) => shop.tightenings.rounds(one.id))
        .map((one) => [one.id, one]),
    );
    for (const row of all) expect(told.get(row.id)?.clamp_N).toBe(clamps(row));
  });
  test('an act of before that began a round is taken back', () => {
    const shop = openShop(oldFile().file);
    expect(shop.tightenings.find('just-begun')).toBeDefined();
    shop.acts.takeBack('begun', { id: 'taken-back', who: 'IH', at: new Date().toISOString() });
    expect(shop.tightenings.find('just-begun')).toBeUndefined();
    shop.acts.takeBack('taken-back', { id: 'again', who: 'IH', at: new Date().toISOString() });
    expect(shop.tightenings.find('just-begun')?.plan.steps.length).toBeGreaterThan(0);
  });
  test('a second round by the same plan takes no more room for it, one by another does', () => {
    const shop = yardShop();
    const count = () => shop.db.prepare<[], { n: number }>('SELECT count(*) AS n FROM plan').get()?.n ?? 0;
    const first = freshTightening(shop, 'one');
    const before = count();
    freshTightening(shop, 'two');
    expect(count()).toBe(before);
    shop.tightenings.start({ ...first, id: 'three', plan: { ...first.plan, steps: first.plan.steps.slice(1) } });
    expect(count()).toBe(before + 1);
    expect(shop.tightenings.find('two')?.plan).toEqual(first.plan);
    expect(shop.tightenings.find('three')?.plan.steps).toEqual(first.plan.steps.slice(1));
  });
  test('a round whose plan is lost is not passed over in silence', () => {
    const shop = yardShop();
    const round = freshTightening(shop);
    shop.db.exec('DROP TRIGGER plan_is_not_removed; PRAGMA foreign_keys = OFF');
    shop.db.exec("DELETE FROM plan WHERE digest = (SELECT plan_digest FROM tightening WHERE id = 'round')");
    expect(() => shop.tightenings.find(round.id)).toThrow();
    expect(() => shop.tightenings.ofJoint(round.jointId)).toThrow();
    expect(shop.tightenings.rounds('demo-norrhem').map(({ id }) => id)).toContain(round.id);
  });
  test('a plan that is damaged cannot be read, and its row can be taken along', () => {
    const shop = yardShop();
    const { plan, ...round } = freshTightening(shop);
    shop.tightenings.start({ ...round, id: 'odd', plan: { ...plan, wrenchName: 'One that was never read' } });
    shop.db.exec('DROP TRIGGER plan_is_not_altered');
    shop.db.exec("UPDATE plan SET body = x'00ff' WHERE digest = (SELECT plan_digest FROM tightening WHERE id = 'odd')");
    expect(() => shop.tightenings.find('odd')).toThrow();
    const plans = salvage(shop, 'demo-norrhem').plan as readonly { readonly body: string | null }[];
    expect(plans.filter(({ body }) => body === null)).toHaveLength(1);
    expect(plans.some(({ body }) => body?.includes('"steps"'))).toBe(true);
  });
  test('is told by its text alone', () => {
    expect(textDigest('a')).toBe(textDigest('a'));
    expect(textDigest('a')).not.toBe(textDigest('b'));
    expect(textDigest(null)).toBeNull();
  });
  test('what is packed is the same when it is unpacked, and nothing where it is damaged', () => {
    const text = `“5½ mkg” ${'⅜ '.repeat(500)}`;
    expect(unpacked(packed(text))).toBe(text);
    expect(packed(text)?.length).toBeLessThan(100);
    expect([unpacked(Buffer.from('damaged')), unpacked(null), packed(null)]).toEqual([null, null, null]);
  });
});
