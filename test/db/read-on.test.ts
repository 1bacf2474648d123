import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isDomainError } from '@/core/units';
import { linesReadOn } from '@/db/lines-read-on';
import { engineRows } from '@/db/reads/engine-rows';
import type { Shop } from '@/db/shop';
import type { EngineAtStamp } from '@/db/repositories/engine-repository';
import { engineStateOf, tighteningState, type EngineRows } from '@/model/engine/engine-rows';
import type { Tightening } from '@/model/joint/tightening';
import { keptRows } from '@/server/kept-rows';
import { YARD_NOW, yardShop } from './temporary-shop';

const ENGINES = ['demo-maestrale', 'demo-norrhem', 'demo-fourteen'] as const;

let made = 0;
const newId = () => `made-${made++}`;
const at = () => new Date(Date.parse(YARD_NOW) + made * 60_000).toISOString();

/** The one at a place of a list, whatever its length. */
const among = <One>(list: readonly One[], n: number): One | undefined => list[n % Math.max(list.length, 1)];

type Write = (shop: Shop, rows: EngineRows, n: number) => void;

/** Writes a line of a round, where the round takes it. */
function inRound(shop: Shop, rows: EngineRows, n: number, isStrike: boolean): void {
  const tightening = among(rows.tightenings, n);
  const events = (tightening && rows.events.get(tightening.id)) ?? [];
  const last = events.findLast(({ kind }) => kind !== 'strike');
  if (!tightening || !last) return;
  const line = isStrike
    ? { id: newId(), kind: 'strike' as const, strikes: last.id, at: at() }
    : { ...last, id: newId(), at: at() };
  try {
    shop.tightenings.record(tightening, line, at());
  } catch (error) {
    if (!isDomainError(error)) throw error;
  }
}

/** Writes a line of a fit or of the order once more, with a number of its own and what is put over it. */
function again(shop: Shop, table: 'fit_line' | 'build_line', id: string | undefined, over = ''): void {
  if (id === undefined) return;
  const columns = shop.db
    .prepare<[string], string>("SELECT name FROM pragma_table_info(?) WHERE name NOT IN ('seq', 'id', 'recorded_at')")
    .pluck()
    .all(table);
  const values = columns.map((column) => (over.startsWith(`${column} = `) ? over.split(' = ')[1] : column));
  shop.db
    .prepare(
      `INSERT INTO ${table} (id, recorded_at, ${columns.join(', ')}) SELECT ?, ?, ${values.join(', ')} FROM ${table} WHERE id = ?`,
    )
    .run(newId(), at(), id);
}

const alter = (shop: Shop, table: string, change: string, id: string | undefined) =>
  void shop.db.prepare(`UPDATE ${table} SET ${change}, version = version + 1 WHERE id = ?`).run(id);

const lineOfFit = ({ lines }: EngineRows, n: number) => among([...lines.values()].flat(), n)?.id;

const WRITES: Readonly<Record<string, Write>> = {
  pull: (shop, rows, n) => inRound(shop, rows, n, false),
  strike: (shop, rows, n) => inRound(shop, rows, n, true),
  round: (shop, { tightenings }, n) => {
    const one = among(tightenings, n);
    if (one) shop.tightenings.start({ ...one, id: newId(), startedAt: at() });
  },
  reading: (shop, rows, n) => again(shop, 'fit_line', lineOfFit(rows, n), 'value_mm = value_mm + 0.5'),
  place: (shop, rows, n) => again(shop, 'fit_line', lineOfFit(rows, n), 'place = 0'),
  order: (shop, rows, n) => again(shop, 'build_line', among(rows.order.buildLines, n)?.id),
  joint: (shop, { joints }, n) => alter(shop, 'joint', "name = name || '!'", among(joints, n)?.id),
  fit: (shop, { fits }, n) => alter(shop, 'fit', "name = name || '!'", among(fits, n)?.id),
  step: (shop, { order }, n) => alter(shop, 'step', "name = name || '!'", among(order.steps, n)?.id),
  part: (shop, { order }, n) => alter(shop, 'part', 'here = here + 1', among(order.parts, n)?.id),
};

const history = fc.array(fc.tuple(fc.constantFrom(...Object.keys(WRITES)), fc.nat(400)), {
  minLength: 1,
  maxLength: 6,
});

describe('an engine is read on from what was read of it before', () => {
  test.each(ENGINES)('%s is as if read anew, whatever was written between, and stands where it stands', (id) => {
    const shop = yardShop();
    const engine = shop.engines.find(id);
    if (!engine) throw new Error(`no ${id}`);
    let before = engineRows(shop, engine);
    fc.assert(
      fc.property(history, fc.boolean(), (writes, isSeen) => {
        for (const [name, n] of writes) {
          WRITES[name]?.(shop, before, n);
          // Several lines may come before it is read again; where it stood by then is known, or is not.
          if (isSeen) engineStateOf(before);
        }
        const [on, anew] = [engineRows(shop, engine, before), engineRows(shop, engine)];
        expect(on).toEqual(anew);
        expect(engineStateOf(on)).toEqual(engineStateOf(anew));
        before = on;
      }),
      { numRuns: 25 },
    );
  });

  test('of lines those alone that came since; where none did the very same stay', () => {
    const shop = yardShop();
    const engine = shop.engines.find('demo-norrhem');
    if (!engine) throw new Error('no engine');
    const before = engineRows(shop, engine);
    const [own, other] = [...before.lines.keys()] as [string, string];
    again(shop, 'fit_line', before.lines.get(own)?.[0]?.id);
    const on = engineRows(shop, engine, before);
    expect(on.events).toBe(before.events);
    expect(on.lines.get(other)).toBe(before.lines.get(other));
    expect(on.lines.get(own)?.slice(0, -1)).toEqual(before.lines.get(own));
    expect(on.lines.get(own)?.[0]).toBe(before.lines.get(own)?.[0]);
    expect(before.lines.get(own)).toHaveLength((on.lines.get(own)?.length ?? 0) - 1);
    for (const [i, step] of on.order.steps.entries()) expect(step).toBe(before.order.steps[i]);
  });

  test('by what the program keeps of it, once its stamp is another', () => {
    const shop = yardShop();
    const now = () => keptRows(shop, shop.engines.atStamp('demo-norrhem') as EngineAtStamp);
    const before = now();
    again(shop, 'fit_line', lineOfFit(before, 0));
    const on = now();
    expect(on).not.toBe(before);
    expect(on.events).toBe(before.events);
    expect(on).toEqual(engineRows(shop, on.engine));
    expect(now()).toBe(on);
  });

  test('what was taken back with its transaction is not read on from, though its number is given again', () => {
    const shop = yardShop();
    const now = () => keptRows(shop, shop.engines.atStamp('demo-norrhem') as EngineAtStamp);
    const before = now();
    const [first, second] = [lineOfFit(before, 0), lineOfFit(before, 1)];
    const lastSeq = () => shop.db.prepare<[], number>('SELECT max(seq) FROM fit_line').pluck().get();
    let inside: readonly (number | undefined)[] = [];
    expect(() =>
      shop.transaction(() => {
        again(shop, 'fit_line', first);
        const rows = now();
        expect(rows).toEqual(engineRows(shop, rows.engine));
        expect(rows.events).toBe(before.events);
        inside = [[...rows.lines.values()].flat().length, lastSeq()];
        throw new Error('taken back');
      }),
    ).toThrow('taken back');
    expect(now().lines).toBe(before.lines);
    again(shop, 'fit_line', second);
    const after = now();
    expect([[...after.lines.values()].flat().length, lastSeq()]).toEqual(inside);
    expect(after).toEqual(engineRows(shop, after.engine));
  });

  test('where its lines leave a round is told by its own plan', () => {
    const shop = yardShop();
    const round = shop.tightenings.find('demo-m-joint-head-round-1') as Tightening;
    const events = shop.tightenings.events(round.id);
    const half = tighteningState(round, events).state;
    const shorter = { ...round, plan: { ...round.plan, steps: round.plan.steps.slice(0, half.next) } };
    expect([half.complete, tighteningState(shorter, events).state.complete]).toEqual([false, true]);
    expect(tighteningState(round, events).state).toEqual(half);
  });

  test('a fit whose lines are as they were is judged anew by what is around it', () => {
    const shop = yardShop();
    const engine = shop.engines.find('demo-norrhem');
    if (!engine) throw new Error('no engine');
    const before = engineRows(shop, engine);
    const stands = (rows: EngineRows) => engineStateOf(rows).fits.map(({ state }) => state);
    const stood = stands(before);
    // Its caps are pulled once more: what was read under them is stale.
    for (const one of before.tightenings) shop.tightenings.start({ ...one, id: newId(), startedAt: at() });
    const on = engineRows(shop, engine, before);
    expect(on.lines).toBe(before.lines);
    expect(stands(on)).not.toEqual(stood);
    expect(stands(on)).toEqual(stands(engineRows(shop, engine)));
  });
});

describe('lines are read on', () => {
  interface Line {
    readonly seq: number;
    readonly of: string;
    readonly engine: string;
  }
  /** A file of lines, and what was asked of it. */
  function file() {
    const lines: Line[] = [];
    const asked: number[] = [];
    const read = linesReadOn<Line, number>(
      (engine, seq) => {
        asked.push(seq);
        const own = lines.filter((line) => line.engine === engine);
        return { older: own.filter((line) => line.seq <= seq).length, newer: own.filter((line) => line.seq > seq) };
      },
      ({ of }) => of,
      (rows) => rows.map(({ seq }) => seq),
    );
    return { lines, asked, read };
  }
  const one = (seq: number, of: string, engine = 'e'): Line => ({ seq, of, engine });

  test('above the last one that was read, however often', () => {
    const { lines, asked, read } = file();
    lines.push(one(3, 'a'), one(5, 'b'));
    const first = read('e');
    lines.push(one(8, 'a'));
    const second = read('e', first);
    lines.push(one(9, 'c'));
    const third = read('e', second);
    expect(asked).toEqual([0, 5, 8]);
    expect([...third]).toEqual([
      ['a', [3, 8]],
      ['b', [5]],
      ['c', [9]],
    ]);
    expect(third.get('b')).toBe(first.get('b'));
    expect(first.get('a')).toEqual([3]);
    expect(read('e', third)).toBe(third);
    expect(asked).toEqual([0, 5, 8, 9]);
  });
  test('anew where there are not as many as were read', () => {
    const { lines, asked, read } = file();
    lines.push(one(1, 'a'), one(2, 'a'), one(3, 'a'));
    const before = read('e');
    lines.splice(1, 1);
    expect([...read('e', before)]).toEqual([['a', [1, 3]]]);
    lines.splice(0, 2);
    expect([...read('e', before)]).toEqual([]);
    expect(asked).toEqual([0, 3, 0, 3, 0]);
  });
  test('anew after those of another engine, were there as many, and after what was read elsewhere', () => {
    const { lines, asked, read } = file();
    lines.push(one(1, 'a', 'one'), one(2, 'b', 'other'));
    const ofOne = read('one');
    expect([...read('other', ofOne)]).toEqual([['b', [2]]]);
    lines.splice(0, 2, one(1, 'a', 'one'), one(1, 'b', 'other'));
    expect([...read('other', read('one'))]).toEqual([['b', [1]]]);
    expect([...read('one', new Map(ofOne))]).toEqual([['a', [1]]]);
    expect(asked).toEqual([0, 0, 0, 0, 0]);
  });
});

describe('the file, asked for lines above a number', () => {
  test('has as many up to it as were read, of that engine alone', () => {
    const shop = yardShop();
    const lines = shop.fits.linesOfEngine('demo-norrhem');
    const [first] = [...lines.values()].flat();
    // What no way in does: the guard is lifted for it.
    shop.db.exec('DROP TRIGGER fit_line_is_not_removed');
    shop.db.prepare('DELETE FROM fit_line WHERE id = ?').run(first?.id);
    const left = shop.fits.linesOfEngine('demo-norrhem', lines);
    expect([...left.values()].flat().map(({ id }) => id)).not.toContain(first?.id);
    expect(left).toEqual(shop.fits.linesOfEngine('demo-norrhem'));
  });
});
