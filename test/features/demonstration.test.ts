import { describe, expect, test } from '@jest/globals';
import { gateOf } from '@/model/fit/fit-gate';
import { waitLine } from '@/features/engine/wait-line';
import { waitsOf } from '@/model/engine/engine-wait';
import { stateNamed, yardShop, YARD_NOW } from '../db/temporary-shop';

const now = Date.parse(YARD_NOW);

describe('the demonstration yard', () => {
  const shop = yardShop();
  const standingOf = (id: string) => stateNamed(shop, id);

  test('the Fourteen: head tight, first heat this morning, retorque due tonight', () => {
    const { joints } = standingOf('demo-fourteen');
    const head = joints.find(({ joint }) => joint.id === 'demo-f-joint-head');
    expect(head?.final?.state.complete).toBe(true);
    if (head?.retorque.state !== 'cooling') throw new Error(head?.retorque.state);
    expect(head.retorque.window.from).toBeGreaterThan(now);
    expect(head.retorque.window.by - head.retorque.window.from).toBeGreaterThan(10 * 60_000);
    const wait = waitsOf(standingOf('demo-fourteen'))[0];
    expect(wait.state).toBe('waiting');
    expect(waitLine(wait, now)).toMatch(/^Cylinder head cold about \d\d:\d\d$/);
  });

  test('the Maestrale: half way round, and the misprint caught by its own second unit', () => {
    const { joints } = standingOf('demo-maestrale');
    const head = joints.find(({ joint }) => joint.id === 'demo-m-joint-head');
    expect([head?.final?.state.complete, head?.final?.state.next]).toEqual([false, 7]);
    expect(shop.book.findLeaf('demo-m-sprocket')?.agreedNotes).toEqual(['printed-units-disagree']);
  });

  test('the Norrhem: nothing tight yet, and a main bearing out of limits holds its caps', () => {
    const { joints, fits } = standingOf('demo-norrhem');
    expect(joints.every(({ final }) => final === undefined)).toBe(true);
    expect(fits.map(({ state }) => state)).toEqual(['loose', 'open', 'unread']);
    expect(gateOf(fits, 'demo-n-joint-mains').held.map(({ line }) => line)).toEqual([
      'Main bearings, oil clearance, 2: out of limits',
    ]);
    expect(waitsOf(standingOf('demo-norrhem'))[0]).toEqual({
      state: 'stop',
      waitsFor: 'Main bearings, oil clearance, 2: out of limits',
      to: { at: 'fit', id: 'demo-n-fit-mains' },
    });
  });

  test('the Fourteen: a full set of fits inside; the Maestrale: no shim in the drawer will do, so one is on order', () => {
    expect(standingOf('demo-fourteen').fits.map(({ fit, state }) => [fit.id, state])).toEqual(
      ['mains', 'rods', 'float', 'side', 'pistons', 'gaps', 'guides'].map((id) => [`demo-f-fit-${id}`, 'inside']),
    );
    const cam = standingOf('demo-maestrale').fits.find(({ fit }) => fit.id === 'demo-m-fit-cam');
    expect([cam?.state, cam?.places[0]?.order]).toEqual(['loose', 'shim of 0.40 mm']);
  });

  test('every figure of the yard is on the scale of its wrench', () => {
    for (const engine of shop.engines.all())
      for (const { tightenings } of stateNamed(shop, engine.id).joints)
        for (const { tightening } of tightenings) expect(tightening.plan.ladder.setting.onScale).toBe(true);
  });
});
