import { execFileSync } from 'node:child_process';
import { expect, test } from '@jest/globals';

const ZONES = ['America/New_York', 'UTC', 'Pacific/Auckland'];

/** What is said in each of the zones, in a process of its own: one that runs already keeps its clock. */
const inEach = (said: string) =>
  JSON.parse(
    execFileSync(
      process.execPath,
      [
        '--import',
        'tsx',
        '-e',
        `const { dayOf, wallDay } = require('./src/model/wall-day.ts');
        console.log(JSON.stringify(${JSON.stringify(ZONES)}.map((zone) => ((process.env.TZ = zone), ${said}))));`,
      ],
      { encoding: 'utf8' },
    ),
  ) as unknown;

test('a day is the one on the wall, and one that was typed is the same everywhere', () => {
  expect(
    inEach(`[
      wallDay('2026-05-16T22:30:00.000Z'),
      wallDay('2026-05-16T02:30:00.000Z'),
      dayOf('2026-01-16T00:00:00.000Z'),
      dayOf('2026-01-16T22:30:00.000Z'),
    ]`),
  ).toEqual([
    ['2026-05-16', '2026-05-15', '2026-01-16', '2026-01-16'],
    ['2026-05-16', '2026-05-16', '2026-01-16', '2026-01-16'],
    ['2026-05-17', '2026-05-16', '2026-01-16', '2026-01-17'],
  ]);
});
