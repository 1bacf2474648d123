import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readingSchema } from '@/features/instruments/reading-schema';
import { toMark, type MeasuringInstrument } from '@/instruments/measuring-instrument';
import { createSimulatedDial } from '@/instruments/simulated-dial';
import { createSimulatedFeelers } from '@/instruments/simulated-feelers';
import { createSimulatedGauge } from '@/instruments/simulated-gauge';
import { createLineReader } from '@/instruments/lines-of-text';
import { FAILURES, sentWith, type Failure } from '@/instruments/simulated-failures';
import { createSimulatedWrench, type SimulatedWrench } from '@/instruments/simulated-wrench';
import { publish, publishRefused, listen } from '@/server/reading-hub';

let n = 0;
const world = (random: number) => ({
  random: () => random,
  now: () => '2026-05-16T14:20:00.000Z',
  newId: () => `reading-${String(n++).padStart(6, '0')}`,
});
const shared = { name: 'Mike', unit: 'mm', resolution: 0.001, truth: 44.982, error: 0.002 } as const;

const micrometer = (random: number) =>
  createSimulatedGauge({ ...shared, shows: { kind: 'micrometer', unit: 'mm' } }, world(random));

describe('simulated instruments keep the contract', () => {
  const all: readonly (readonly [string, MeasuringInstrument])[] = [
    ['micrometer', micrometer(0.5)],
    ['stretch-gauge', createSimulatedGauge({ ...shared, shows: { kind: 'stretch-gauge', unit: 'thou' } }, world(0.5))],
    [
      'thermometer',
      createSimulatedGauge({ ...shared, shows: { kind: 'thermometer', unit: '°C' }, truth: 31 }, world(0.5)),
    ],
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
        const [reading] = await micrometer(random).measure();
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
      ).map((reading) => [reading.value, 'says' in reading ? reading.says : undefined]);
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
  test.each([
    ['a wrench in mm', { kind: 'torque-wrench', unit: 'mm' }, 'unit'],
    ['a micrometer in N·m', { unit: 'N·m' }, 'unit'],
    ['a probe in mm', { kind: 'thermometer', unit: 'mm' }, 'unit'],
    ['a micrometer that says a blade goes', { says: 'goes' }, 'says'],
    ['a dial that is pulled', { kind: 'dial', phase: 'peak' }, 'phase'],
    ['a dial that turned', { kind: 'dial', turned_deg: 3 }, 'turned_deg'],
    ['a battery past full', { battery_pct: 101 }, 'battery_pct'],
    ['a range that is not past', { over: false }, 'over'],
  ])('%s is set wrongly, and is refused', (_, part, field) => {
    expect(readingSchema.validate({ ...good, ...part }).error?.details[0]?.path).toEqual([field]);
  });
  test('a wrench says all that it may', () => {
    const whole = {
      kind: 'torque-wrench',
      unit: 'lbf·ft',
      phase: 'peak',
      turned_deg: 88,
      serial: '7',
      battery_pct: 60,
    };
    expect(readingSchema.validate({ ...good, ...whole, over: true }).error).toBeUndefined();
  });
  test('every listener hears a reading once, until it stops listening', async () => {
    const [reading, other] = await createSimulatedDial({ ...shared, truth: 1 }, world(0.5)).measure();
    if (!reading || !other) throw new Error('no reading');
    const heard: (number | string)[] = [];
    const stop = listen((line) => heard.push(line.is === 'reading' ? line.reading.value : line.message));
    expect([publish(reading), publish(reading), publishRefused('Dial', 'no unit')]).toEqual([1, 0, 1]);
    stop();
    expect([publish(other), heard]).toEqual([0, [0, 'no unit']]);
  });
});

describe('a simulated wrench', () => {
  const setup: SimulatedWrench = {
    name: 'Clicker',
    unit: 'N·m',
    resolution: 0.1,
    most: 120,
    rate: 20,
    degPerUnit: 2,
    noise_pct: 2,
    drift_pct: 1,
    failure: 'none',
  };
  const withFailure = (failure: Failure, random = 0.5) =>
    createSimulatedWrench({ ...setup, failure }, world(random)).pull(40);
  test('climbs while it is held, clicks at its figure, and sends its peak', () => {
    const pull = withFailure('none');
    expect([pull.at(1000).value, pull.at(1000).phase, pull.at(1000).turned_deg]).toEqual([20, 'pulling', 40]);
    expect([pull.hasClicked(1999), pull.hasClicked(2000)]).toEqual([false, true]);
    expect(pull.letGo(2000).map(({ value, phase }) => [value, phase])).toEqual([[40, 'peak']]);
  });
  test('all that it sends is what the wire takes, but for a unit that is none of torque', () => {
    for (const failure of Object.keys(FAILURES) as Failure[]) {
      const pull = withFailure(failure);
      for (const line of [pull.at(500), ...pull.letGo(2000)])
        expect(readingSchema.validate(line).error?.details[0]?.path).toEqual(
          failure === 'wrong-unit' ? ['unit'] : undefined,
        );
    }
  });
  test('fails as it is told to', () => {
    expect(withFailure('drop-out').letGo(2000)).toEqual([]);
    const [first, second] = withFailure('repeat').letGo(2000);
    expect(first).toEqual(second);
    expect(withFailure('over-range').letGo(2000)[0]?.over).toBe(true);
    expect(withFailure('none').letGo(9000)[0]).toMatchObject({ value: 120, over: true });
    expect(withFailure('late').letGo(2000)[0]?.at).toBe('2026-05-16T14:19:00.000Z');
  });
  test('is off by its noise, and by its drift more with each pull', () => {
    const wrench = createSimulatedWrench(setup, world(0.5));
    const peaks = [0, 1, 2].map(() => wrench.pull(40).letGo(2000)[0]?.value);
    expect(peaks).toEqual([40, 40.4, 40.8]);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (random) => {
        const value = withFailure('none', random).letGo(2000)[0]?.value ?? 0;
        expect(Math.abs(value - 40)).toBeLessThanOrEqual(0.8 + 0.05 + 1e-9);
      }),
    );
  });
});

describe('what goes wrong with an instrument', () => {
  const probe = createSimulatedGauge(
    { ...shared, shows: { kind: 'thermometer', unit: '°C' }, resolution: 0.1, truth: 31 },
    world(0.5),
  );
  test('is what the wire takes, but for a unit that is none of its own', async () => {
    for (const instrument of [micrometer(0.5), probe])
      for (const failure of Object.keys(FAILURES) as Failure[])
        for (const line of sentWith(failure, await instrument.measure()))
          expect(readingSchema.validate(line).error?.details[0]?.path).toEqual(
            failure === 'wrong-unit' ? ['unit'] : undefined,
          );
  });
  test('silence, the same twice, past the scale, a minute late', async () => {
    const readings = await probe.measure();
    expect(sentWith('none', readings)).toEqual(readings);
    expect(sentWith('drop-out', readings)).toEqual([]);
    expect(sentWith('repeat', readings)).toEqual([...readings, ...readings]);
    expect(sentWith('over-range', readings)[0]).toMatchObject({ over: true });
    expect(sentWith('late', readings)[0]?.at).toBe('2026-05-16T14:19:00.000Z');
  });
});

describe('lines of a stream that comes in pieces', () => {
  test('are the lines that were sent, wherever it was cut', () => {
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[a-z{}":,0-9]{1,30}$/), { minLength: 1 }),
        fc.array(fc.nat(40)),
        (lines, cuts) => {
          const text = lines.map((line) => `${line}\r\n`).join('');
          const read = createLineReader();
          const found: string[] = [];
          let from = 0;
          for (const cut of [...cuts, text.length]) {
            found.push(...read(text.slice(from, from + cut)));
            from += cut;
          }
          found.push(...read(text.slice(from)));
          expect(found).toEqual(lines);
        },
      ),
    );
  });
  test('a line that never ends fills nothing', () => {
    const read = createLineReader();
    for (let i = 0; i < 100; i += 1) expect(read('x'.repeat(1000))).toEqual([]);
    expect(read('\nok\n').at(-1)).toBe('ok');
  });
});
