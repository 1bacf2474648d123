import { describe, expect, test } from '@jest/globals';
import { celsiusOf } from '@/core/heat';
import { cycleSchema } from '@/features/run-in/schema';
import { wrenchSchema } from '@/features/shelves/schema';

describe('a temperature as it is typed', () => {
  test.each([
    ['85', 85],
    ['85 °C', 85],
    ['185 F', 85],
    ['185°F', 85],
    ['32f', 0],
    ['-40 F', -40],
    ['12,5', 12.5],
    ['64.4 F', 18],
  ])('%s is %d °C', (text, value) => expect(celsiusOf(text)).toBeCloseTo(value, 2));
  test.each(['', 'hot', '85 K', '1e2', 'F'])('“%s” is none', (text) => expect(celsiusOf(text)).toBeUndefined());
  test('the run of a form is kept in °C, and its limits are asked of that', () => {
    const run = {
      id: 'run-00001',
      engineId: 'e',
      sentAt: '2026-05-16T14:20:00Z',
      ranFrom: '2026-05-16T13:20:00Z',
      ranTo: '2026-05-16T14:00:00Z',
      ambient_C: '64.4 F',
    };
    expect(cycleSchema.validate({ ...run, highest_C: '185 F' }).value).toMatchObject({ highest_C: 85, ambient_C: 18 });
    expect(cycleSchema.validate({ ...run, highest_C: '900 F' }).error?.message).toContain('400');
    expect(cycleSchema.validate({ ...run, highest_C: 'warm' }).error?.message).toContain('185 F');
  });
});

describe('a wrench that cannot be', () => {
  const wrench = { name: 'Big clicker', unit: 'lbf·ft', min: '10', max: '80', accuracy_pct: '4' };
  test('a graduation that leaves no two marks on its scale is refused where it is typed', () => {
    const refused = wrenchSchema.validate({ ...wrench, graduation: '200' }).error;
    expect(refused?.details[0]?.path).toEqual(['graduation']);
    expect(refused?.message).toBe(
      'A scale from 10 to 80 lbf·ft is not marked every 200 lbf·ft. Give what lies between one mark and the next.',
    );
    expect(wrenchSchema.validate({ ...wrench, graduation: '1' }).error).toBeUndefined();
  });
});
