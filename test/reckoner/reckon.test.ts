import { spawnSync } from 'node:child_process';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { OPS } from '@/reckoner/ops';
import { reckon, reckonLine } from '@/reckoner/reckon';

const bearing = { outer_mm: 14.63, inner_mm: 11 };
const turned = { thread: 'M10', muThread: 0.12, muHead: 0.12, bearing };

/** A good request for every op: each is also spoilt, field by field. */
const GOOD: Readonly<Record<string, object>> = {
  'read-torque': { text: '5½ mkg' },
  'read-length': { text: '2 thou' },
  convert: { value: 1, from: 'lb ft', to: 'N·m' },
  thread: { designation: '3/8 BSF' },
  clamp: { ...turned, torque_Nm: 48 },
  'torque-for': { ...turned, preload_N: 29_000 },
  correct: {
    printed_Nm: 48,
    from: turned,
    to: { ...turned, muThread: 0.09, muHead: 0.09, yield_MPa: 640, slippery: { muThread: 0.07, muHead: 0.07 } },
  },
  'clamp-band': {
    thread: 'M10',
    torque_Nm: 48,
    muThread: { low: 0.1, high: 0.16 },
    muHead: { low: 0.1, middle: 0.13, high: 0.16 },
    bearing,
    wrenchAccuracy_pct: 4,
  },
  'identify-thread': { major_mm: 9.45, tpi: 20 },
  'standard-torque': { ...turned, proof_MPa: 580, fraction: 0.75 },
  strip: { thread: 'M10', engagement_mm: 20, shear_MPa: 90 },
  stretch: {
    segments: [
      { length_mm: 40, diameter_mm: 8 },
      { length_mm: 10, area_mm2: 39 },
    ],
    E_GPa: 205,
    preload_N: 20_000,
  },
  wrench: {
    target_Nm: 50,
    wrench: { unit: 'lbf·ft', min: 10, max: 100, graduation: 1, calibration: [{ set: 20, true: 19 }] },
    adaptor: { wrenchLength_mm: 400, extension_mm: 50, angle_deg: 0 },
    window: 'whole',
  },
  'monte-carlo': {
    thread: 'M10',
    torque_Nm: 48,
    muThread: { low: 0.1, high: 0.16 },
    muHead: { low: 0.1, high: 0.16 },
    bearing,
    wrenchAccuracy_pct: 4,
    graduation_Nm: 1,
    samples: 2000,
    seed: 3,
  },
  clearance: {
    journal: [[49.98, 49.979]],
    bore: [[50.02, 50.021]],
    limits: { min_mm: 0.03, max_mm: 0.05 },
    resolution_mm: 0.001,
  },
  feelers: { goes_mm: [0.1, 0.15], stops_mm: [0.2] },
  'end-float': { readings_mm: [{ push: 0, pull: 0.12 }], limits: { min_mm: 0.1, max_mm: 0.2 }, resolution_mm: 0.01 },
  shims: {
    float_mm: 0.5,
    fitted_mm: 1,
    wanted: { min_mm: 0.1, max_mm: 0.2 },
    crush: { min_mm: 0.05, max_mm: 0.1 },
    stock_mm: [1, 1.25, 1.3],
    stack: 2,
  },
  'ring-gap': { bore_mm: 75, gap_mm: 0.2, wanted: { perBore: [0.0035, 0.005] } },
  displacement: { bore_mm: 75, stroke_mm: 90, cylinders: 4, overbore_mm: 0.5 },
  compression: {
    bore_mm: 75,
    stroke_mm: 90,
    chamber_cc: 55,
    gasket: { bore_mm: 77, thickness_mm: 1.2 },
    deck_mm: 0.3,
    crown_cc: 0,
  },
  'match-weights': {
    rods: [
      { big_g: 400, small_g: 150 },
      { big_g: 402, small_g: 149 },
    ],
    tolerance_g: 0.5,
  },
  'bearing-size': { measured_mm: 49.745, standard_mm: 50, steps_mm: [0.25, 0.5], kind: 'journal', tolerance_mm: 0.02 },
  sequence: { steps: [{ id: 'a' }, { id: 'b', after: ['a'] }], done: ['a'] },
  'piston-drop': { stroke_mm: 80, rod_mm: 150, deg: 90 },
  'stop-method': { a_deg: 350, b_deg: 30 },
  'valve-span': { opens: { deg: 10, at: 'BTDC' }, closes: { deg: 50, at: 'ABDC' }, valve: 'inlet' },
  'rim-arc': { diameter_mm: 300, deg: 10 },
  interaction: {
    compliance: [
      [3e-6, 1e-6],
      [1e-6, 3e-6],
    ],
    boltStiffness_N_per_mm: 1e5,
    passes: [{ order: [0, 1], target_N: 20_000 }],
  },
  'plate-compliance': {
    length_mm: 400,
    width_mm: 160,
    positions: [
      [20, 20],
      [200, 80],
    ],
    D_Nmm: 1.68e9,
    foundation_N_per_mm3: 60,
    poisson: 0.26,
    terms: 8,
  },
  'turn-further': {
    thread: '3/8 BSF',
    preload_N: 25_000,
    stiffness_N_per_mm: 1.1e5,
    angle_deg: 10,
    muThread: 0.13,
    muHead: 0.13,
    bearing: { outer_mm: 14.2, inner_mm: 9.9 },
    prevailing_Nm: 1,
    yield_MPa: 700,
  },
  'next-slot': { slots: 6, holes: 1, slot_deg: 20 },
  'cold-within': {
    preload_N: 25_000,
    stiffness_N_per_mm: 1.1e5,
    length_mm: 80,
    head_um_per_mK: 23,
    stud_um_per_mK: 11.5,
    loss: 0.02,
  },
  settlement: { torque_Nm: 50, prevailing_Nm: 1, moved_deg: 6, slope_Nm_per_deg: 0.7, angleError_deg: 3 },
  settling: {
    losses: [
      [0.1, 0.05, 0.03],
      [0.08, 0.05, 0.02],
    ],
  },
  'at-20C': { length_mm: 100, expansion_um_per_mK: 23, measuredAt_C: 30, gaugeExpansion_um_per_mK: 11.5 },
  stages: { final: 40, scheme: 'thirds', graduation: 1 },
  order: {
    positions: [
      [0, 0],
      [1, 0],
      [0, 1],
      [1, 1],
    ],
    school: 'spiral',
  },
  cooling: {
    ambient_C: 15,
    readings: [
      { minutes: 60, C: 85 },
      { minutes: 120, C: 65 },
    ],
    target_C: 20,
  },
};

const sound = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value)
    : typeof value !== 'object' || (value !== null && Object.values(value).every(sound));

describe('every op', () => {
  test('has a good request here', () => expect(Object.keys(GOOD).sort()).toEqual([...OPS.keys()].sort()));

  test.each(Object.entries(GOOD))('%s answers with its id', (op, fields) => {
    const answer = reckon({ id: { any: op }, op, ...fields });
    expect(answer).toMatchObject({ id: { any: op }, ok: true });
    expect(sound(answer)).toBe(true);
  });

  test('an id goes back as it came, unless it is nested without end', () => {
    const nested = (depth: number): unknown => (depth === 0 ? 'x' : [nested(depth - 1)]);
    expect(reckon({ ...GOOD.convert, op: 'convert', id: nested(7) })).toMatchObject({ ok: true, id: nested(7) });
    const deep = JSON.parse(`${'['.repeat(20_000)}1${']'.repeat(20_000)}`) as unknown;
    expect(reckon({ ...GOOD.convert, op: 'convert', id: deep })).toMatchObject({ id: null, ok: false });
  });

  test.each(
    Object.entries(GOOD).flatMap(([op, fields]) =>
      Object.keys(fields).map((field): [string, string, object] => [op, field, fields]),
    ),
  )('%s refuses a spoilt %s by name', (op, field, fields) => {
    const bad = reckon({ id: 1, op, ...fields, [field]: { nonsense: true } });
    expect(bad.ok ? '' : bad.error.field).toMatch(new RegExp(`^${field}`));
    const rest = Object.entries(fields).filter(([name]) => name !== field);
    const missing = reckon({ id: 1, op, ...Object.fromEntries(rest) });
    if (!missing.ok) expect(missing.error).toMatchObject({ code: 'missing-field', field });
  });

  test('what the core refuses it refuses in words, whatever a figure is', () => {
    const NAME = /[a-zA-Z]_[a-zA-Z]|[a-z]\.[a-z]|\b[a-z]+[A-Z][a-z]|\[\d|undefined|NaN/;
    const spoilt = (value: unknown, by: number): readonly unknown[] => {
      if (typeof value === 'number') return [by];
      if (Array.isArray(value)) {
        const list: readonly unknown[] = value;
        return [[], ...list.flatMap((one, i) => spoilt(one, by).map((bad) => list.with(i, bad)))];
      }
      if (typeof value !== 'object' || value === null) return [];
      return Object.entries(value).flatMap(([name, one]) => spoilt(one, by).map((bad) => ({ ...value, [name]: bad })));
    };
    const said = new Set<string>();
    for (const [op, fields] of Object.entries(GOOD))
      for (const by of [-1, 0, -1e-9, 0.5, 7.5, 1e12])
        for (const bad of spoilt(fields, by)) {
          // What is not of the request's shape names the key that is to be mended, as it is written.
          if (OPS.get(op)?.schema.validate(bad).error) continue;
          const answer = reckon({ id: 1, op, ...(bad as object) });
          if (!answer.ok && answer.error.code === 'bad-field') said.add(answer.error.message);
        }
    expect(said.size).toBeGreaterThan(60);
    expect([...said].filter((message) => NAME.test(message) || !/^[A-Z“].*\.$/.test(message))).toEqual([]);
  });

  test('any mixture of values is answered, with sound numbers', () => {
    const value = fc.oneof(
      fc.double(),
      fc.string(),
      fc.constantFrom(0, -1, 1e308, 'M10', 'constructor', null),
      fc.array(fc.integer()),
    );
    const entries = Object.entries(GOOD).flatMap(([op, fields]) =>
      Object.keys(fields).map((field) => ({ op, field, fields })),
    );
    fc.assert(
      fc.property(fc.constantFrom(...entries), value, ({ op, field, fields }, spoilt) => {
        const answer = reckon({ id: 7, op, ...fields, [field]: spoilt });
        expect(sound({ ...answer, id: 0 })).toBe(true);
        expect(answer.ok || answer.error.code !== 'failed').toBe(true);
      }),
      { numRuns: 1500 },
    );
  });
});

describe('the door', () => {
  test.each([
    ['not json', 'bad-json'],
    ['', 'bad-json'],
    ['[1]', 'bad-json'],
    ['"x"', 'bad-json'],
    ['{"id":1}', 'missing-field'],
    ['{"op":7}', 'bad-field'],
    ['{"op":"__proto__"}', 'unknown-op'],
    ['{"op":"nope"}', 'unknown-op'],
  ])('%j is answered with %s', (line, code) =>
    expect(JSON.parse(reckonLine(line))).toMatchObject({ ok: false, error: { code } }),
  );

  test('nested fields are named by their path', () => {
    expect(reckon({ op: 'clamp', ...GOOD.clamp, bearing: { outer_mm: 12 } })).toMatchObject({
      error: { code: 'missing-field', field: 'bearing.inner_mm' },
    });
    expect(reckon({ op: 'correct', ...GOOD.correct, from: { ...turned, thread: 'M999' } })).toMatchObject({
      error: { code: 'unknown-thread', field: 'from.thread' },
    });
    expect(reckon({ op: 'cooling', ...GOOD.cooling, readings: [{ minutes: 1 }] })).toMatchObject({
      error: { code: 'missing-field', field: 'readings[0].C' },
    });
  });

  test('the line tool answers line for line, in order, and ends well', () => {
    const lines = [
      '{"id":1,"op":"convert","value":1,"from":"in","to":"mm"}',
      'not json',
      '',
      '{"id":3,"op":"thread","designation":"M8"}',
    ];
    const { stdout, status } = spawnSync(
      process.execPath,
      ['node_modules/tsx/dist/cli.mjs', 'src/reckoner/line-tool.ts'],
      { input: `${lines.join('\n')}\n`, encoding: 'utf8' },
    );
    const answers = stdout
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { id: unknown; ok: boolean });
    expect(status).toBe(0);
    expect(answers.map(({ id, ok }) => [id, ok])).toEqual([
      [1, true],
      [null, false],
      [null, false],
      [3, true],
    ]);
  });
});
