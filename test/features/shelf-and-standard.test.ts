import { describe, expect, test } from '@jest/globals';
import { clamp } from '@/core/joint';
import { threadNamed } from '@/core/thread';
import { jointInputs } from '@/db/reads/joint-inputs';
import { usualFaceOf, computeJoint } from '@/model/joint/joint-result';
import type { Joint } from '@/model/joint/joint';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { SHELF_FILMS } from '@/core/film';
import { overlaid } from '@/model/shelf/overlaid';
import { ownFilms } from '@/model/shelf/shelves';
import { torqueLeaves } from '@/model/book/leaves-of-joint';
import { jointPage, jointSummaries } from '@/features/joint/queries';
import { standardReading } from '@/features/joint/standard-leaf';
import { shelfRows, shelfStops, shelvedWrenches } from '@/features/shelves/queries';
import { pointsOf, wrenchSchema } from '@/features/shelves/schema';
import { jointNamed as jointIn, rowsNamed, YARD_NOW, yardShop } from '../db/temporary-shop';

const now = Date.parse(YARD_NOW);
const shop = yardShop();
const jointNamed = (id: string): Joint => jointIn(shop, id);
const page = (engine: string, joint: string) => jointPage(rowsNamed(shop, engine), shelvesOf(shop), joint, now);

describe('points of a check', () => {
  test.each([
    [
      '20 19.5, 60 61',
      [
        { set: 20, true: 19.5 },
        { set: 60, true: 61 },
      ],
    ],
    [
      '20 19,5; 60 61',
      [
        { set: 20, true: 19.5 },
        { set: 60, true: 61 },
      ],
    ],
    ['20→19.5', [{ set: 20, true: 19.5 }]],
    ['', []],
  ])('%j', (text, points) => expect(pointsOf(text)).toEqual(points));
  test.each(['20', '20 19 18', 'a b', '0 1'])('%j is no check', (text) => expect(pointsOf(text)).toBeUndefined());
  test('the form refuses a scale upside down and a check that is none', () => {
    const fields = {
      id: '',
      name: 'W',
      unit: 'N·m',
      min: '5',
      max: '60',
      graduation: '0.5',
      accuracy_pct: '4',
      calibration: '20 19.5',
      checkedAt: '2026-03-01',
    };
    expect(wrenchSchema.validate(fields).error).toBeUndefined();
    expect(wrenchSchema.validate({ ...fields, max: '2' }).error?.message).toMatch(/above the lowest/);
    expect(wrenchSchema.validate({ ...fields, calibration: 'twenty' }).error?.message).toMatch(
      /pairs of set and delivered/,
    );
  });
});

describe('the shelves as shown', () => {
  test('an overdue wrench is told apart', () => {
    expect(
      shelvedWrenches(shelvesOf(shop), now)
        .filter((one) => one.overdue)
        .map((one) => one.wrench.id),
    ).toEqual(['demo-wrench-old']);
  });
  test('an own row has the shipped one beneath it', () => {
    const film = shelvesOf(shop).films[0];
    if (!film) throw new Error('no lubricants');
    expect(ownFilms(shelvesOf(shop))).toEqual([]);
    shop.shelf.put('film', { ...film, name: 'Ours', provenance: 'own' }, 0, YARD_NOW);
    // A page is sent these alone, and lays them over the shipped ones itself.
    expect(ownFilms(shelvesOf(shop)).map(({ name }) => name)).toEqual(['Ours']);
    expect(overlaid(SHELF_FILMS, ownFilms(shelvesOf(shop)))).toEqual(shelvesOf(shop).films);
    expect(shelfRows(shop, 'film').find(({ row }) => row.id === film.id)).toEqual({
      row: { ...film, name: 'Ours', provenance: 'own' },
      version: 1,
      shipped: film,
    });
    expect(shelfStops(shop, shelvesOf(shop), [])[0]?.line).toBe('1 own');
    shop.shelf.remove('film', film.id, 1);
    expect(shelfRows(shop, 'film').every(({ shipped }) => shipped === undefined)).toBe(true);
  });
});

describe('where no figure is printed', () => {
  const shelves = shelvesOf(shop);
  const fields = { thread: 'M8', grade: 'iso-8.8-to-16-mm', film: 'engine-oil', metal: '', engagement_mm: null };
  test('up to three quarters of proof, as text that is read back to the same figure', () => {
    const { figure, printedText, page } = standardReading(fields, shelves);
    const proof_N = 580 * threadNamed('M8').stressArea_mm2;
    // In oil its slippery end would take 8.8 past nine tenths of its yield: it is held back a little.
    expect(figure.preload_N / proof_N).toBeCloseTo(0.719, 3);
    expect(figure.limitedBy).toBe('slippery');
    const strong = standardReading({ ...fields, film: 'dry-bare', grade: 'iso-4.6' }, shelves).figure;
    expect(strong.preload_N).toBeLessThanOrEqual(0.75 * 225 * threadNamed('M8').stressArea_mm2 + 1e-6);
    expect(Number.parseFloat(printedText)).toBeCloseTo(figure.torque_Nm, 0);
    expect(page).toBe(
      'reckoned: 72 % of proof of 8.8, to 16 mm on M8, held back for the slippery end of the lubricant',
    );
    const turned = { thread: threadNamed('M8'), bearing: usualFaceOf('M8'), muThread: 0.13, muHead: 0.13 };
    expect(clamp(turned, figure.torque_Nm).preload_N).toBeCloseTo(figure.preload_N, 6);
  });
  test('held under what soft metal stands, and saying so', () => {
    const { figure, page } = standardReading({ ...fields, metal: 'magnesium', engagement_mm: 8 }, shelves);
    expect(figure.limitedBy).toBe('parent');
    expect(page).toMatch(/held under what the thread in old magnesium alloy stands/);
  });
  test('a metal that is not known is taken for the weakest', () => {
    const unknown = standardReading({ ...fields, metal: '', engagement_mm: 8 }, shelves);
    const weakest = standardReading({ ...fields, metal: 'aluminium-cast', engagement_mm: 8 }, shelves);
    expect(unknown.figure).toEqual(weakest.figure);
    expect(unknown.page).toContain('its metal is not known');
  });
  test('an unknown thread, grade or lubricant is refused', () => {
    for (const part of [{ thread: 'M8x3' }, { grade: 'none' }, { film: 'none' }])
      expect(() => standardReading({ ...fields, ...part }, shelves)).toThrow();
  });
});

describe('a joint’s page', () => {
  test('lists what speaks of it, the governing entry first, the rest apart', () => {
    const head = page('demo-fourteen', 'demo-f-joint-head');
    expect(head?.ranked.map((one) => [one.leaf.id, one.governs])).toEqual([
      ['demo-f-head-38', true],
      ['demo-f-head-told', false],
      ['demo-f-head-36', false],
    ]);
    expect(head?.otherLeaves.map((leaf) => leaf.id)).toEqual([
      'demo-f-mains',
      'demo-f-mains-play',
      'demo-f-float',
      'demo-f-rods',
    ]);
    expect([head?.tight, head?.resume]).toEqual([true, undefined]);
    expect(page('demo-norrhem', 'demo-f-joint-head')).toBeUndefined();
  });
  test('an entry under another subject can be said to speak of it too', () => {
    const joint = jointNamed('demo-f-joint-head');
    shop.joints.alter({ ...joint, detail: { ...joint.detail, alsoLeaves: ['demo-f-rods'] } });
    expect(page('demo-fourteen', joint.id)?.ranked.map((one) => one.leaf.id)).toContain('demo-f-rods');
    shop.joints.alter({ ...joint, version: joint.version + 1 });
  });
  test('the list says how much stands against each', () => {
    const [head] = jointSummaries(rowsNamed(shop, 'demo-maestrale'), shelvesOf(shop), now);
    expect(head).toMatchObject({ name: 'Cylinder head', thread: 'M9', stops: 1, asks: 4 });
  });
  test('only leaves that give a torque make a joint', () => {
    expect(torqueLeaves(shop.book.leaves('demo-maestrale')).map((leaf) => leaf.kind)).not.toContain('stretch');
    expect(torqueLeaves(shop.book.leaves('demo-norrhem')).map((leaf) => leaf.id)).not.toContain('demo-n-flywheel');
  });
});

describe('guards from what is known of a joint', () => {
  const codes = (id: string, detail: Partial<Joint['detail']> = {}) => {
    const joint = jointNamed(id);
    const setting = jointInputs(shop, { ...joint, detail: { ...joint.detail, ...detail } }, now);
    return computeJoint(setting).guards.map((guard) => guard.code);
  };
  const head = jointNamed('demo-f-joint-head').detail;
  test('a stud is judged in the parent by its metal end, a bolt by its own thread', () => {
    const short = { ...head.parent, engagement_mm: 5 };
    expect(codes('demo-f-joint-head', { parent: short })).toContain('engagement-short');
    expect(
      codes('demo-f-joint-head', { parent: short, original: { ...head.original, metalThread: null } }),
    ).not.toContain('engagement-short');
    expect(
      codes('demo-f-joint-head', { parent: short, original: { ...head.original, form: 'bolt', metalThread: null } }),
    ).toContain('engagement-short');
  });
  test('a washer spreads what the nut presses', () => {
    expect(codes('demo-f-joint-head')).not.toContain('pressure');
    expect(codes('demo-f-joint-head', { original: { ...head.original, washer_mm: null } })).toContain('pressure');
    // How far it spreads is as far as it is thick: what was not measured spreads nothing.
    expect(codes('demo-f-joint-head', { original: { ...head.original, washerThickness_mm: null } })).toContain(
      'pressure',
    );
  });
  test('a stud and a bolt that goes right through have a nut, and its height and grade are asked for; one in a tapped hole has none', () => {
    const found = (form: 'stud' | 'bolt', nutHeight_mm: number | null, nutGrade: string | null) => {
      const original = { ...head.original, form, nutHeight_mm, nutGrade };
      const joint = jointNamed('demo-f-joint-head');
      const { guards, unknown } = computeJoint(
        jointInputs(shop, { ...joint, detail: { ...joint.detail, original } }, now),
      );
      return [
        ...unknown.flatMap(({ code, what }) => (code === 'nut' ? [what] : [])),
        ...guards.map(({ code }) => code).filter((code) => code.startsWith('nut-') && code !== 'nut-not-full'),
      ];
    };
    expect(found('bolt', null, null)).toEqual([]);
    expect(found('stud', null, null)).toEqual(['the height of its nut']);
    expect(found('bolt', 12, null)).toEqual(['the grade of its nut']);
    expect(found('bolt', null, 'iso-12.9')).toEqual(['the height of its nut']);
    expect(found('stud', 12, 'iso-12.9')).toEqual([]);
    expect(found('stud', 5, 'iso-12.9')).toEqual(expect.arrayContaining(['nut-thin']));
  });
  test('a thin shank yields before its thread', () => {
    expect(codes('demo-f-joint-head', { original: { ...head.original, shankDiameter_mm: 7 } })).toContain('over-yield');
  });
  test('the maker’s lubricant is asked after only while the maker’s figure is in force', () => {
    const maker = { text: '30 Nm', film: 'wax-ptfe', source: 'packet' };
    expect(codes('demo-f-joint-head', { maker })).toContain('maker-film');
    expect(
      codes('demo-f-joint-head', { maker, overrides: { maker: { value_Nm: null, reason: 'not ours' } } }),
    ).not.toContain('maker-film');
  });
});

describe('what is kept of the joints of an engine between two looks', () => {
  const YEAR_MS = 365 * 86_400_000;
  test('is what is found afresh at any hour: also once a wrench’s check has fallen due', () => {
    for (const id of ['demo-fourteen', 'demo-maestrale', 'demo-norrhem']) {
      const [rows, shelves] = [rowsNamed(shop, id), shelvesOf(shop)];
      const hours = [now, now + YEAR_MS / 4, now + 2 * YEAR_MS, now, now + 9 * YEAR_MS];
      for (const hour of hours)
        expect(jointSummaries(rows, shelves, hour)).toEqual(jointSummaries(rowsNamed(shop, id), shelves, hour));
    }
    // Else nothing of it would be shown by the hours.
    const asks = (hour: number) => jointSummaries(rowsNamed(shop, 'demo-fourteen'), shelvesOf(shop), hour);
    expect(asks(now + 9 * YEAR_MS).map((one) => one.asks)).not.toEqual(asks(now).map((one) => one.asks));
  });
  test('goes with the shelves it was found on', () => {
    const rows = rowsNamed(shop, 'demo-fourteen');
    const shelves = shelvesOf(shop);
    const setOn = (of: typeof shelves) => jointSummaries(rows, of, now).map(({ setting }) => setting);
    const before = setOn(shelves);
    const thinner = {
      ...shelves,
      films: shelves.films.map((film) => ({ ...film, thread: { low: 0.05, middle: 0.06, high: 0.08 } })),
    };
    expect(setOn(thinner)).not.toEqual(before);
    expect(setOn(shelves)).toEqual(before);
  });
});
