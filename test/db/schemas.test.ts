import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { SHELF_GRADES, SHELF_METALS } from '@/core/fastener';
import { SHELF_FILMS } from '@/core/film';
import { PLAIN_DETAIL, type JointDetail } from '@/model/joint/joint-detail';
import { detailSchema } from '@/model/joint/joint-detail-schema';
import { SHELF_SCHEMAS } from '@/model/shelf/shelf-schemas';
import { yardShop } from './temporary-shop';

const details = (() => {
  const shop = yardShop();
  return shop.engines
    .all()
    .flatMap((engine) =>
      shop.joints
        .ofEngine(engine.id)
        .map((joint): [string, JointDetail] => [`${engine.name}, ${joint.name}`, joint.detail]),
    );
})();

/** Every path to a plain value of an object, as a list of keys. */
const pathsOf = (value: unknown, at: readonly string[] = []): readonly (readonly string[])[] =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.entries(value).flatMap(([key, inner]) => pathsOf(inner, [...at, key]))
    : [at];

const withValue = (value: unknown, [key, ...rest]: readonly string[], put: unknown): unknown =>
  key === undefined
    ? put
    : { ...(value as object), [key]: withValue((value as Record<string, unknown>)[key], rest, put) };

describe('what is known of a joint', () => {
  test.each([['nothing', PLAIN_DETAIL] as [string, JointDetail], ...details])('%s passes as it is', (_, detail) => {
    expect(detailSchema.validate(detail)).toEqual({ value: detail });
  });
  test('any one value turned to nonsense is refused', () => {
    const cases = details.flatMap(([, detail]) => pathsOf(detail).map((path) => ({ detail, path })));
    fc.assert(
      fc.property(
        fc.constantFrom(...cases),
        fc.constantFrom({ odd: 1 }, -5, Number.NaN),
        ({ detail, path }, nonsense) => {
          expect(detailSchema.validate(withValue(detail, path, nonsense)).error).toBeDefined();
        },
      ),
      { numRuns: 600 },
    );
  });
  test('no figure of it is taken as text: only a form’s own text is read, by the one parser', () => {
    const cases = details.flatMap(([, detail]) =>
      pathsOf(detail)
        .filter((path) => typeof path.reduce((at, key) => (at as never)[key], detail as unknown) === 'number')
        .map((path) => ({ detail, path })),
    );
    expect(cases.length).toBeGreaterThan(3);
    for (const { detail, path } of cases)
      for (const text of ['1', '1e1', '0x1'])
        expect([path.join('.'), detailSchema.validate(withValue(detail, path, text)).error?.message]).toEqual([
          path.join('.'),
          expect.stringContaining('must be a number'),
        ]);
  });
  test('a rung is set aside only with a reason, and only one that may be', () => {
    const aside = (overrides: object) => detailSchema.validate({ ...PLAIN_DETAIL, overrides }).error;
    expect(aside({ film: { value_Nm: null, reason: 'made for paste' } })).toBeUndefined();
    expect(aside({ film: { value_Nm: null, reason: '  ' } })).toBeDefined();
    expect(aside({ unit: { value_Nm: null, reason: 'no' } })).toBeDefined();
    expect(aside({ film: { value_Nm: -3, reason: 'no' } })).toBeDefined();
  });
});

describe('rows of the shelves', () => {
  const own = (row: object) => ({ ...row, provenance: 'own' });
  test('every shipped row would pass as an own one', () => {
    for (const film of SHELF_FILMS) expect(SHELF_SCHEMAS.film.validate(own(film)).error).toBeUndefined();
    for (const grade of SHELF_GRADES) expect(SHELF_SCHEMAS.grade.validate(own(grade)).error).toBeUndefined();
    for (const metal of SHELF_METALS) expect(SHELF_SCHEMAS.metal.validate(own(metal)).error).toBeUndefined();
  });
  test('no person can give a row the standing of a norm', () => {
    expect(
      SHELF_SCHEMAS.grade.validate(SHELF_GRADES.find((grade) => grade.provenance === 'standard')).error,
    ).toBeDefined();
  });
  test('friction that does not rise is refused, in words', () => {
    const [film] = SHELF_FILMS;
    const spoilt = own({ ...film, thread: { low: 0.2, middle: 0.1, high: 0.3 } });
    expect(SHELF_SCHEMAS.film.validate(spoilt).error?.message).toMatch(/must rise from low through middle to high/);
  });
  test('a thread of one’s own: a pitch that fits its diameter, an angle that has a form', () => {
    const thread = {
      id: 'x',
      name: 'Stud',
      major_mm: 11.3,
      pitch_mm: 1.1,
      angle_deg: 55,
      provenance: 'own',
      source: 'measured',
    };
    expect(SHELF_SCHEMAS.thread.validate(thread).error).toBeUndefined();
    for (const part of [{ pitch_mm: 6 }, { angle_deg: 50 }, { major_mm: 0 }, { name: '' }])
      expect(SHELF_SCHEMAS.thread.validate({ ...thread, ...part }).error).toBeDefined();
  });
  test('a figure that comes as text is refused, however it is written', () => {
    const [film, grade] = [SHELF_FILMS[0], SHELF_GRADES[0]];
    for (const text of ['0.1', '1e-1', '0x1'])
      expect(
        SHELF_SCHEMAS.film.validate(own({ ...film, head: { low: text, middle: 0.2, high: 0.3 } })).error,
      ).toBeDefined();
    expect(SHELF_SCHEMAS.grade.validate(own({ ...grade, tensile_MPa: '1e3' })).error).toBeDefined();
  });
  test('a yield above the tensile strength, limits reversed, a row without source: refused', () => {
    const [grade, metal] = [SHELF_GRADES[0], SHELF_METALS[0]];
    expect(SHELF_SCHEMAS.grade.validate(own({ ...grade, yield_MPa: 2000 })).error).toBeDefined();
    expect(SHELF_SCHEMAS.metal.validate(own({ ...metal, shearLow_MPa: 400 })).error).toBeDefined();
    expect(SHELF_SCHEMAS.metal.validate(own({ ...metal, source: '' })).error).toBeDefined();
  });
});
