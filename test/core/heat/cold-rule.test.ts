import { describe, expect, test } from '@jest/globals';
import {
  HEAD_METALS,
  allowedOver,
  coolingWindow,
  retorqueState,
  type ColdRule,
  type CycleFact,
  type Stood,
} from '@/core/heat';

const MIN = 60_000;
const run: CycleFact = { id: 'a', ranFrom: 100 * MIN, ranTo: 130 * MIN, highest_C: 88, ambient_C: 12 };
const stateAt = (cold: ColdRule | undefined, minutes: number, head_C: number, headMetal: 'iron' | 'aluminium') =>
  retorqueState({
    kind: 'car',
    headMetal,
    school: 'slacken',
    least: { highest_C: 60, minutes: 10, cooledTo_C: 40 },
    tightenedAt: 0,
    cycles: [run],
    readings: [{ cycleId: 'a', at: run.ranTo + minutes * MIN, head_C, ambient_C: 12 }],
    answered: [],
    ...(cold && { cold }),
  }).state;

describe('when a head counts as cold', () => {
  test.each([
    ['by its metal', undefined, 'aluminium', 17, 17.1],
    ['by its metal', undefined, 'iron', 22, 22.1],
    ['within eight kelvins', { within_K: 8 }, 'aluminium', 20, 20.1],
    ['within three kelvins', { within_K: 3 }, 'iron', 15, 15.1],
  ] as const)('%s, %j, %s: %d °C opens it in an air of 12, %d does not', (_, cold, metal, opens, not) => {
    expect(stateAt(cold, 600, opens, metal)).toBe('open');
    expect(stateAt(cold, 600, not, metal)).toBe('cooling');
  });

  test('by hours: not a minute before, however cold it is read; after them a reading opens it, unless it is warm still', () => {
    const cold = { hours: 10 };
    expect(stateAt(cold, 599, 13, 'aluminium')).toBe('cooling');
    expect(stateAt(cold, 600, 13, 'aluminium')).toBe('open');
    expect(stateAt(cold, 600, 22, 'aluminium')).toBe('open');
    expect(stateAt(cold, 600, 22.1, 'aluminium')).toBe('cooling');
    expect(stateAt(cold, 600, 32, 'iron')).toBe('open');
    expect(allowedOver('iron', cold)).toBe(20);
  });

  test('its window goes by the rule: later where it is to be nearer the air, at its hours where it goes by them', () => {
    const window = (cold?: ColdRule) =>
      coolingWindow({ kind: 'car', headMetal: 'iron', cycle: run, cycles: [run], readings: [], ...(cold && { cold }) });
    expect(window({ within_K: 10 })).toEqual(window());
    expect(window({ within_K: 5 }).from).toBeGreaterThan(window().from);
    expect(window({ within_K: 5 }).target_C).toBe(17);
    expect(window({ hours: 10 })).toMatchObject({
      from: run.ranTo + 600 * MIN,
      by: run.ranTo + 600 * MIN,
      byHours: 10,
      target_C: 32,
    });
    expect(window()).not.toHaveProperty('byHours');
  });
});

describe('how it stood as it cooled', () => {
  // Two runs in a shed with a time constant of 200 min, two before a fan with 60.
  const made = [
    ['s1', 'closed-shed', 200],
    ['f1', 'fan', 60],
    ['s2', 'closed-shed', 200],
    ['f2', 'fan', 60],
  ] as const;
  const past = made.map(([id, stood], i): CycleFact => ({
    ...run,
    id,
    ranFrom: i * 1440 * MIN,
    ranTo: (i * 1440 + 30) * MIN,
    stood,
  }));
  const readings = made.flatMap(([id, , tau], i) =>
    [60, 120].map((after) => ({
      cycleId: id,
      at: (i * 1440 + 30 + after) * MIN,
      head_C: 12 + 70 * Math.exp(-after / tau),
      ambient_C: 12,
    })),
  );
  const now = (stood?: Stood): CycleFact => ({
    ...run,
    id: 'now',
    ranFrom: 9000 * MIN,
    ranTo: 9030 * MIN,
    ...(stood && { stood }),
  });
  const tauOf = (stood?: Stood) => {
    const cycle = now(stood);
    return coolingWindow({ kind: 'car', headMetal: 'iron', cycle, cycles: [...past, cycle], readings });
  };

  test('like is taken with like; where nobody said, or none was left like it, all of them are', () => {
    expect(tauOf('fan').tau_min).toBeCloseTo(60, 0);
    expect(tauOf('closed-shed').tau_min).toBeCloseTo(200, 0);
    expect(tauOf('fan')).toMatchObject({ pooledRuns: 2, pooledAlike: true });
    const middle = Math.sqrt(60 * 200);
    expect(tauOf().tau_min).toBeCloseTo(middle, 0);
    expect(tauOf('open-air').tau_min).toBeCloseTo(middle, 0);
    expect(tauOf()).toMatchObject({ pooledRuns: 4, pooledAlike: false });
  });
});

test('a head of which nobody said the metal has to be as cold as any, by every rule', () => {
  for (const cold of [undefined, { hours: 10 }, { within_K: 7 }] as const)
    expect(allowedOver('unsaid', cold)).toBe(Math.min(...HEAD_METALS.map((metal) => allowedOver(metal, cold))));
  expect(allowedOver('unsaid')).toBeLessThan(allowedOver('iron'));
});
