import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readingSchema } from '@/features/instruments/reading-schema';
import { toMark, type MeasuringInstrument } from '@/instruments/measuring-instrument';
import { createSimulatedDial } from '@/instruments/simulated-dial';
import { createSimulatedFeelers } from '@/instruments/simulated-feelers';
import { createSimulatedMicrometer } from '@/instruments/simulated-micrometer';
import { publish, listen } from '@/server/reading-hub';

let n = 0;
const world = (random: number) => ({
  random: () => random,
  now: () => '2026-05-16T14:20:00.000Z',
  newId: () => `reading-${String(n++).padStart(6, '0')}`,
});
const shared = { name: 'Mike', unit: 'mm', resolution: 0.001, truth: 44.982, error: 0.002 } as const;

describe('simulated instruments keep the contract', () => {
  const all: readonly (readonly [string, MeasuringInstrument])[] = [
    ['micrometer', createSimulatedMicrometer(shared, world(0.5))],
    ['dial', createSimulatedDial({ ...shared, truth: 0.11 }, world(0.5))],
    [
      'feelers',
      createSimulatedFeelers({ name: 'Leaves', unit: 'mm', leaves: [0.3, 0.1, 0.2], truth: 0.22 }, world(0.5)),
    ],
  ];
  test.each(all)('%s: what it sends is what the wire takes', async (kind, instrument) => {
    const readings = await instrument.measure();
    expect(readings.length).toBeGreaterThan(0);
    for (const reading of readings) {
      expect(readingSchema.validate(reading).error).toBeUndefined();
      expect([reading.kind, reading.instrument]).toEqual([kind, instrument.name]);
    }
  });
  test('a micrometer is off by no more than its error and half a mark', async () => {
    await fc.assert(
      fc.asyncProperty(fc.double({ min: 0, max: 1, noNaN: true }), async (random) => {
        const [reading] = await createSimulatedMicrometer(shared, world(random)).measure();
        expect(Math.abs((reading?.value ?? 0) - shared.truth)).toBeLessThanOrEqual(
          shared.error + shared.resolution / 2 + 1e-9,
        );
      }),
    );
  });
  test('a dial is pushed, pulled and let back', async () => {
    const values = (await createSimulatedDial({ ...shared, truth: 0.11 }, world(0.5)).measure()).map(
      ({ value }) => value,
    );
    expect(values).toEqual([0, 0.11, 0]);
  });
  test('feelers say what goes and what does not, and nothing where no leaf is thin or thick enough', async () => {
    const tried = async (truth: number) =>
      (
        await createSimulatedFeelers({ name: 'Leaves', unit: 'mm', leaves: [0.3, 0.1, 0.2], truth }, world(0)).measure()
      ).map(({ value, says }) => [value, says]);
    expect(await tried(0.22)).toEqual([
      [0.2, 'goes'],
      [0.3, 'stops'],
    ]);
    expect(await tried(0.05)).toEqual([[0.1, 'stops']]);
    expect(await tried(0.9)).toEqual([[0.3, 'goes']]);
  });
  test('to the nearest mark, without noise digits', () =>
    expect([toMark(0.30000000004, 0.1), toMark(44.98249, 0.005)]).toEqual([0.3, 44.98]));
});

describe('on the wire', () => {
  const good = {
    format: 'unhurried-spanner.reading',
    version: 1,
    id: 'abcdefgh',
    instrument: 'Mike',
    kind: 'micrometer',
    value: 1,
    unit: 'mm',
    resolution: 0.001,
    at: '2026-05-16T14:20:00.000Z',
  };
  test.each([
    ['format', 'x'],
    ['version', 2],
    ['id', 'x'],
    ['kind', 'ruler'],
    ['value', 'wide'],
    ['unit', 'yd'],
    ['resolution', 0],
    ['says', 'perhaps'],
    ['at', 'noon'],
  ])('a bad %s is refused', (field, value) => {
    expect(readingSchema.validate({ ...good, [field]: value }).error?.details[0]?.path).toEqual([field]);
  });
  test('every listener hears a reading once, until it stops listening', async () => {
    const [reading, other] = await createSimulatedDial({ ...shared, truth: 1 }, world(0.5)).measure();
    if (!reading || !other) throw new Error('no reading');
    const heard: number[] = [];
    const stop = listen(({ value }) => heard.push(value));
    expect([publish(reading), publish(reading)]).toEqual([1, 0]);
    stop();
    expect([publish(other), heard]).toEqual([0, [0]]);
  });
});
