import { describe, expect, test } from '@jest/globals';
import { assertWanted, feelerDoubts, wantedFigures } from '@/core/fits';
import { codeOf, fieldOf } from '../code-of';

const codes = (goes: number | undefined, stops: number | undefined) =>
  feelerDoubts(goes, stops).map(({ code }) => code);

describe('a pair of feelers, against the leaves that are made', () => {
  // Usual metric sets: 0.03 to 0.10 by hundredths, then by five hundredths; nothing between is one leaf.
  test.each([
    [undefined, undefined, []],
    [0, undefined, []],
    [-0.05, undefined, []],
    [0.08, undefined, []],
    [0.13, undefined, ['two-leaves']],
    [undefined, 0.13, ['two-leaves']],
    [0.13, 0.18, ['two-leaves', 'two-leaves']],
    // Thicker than any two leaves together: it may be made of three, and nothing is said of it.
    [2.73, undefined, []],
    [undefined, 0.4, []],
    [0.2, undefined, []],
    [0.2, 0.2, []],
    [0.4, 0.2, []],
    [0.2, 0.3, []],
    [0.2, 0.35, ['untried-leaves']],
  ] as const)('goes %s, stops %s: %j', (goes, stops, wanted) => expect(codes(goes, stops)).toEqual(wanted));
  test('says which two, and how many were not tried', () => {
    expect(feelerDoubts(0.13, undefined)[0]?.message).toMatch(/0\.03 mm and 0\.1(0)? mm/);
    expect(feelerDoubts(0.2, 0.35)[0]?.message).toMatch(/^2 leaves between/);
  });
});

describe('what is wanted of a fit', () => {
  const limits = { min_mm: 0.03, max_mm: 0.06 };
  test.each([
    ['nothing at all', {}, undefined],
    ['limits', { limits }, undefined],
    ['a target inside', { limits, target_mm: 0.045 }, undefined],
    ['a target at its end', { limits, target_mm: 0.06 }, undefined],
    ['a target outside', { limits, target_mm: 0.061 }, 'target_mm'],
    ['a target of no limits', { target_mm: 9 }, undefined],
    ['soft limits inside', { limits, soft: { min_mm: 0.035, max_mm: 0.05 } }, undefined],
    ['soft limits that begin outside', { limits, soft: { min_mm: 0.02, max_mm: 0.05 } }, 'soft'],
    ['soft limits that end outside', { limits, soft: { min_mm: 0.04, max_mm: 0.07 } }, 'soft'],
    ['reversed limits', { limits: { min_mm: 0.06, max_mm: 0.03 } }, 'limits'],
    ['reversed soft limits', { soft: { min_mm: 0.06, max_mm: 0.03 } }, 'soft'],
  ] as const)('%s', (_, wanted, field) => expect(fieldOf(() => assertWanted(wanted))?.split('.')[0]).toBe(field));
  test('a rule that is none is refused before there is a diameter', () =>
    expect(codeOf(() => assertWanted({ rule: { perDiameter: [0.002, 0.001] } }))).toBe('bad-field'));
});

describe('the limits in force', () => {
  const limits = { min_mm: 0.03, max_mm: 0.06 };
  const soft = { min_mm: 0.035, max_mm: 0.05 };
  const rule = { perDiameter: [0.0005, 0.001] as const };
  // On 60 mm: 0.030 to 0.060.
  const ruled = { min_mm: 0.03, max_mm: 0.06 };
  test.each([
    ['nothing wanted', {}, 60, undefined],
    ['a rule with no diameter yet', { rule }, undefined, undefined],
    ['limits alone', { limits }, 60, { by: 'limits', hard: limits }],
    ['limits with a target of none', { limits, target_mm: 0 }, 60, { by: 'limits', hard: limits, target_mm: 0 }],
    ['soft limits', { limits, soft }, 60, { by: 'limits', hard: limits, soft }],
    ['a rule alone', { rule }, 60, { by: 'rule', hard: ruled }],
    ['a page before a rule', { limits: soft, rule }, 60, { by: 'limits', hard: soft, ruleSays: ruled }],
    ['a page, and a rule with no diameter', { limits, rule }, undefined, { by: 'limits', hard: limits }],
  ] as const)('%s', (_, wanted, diameter_mm, figures) => {
    const found = wantedFigures(wanted, diameter_mm);
    expect(found && Object.keys(found).sort()).toEqual(figures && Object.keys(figures).sort());
    expect(found).toEqual(figures);
  });
});
