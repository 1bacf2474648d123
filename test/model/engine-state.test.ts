import { describe, expect, test } from '@jest/globals';
import type { RetorqueSchool } from '@/core/heat';
import { retorqueOf, schoolInForce, tightenedAtOf } from '@/model/engine/engine-state';
import { GASKET_SAYS, PLAIN_DETAIL } from '@/model/joint/joint-detail';

const AT = Date.parse('2026-05-10T08:00:00.000Z');
const HOUR = 3_600_000;
const iso = (hours: number) => new Date(AT + hours * HOUR).toISOString();

/** A round with one line, which is whole or is not. */
const round = (purpose: string, hours: number, part: { cycleId?: string; complete?: boolean } = {}) => ({
  tightening: { purpose, startedAt: iso(hours), plan: part.cycleId === undefined ? {} : { cycleId: part.cycleId } },
  events: [{ id: `${purpose} ${hours}`, at: iso(hours), recordedAt: iso(hours) }],
  state: { complete: part.complete ?? true, last: { id: `${purpose} ${hours}` } },
});
const final = round('final', 0);
const RUN = { id: 'run', ranFrom: iso(1), ranTo: iso(3), highest_C: 90, ambient_C: 15, went: null, series: null };
/** Read cold on the next day. */
const COLD = { cycleId: 'run', at: iso(30), head_C: 15, ambient_C: 15 };
const heat = { cycles: [{ ...RUN, stood: null }], readings: [COLD], meters: [] };
const engine = { kind: 'car', headMetal: 'iron' };
const joint = (part: object = {}, retorqueSchool: RetorqueSchool = 'straight') => ({
  retorqueSchool,
  detail: { ...PLAIN_DETAIL, gasketSays: 'nothing', ...part },
});
const retorque = (rounds: readonly unknown[], of: object = joint()) =>
  retorqueOf(engine as never, of as never, heat as never, { rounds, final } as never);
const stands = (...given: Parameters<typeof retorque>) => retorque(...given).state;

describe('a retorque', () => {
  test('is open once its run is over and its head is cold, and done by a whole round of its own after that run', () => {
    expect(stands([])).toBe('open');
    expect(stands([round('retorque', 31, { cycleId: 'run' })])).toBe('done');
  });
  test.each([
    ['one that is half made', round('retorque', 31, { cycleId: 'run', complete: false })],
    ['one after no run', round('retorque', 31)],
    ['a final round, whatever run stands in it', round('final', 31, { cycleId: 'run' })],
    ['one after another run', round('retorque', 31, { cycleId: 'other' })],
  ])('is not done by %s', (_, other) => expect(stands([other])).toBe('open'));
  test('is done where no line of its round is left, too: from its beginning', () => {
    expect(stands([{ ...round('retorque', 31, { cycleId: 'run' }), events: [] }])).toBe('done');
  });
  test('falls to the day on which it was ended, where its rule goes by days, not to that of its beginning', () => {
    const of = joint({ again: [{ days: 10 }] });
    const ended = round('retorque', 11 * 24, { cycleId: 'run' });
    const begun = { ...ended, tightening: { ...ended.tightening, startedAt: iso(2 * 24) } };
    expect(retorque([begun], of)).not.toHaveProperty('next');
    expect(retorque([round('retorque', 2 * 24, { cycleId: 'run' })], of)).toHaveProperty('next.stage', 0);
  });
  test('waits for tightening while the last round is not whole', () => {
    const half = round('final', 0, { complete: false });
    expect([tightenedAtOf(half as never), tightenedAtOf(undefined)]).toEqual([undefined, undefined]);
    expect(tightenedAtOf(final as never)).toBe(AT);
  });
  test('is not asked where the gasket says so; what else it says, or that nobody read it, changes nothing', () => {
    for (const gasketSays of GASKET_SAYS) {
      const of = joint({ gasketSays });
      expect(schoolInForce(of as never)).toBe(gasketSays === 'no-retorque' ? 'none' : 'straight');
      expect(stands([], of)).toBe(gasketSays === 'no-retorque' ? 'not-asked' : 'open');
    }
    expect(schoolInForce(joint({}, 'warm') as never)).toBe('warm');
  });
});
