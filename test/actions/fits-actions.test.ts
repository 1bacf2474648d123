import { beforeEach, describe, expect, test } from '@jest/globals';
import type { Shop } from '@/db/shop';
import {
  addListedFitsAction,
  addOwnFitAction,
  alterFitAction,
  fitShimAction,
  keepDrawerAction,
  putShimAction,
  takeCorrectedAction,
} from '@/features/fits/actions';
import { previewReadingsAction } from '@/features/fits/import-actions';
import { recordLine } from '@/features/fits/record-line';
import { nowMs } from '@/server/clock';
import { sendTable } from './send-table';
import { accepted, everything, ownShop, refused, refusedWhole, rowsIn, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const MAKE = { engineId: 'demo-norrhem', cylinders: 4, mains: 3, rings: 3, valves: 8 };

describe('fits from the list', () => {
  test('have their places by the engine, the school of the engine, and the order of the list', async () => {
    const engine = there(shop.engines.find('demo-norrhem'));
    shop.engines.alter({ ...engine, practice: { oilClearance: 'both', endFloat: 'feelers' } });
    const before = new Set(shop.fits.ofEngine('demo-norrhem').map(({ id }) => id));
    const kinds = ['main-clearance', 'crank-float', 'ring-gap'];
    expect(await accepted(addListedFitsAction({ ...MAKE, kinds }))).toMatchObject({
      href: '/engines/demo-norrhem/fits',
    });
    const made = shop.fits.ofEngine('demo-norrhem').filter(({ id }) => !before.has(id));
    expect(made.map(({ kind }) => kind)).toEqual(kinds);
    const [mains, float, gaps] = made.map(there);
    expect(there(mains)).toMatchObject({ methods: ['micrometer', 'strip'], jointId: 'demo-n-joint-mains', version: 1 });
    expect(mains?.places).toHaveLength(3);
    expect(mains?.holds).toEqual(['demo-n-joint-mains']);
    expect(float?.methods).toEqual(['feelers']);
    expect(gaps).toMatchObject({ methods: ['length'], jointId: null, holds: [] });
    expect(gaps?.places).toHaveLength(12);
  });
  test.each([
    [{ kinds: [] }, 'kinds'],
    [{ kinds: ['no-such-kind'] }, 'kinds.0'],
    [{ kinds: ['ring-gap'], rings: 7 }, 'rings'],
    [{ kinds: ['ring-gap'], cylinders: 0 }, 'cylinders'],
    [{ kinds: ['ring-gap'], cylinders: 17 }, 'cylinders'],
    [{ kinds: ['ring-gap'], mains: 13 }, 'mains'],
    [{ kinds: ['ring-gap'], valves: 65 }, 'valves'],
    [{ kinds: ['ring-gap'], valves: '1e1' }, 'valves'],
    [{ kinds: ['ring-gap'], engineId: 'none' }, 'engineId'],
  ])('%j is refused at %s, and nothing is made', async (change, field) => {
    expect(await refusedWhole(shop, () => addListedFitsAction({ ...MAKE, ...change }))).toMatchObject({ field });
  });
});

describe('a fit of one’s own', () => {
  const OWN = {
    engineId: 'demo-norrhem',
    kind: 'crank-float',
    name: 'Idler',
    places: 'Front, Rear',
    stations: 1,
    angles: 1,
  };
  test('has the places that were named', async () => {
    const { href } = await accepted(addOwnFitAction({ ...OWN, places: ' Front ; Rear,, ' }));
    expect(shop.fits.find(there(href.split('/').at(-1)))).toMatchObject({
      kind: 'crank-float',
      name: 'Idler',
      places: ['Front', 'Rear'],
      stations: 1,
      engineId: 'demo-norrhem',
    });
  });
  test.each([
    [{ kind: 'none' }, 'kind'],
    [{ name: ' ' }, 'name'],
    [{ places: '' }, 'places'],
    [{ places: 'A, B, A' }, 'places'],
    [{ places: Array.from({ length: 61 }, (_, i) => i).join(',') }, 'places'],
    [{ stations: 0 }, 'stations'],
    [{ stations: 25 }, 'stations'],
    [{ angles: 13 }, 'angles'],
    [{ engineId: 'none' }, 'engineId'],
  ])('%j is refused at %s', async (change, field) => {
    expect(await refusedWhole(shop, () => addOwnFitAction({ ...OWN, ...change }))).toMatchObject({ field });
  });
});

describe('what is wanted of a fit', () => {
  const MAINS = 'demo-f-fit-mains';
  const fields = (change: object = {}) => {
    const fit = there(shop.fits.find(MAINS));
    return {
      id: fit.id,
      version: fit.version,
      name: fit.name,
      methods: [...fit.methods],
      stations: fit.stations,
      angles: fit.angles,
      jointId: fit.jointId,
      holds: [...fit.holds],
      by: 'own' as const,
      leafId: null,
      low: '0.02 mm',
      high: '2 thou',
      ruleLow: '',
      ruleHigh: '',
      floor: '',
      softLow: '',
      softHigh: '',
      target: '',
      as: 'reading' as const,
      nominal: '',
      packetName: '',
      packetLow: '',
      packetHigh: '',
      innerMetal: 'steel',
      outerMetal: 'aluminium',
      ...change,
    };
  };
  const kept = () => there(shop.fits.find(MAINS));

  test('own limits are kept in mm, with the entry let go', async () => {
    await accepted(
      alterFitAction(fields({ target: '0.03 mm', softLow: '0.025 mm', softHigh: '0.04 mm', nominal: '2 in' })),
    );
    expect(kept()).toMatchObject({ leafId: null, version: 2, detail: { nominal_mm: 50.8 } });
    expect(kept().wanted.limits?.min_mm).toBe(0.02);
    expect(kept().wanted.limits?.max_mm).toBeCloseTo(0.0508, 10);
    expect(kept().wanted).toMatchObject({ target_mm: 0.03, soft: { min_mm: 0.025, max_mm: 0.04 } });
    expect(there(kept().detail.expansion).bore).toBeGreaterThan(there(kept().detail.expansion).journal);
  });
  test('by the page, the limits are those of the entry', async () => {
    await accepted(alterFitAction(fields({ by: 'page', leafId: 'demo-f-mains-play', low: '', high: '' })));
    expect(kept()).toMatchObject({ leafId: 'demo-f-mains-play' });
    expect(kept().wanted.limits?.max_mm).toBeCloseTo(0.0508, 6);
  });
  test('by a rule, it is a share of the diameter above a floor', async () => {
    const rule = { by: 'rule', low: '', high: '', ruleLow: '0.00075', ruleHigh: '0.001', floor: '1 thou' };
    await accepted(alterFitAction(fields(rule)));
    expect(kept().wanted).toMatchObject({ rule: { perDiameter: [0.00075, 0.001] } });
    expect(kept().wanted.rule?.floor_mm).toBeCloseTo(0.0254, 10);
    expect(kept().wanted.limits).toBeUndefined();
  });
  test('a packet of strip is read in the unit on it', async () => {
    await accepted(alterFitAction(fields({ packetName: 'Green', packetLow: '0.025 mm', packetHigh: '0.076 mm' })));
    expect(kept().detail.packet).toMatchObject({ name: 'Green', unit: 'mm', max_mm: 0.076 });
    await accepted(alterFitAction(fields({ packetName: 'Green', packetLow: '1 thou', packetHigh: '3 thou' })));
    expect(kept().detail.packet).toMatchObject({ unit: 'thou' });
  });
  test.each([
    [{ low: '2' }, 'low'],
    [{ low: '0.01-0.02 mm' }, 'low'],
    [{ low: '' }, 'low'],
    [{ low: '', high: '' }, 'low'],
    [{ high: '' }, 'high'],
    [{ low: '0.2 mm' }, 'high'],
    [{ target: '1' }, 'target'],
    [{ softLow: '1 thou' }, 'softHigh'],
    [{ by: 'rule', ruleLow: '0.2', ruleHigh: '0.001' }, 'ruleLow'],
    [{ by: 'rule', ruleLow: '1e-4', ruleHigh: '0.001' }, 'ruleLow'],
    [{ by: 'rule', ruleLow: '0.001', ruleHigh: '' }, 'ruleHigh'],
    [{ by: 'page', leafId: null }, 'leafId'],
    [{ by: 'page', leafId: 'demo-f-head-36' }, 'leafId'],
    [{ by: 'page', leafId: 'demo-n-mains-play' }, 'leafId'],
    [{ methods: [] }, 'methods'],
    [{ methods: ['ruler'] }, 'methods.0'],
    [{ as: 'guess' }, 'as'],
    [{ by: 'guess' }, 'by'],
    [{ innerMetal: 'cheese' }, 'innerMetal'],
    [{ jointId: 'demo-n-joint-mains' }, 'jointId'],
    [{ holds: ['demo-n-joint-mains'] }, 'jointId'],
  ])('%j is refused at %s, and the fit stays as it was', async (change, field) => {
    expect(await refusedWhole(shop, () => alterFitAction(fields(change) as never))).toMatchObject({ field });
  });
  test('a corrected entry is taken only where there is one', async () => {
    expect(await refused(takeCorrectedAction({ fitId: MAINS, version: 1 }))).toMatchObject({ field: 'leafId' });
    const leaf = there(shop.book.findLeaf('demo-f-mains-play'));
    const wider = '0.0015 - 0.0025 in';
    const [min_mm, max_mm] = [0.0381, 0.0635];
    const id = 'leaf-corrected';
    shop.book.addLeaf({ ...leaf, id, printedText: wider, min_mm, max_mm, replacesId: leaf.id });
    await accepted(takeCorrectedAction({ fitId: MAINS, version: 1 }));
    expect(kept()).toMatchObject({ leafId: id, wanted: { limits: { min_mm, max_mm } } });
  });
});

describe('a drawer of shims', () => {
  const CAM = 'demo-m-fit-cam';
  const cam = () => there(shop.fits.find(CAM));
  const drawer = (change: object = {}) =>
    keepDrawerAction({
      fitId: CAM,
      version: cam().version,
      family: 'New drawer',
      fitted: '0.4 mm',
      crushLow: '',
      crushHigh: '',
      stack: 2,
      ...change,
    });
  test('what is in by place is kept only where what is in stays the same', async () => {
    await accepted(drawer());
    await accepted(putShimAction({ family: 'New drawer', typed: '0.3 mm', count: 2 }));
    await accepted(fitShimAction({ fitId: CAM, version: cam().version, place: 0, choice_mm: [0.3] }));
    await accepted(drawer({ crushLow: '0.01 mm', crushHigh: '0.02 mm' }));
    expect(cam().detail.shim).toMatchObject({ byPlace: { 0: [0.3] }, crush: { min_mm: 0.01, max_mm: 0.02 }, stack: 2 });
    await accepted(drawer({ fitted: '0' }));
    expect(cam().detail.shim).toEqual({ family: 'New drawer', fitted_mm: 0, stack: 2 });
  });
  test('what was in goes back, what is chosen comes out, and the book says so', async () => {
    await accepted(drawer({ fitted: '0.4 mm' }));
    await accepted(putShimAction({ family: 'New drawer', typed: '0.3 mm', count: 1 }));
    await accepted(fitShimAction({ fitId: CAM, version: cam().version, place: 0, choice_mm: [0.3] }));
    expect(shop.shims.inFamily('New drawer').map(({ typed, count }) => [typed, count])).toEqual([
      ['0.3 mm', 0],
      ['0.4 mm', 1],
    ]);
    expect(shop.fits.lines(CAM).at(-1)).toMatchObject({
      kind: 'remedy',
      place: 0,
      body: { remedy: 'shim', words: '0.3 mm in place of 0.4 mm' },
    });
  });
  test.each([
    [{ place: 9, choice_mm: [0.3] }, 'place'],
    [{ place: 0, choice_mm: [0.77] }, 'choice_mm'],
  ])('%j is refused, and no shim has moved', async (change, field) => {
    await accepted(drawer());
    expect(
      await refusedWhole(shop, () => fitShimAction({ fitId: CAM, version: cam().version, ...change })),
    ).toMatchObject({ field });
  });
  test('without a drawer there is nothing to draw on', async () => {
    const float = there(shop.fits.find('demo-f-fit-float'));
    const act = fitShimAction({ fitId: float.id, version: float.version, place: 0, choice_mm: [0.3] });
    expect(await refused(act)).toMatchObject({ field: 'family' });
  });
  test.each([['3 in'], ['0'], ['21 mm'], ['4']])('a shim of %s is not put into the drawer', async (typed) => {
    expect(await refusedWhole(shop, () => putShimAction({ family: 'New drawer', typed, count: 1 }))).toMatchObject({
      field: 'typed',
    });
  });
});

describe('doubts are asked at every door', () => {
  // The rods' journals stand at 1.7484 in; a slip of the thimble's turn reads a fortieth of an inch more.
  const body = { unit: 'in', instrument: 'Micrometer 1 to 2', resolution_mm: 0.00254, by: 'Ruth', answers: {} };
  const slip = {
    id: 'slip-of-the-thimble',
    kind: 'reading',
    place: 0,
    part: 'journal',
    station: 0,
    angle: 0,
    value_mm: 0,
    typed: '1.7734',
    age_ms: 0,
    body,
  };
  test('a doubtful reading is refused until it is said to be so', () => {
    const before = everything(shop);
    expect(recordLine(shop, 'demo-f-fit-rods', slip)).toMatchObject({ ok: false, error: { code: 'doubtful' } });
    expect(everything(shop)).toBe(before);
    const sure = { ...slip, body: { ...body, sure: true } };
    expect(recordLine(shop, 'demo-f-fit-rods', sure)).toMatchObject({ ok: true, result: { isNew: true } });
  });
  test('one that is not doubtful is not asked about', () => {
    expect(recordLine(shop, 'demo-f-fit-rods', { ...slip, typed: '1.7484' })).toMatchObject({ ok: true });
  });
  test('the table asks the same, and leaves the doubtful rows out until it is told', async () => {
    const text = [
      'Fit,Place,Part,Station,Angle,Typed,Unit,Instrument,Read by',
      '"Big ends, oil clearance",1,journal,1,1,1.7734,in,Micrometer 1 to 2,Ruth',
      '"Big ends, oil clearance",1,journal,1,2,1.7484,in,Micrometer 1 to 2,Ruth',
    ].join('\n');
    const engineId = 'demo-fourteen';
    const rows = await accepted(previewReadingsAction({ text, engineId, sure: false }));
    expect(rows.map(({ reason }) => reason)).toEqual([undefined, undefined]);
    expect(rows.map(({ doubt }) => doubt !== undefined)).toEqual([true, false]);
    const count = rowsIn(shop, 'fit_line');
    expect(await sendTable(engineId, { text, sure: false })).toMatchObject({ ok: true, result: { entered: 1 } });
    expect(rowsIn(shop, 'fit_line')).toBe(count + 1);
    // The row that is there already is not entered twice.
    expect(await sendTable(engineId, { text, sure: true })).toMatchObject({ ok: true, result: { entered: 1 } });
    expect(rowsIn(shop, 'fit_line')).toBe(count + 2);
    expect(shop.fits.lines('demo-f-fit-rods').at(-1)).toMatchObject({ typed: '1.7734', body: { by: 'Ruth' } });
    expect(Date.parse(there(shop.fits.lines('demo-f-fit-rods').at(-1)).at)).toBeLessThanOrEqual(nowMs());
  });
  test('an engine without fits has no place for readings', async () => {
    shop.engines.add({ ...there(shop.engines.find('demo-norrhem')), id: 'bare', name: 'Bare' });
    const answer = await sendTable('bare', { text: 'x', sure: true });
    expect(answer).toMatchObject({ ok: false, error: { field: 'text' } });
  });
});
