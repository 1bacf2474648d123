import { describe, expect, test } from '@jest/globals';
import { engineStanding } from '@/db/engine-standing';
import { waitsFor } from '@/features/engine/waits';
import { yardShop, YARD_NOW } from '../db/temporary-shop';

const now = Date.parse(YARD_NOW);

describe('the demonstration yard', () => {
  const shop = yardShop();
  const standingOf = (id: string) => {
    const engine = shop.engines.find(id);
    if (!engine) throw new Error(`no ${id} in the yard`);
    return engineStanding(shop, engine);
  };

  test('the Fourteen: head tight, first heat this morning, retorque due tonight', () => {
    const { joints } = standingOf('demo-fourteen');
    const head = joints.find(({ joint }) => joint.id === 'demo-f-joint-head');
    expect(head?.final?.standing.complete).toBe(true);
    if (head?.retorque.state !== 'cooling') throw new Error(head?.retorque.state);
    expect(head.retorque.window.from).toBeGreaterThan(now);
    expect(head.retorque.window.by - head.retorque.window.from).toBeGreaterThan(10 * 60_000);
    expect(waitsFor(standingOf('demo-fourteen'), now)).toMatchObject({
      state: 'waiting',
      waitsFor: expect.stringMatching(/^Cylinder head cold about \d\d:\d\d$/) as unknown,
    });
  });

  test('the Maestrale: half way round, and the misprint caught by its own second unit', () => {
    const { joints } = standingOf('demo-maestrale');
    const head = joints.find(({ joint }) => joint.id === 'demo-m-joint-head');
    expect([head?.final?.standing.complete, head?.final?.standing.next]).toEqual([false, 7]);
    expect(shop.book.findLeaf('demo-m-sprocket')?.agreedNotes).toEqual(['printed-units-disagree']);
  });

  test('the Norrhem: nothing tight yet', () => {
    expect(standingOf('demo-norrhem').joints.every(({ tightenings }) => tightenings.length === 0)).toBe(true);
  });

  test('every figure of the yard is on the scale of its wrench', () => {
    for (const engine of shop.engines.all())
      for (const { tightenings } of engineStanding(shop, engine).joints)
        for (const { tightening } of tightenings) expect(tightening.plan.ladder.setting.onScale).toBe(true);
  });
});
