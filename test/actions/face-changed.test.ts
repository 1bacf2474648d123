import { beforeEach, describe, expect, test } from '@jest/globals';
import type { Shop } from '@/db/shop';
import { decidingOf } from '@/model/joint/sheet-changes';
import { changedNow, facePage } from '@/features/bench/queries';
import type { Joint } from '@/model/joint/joint';
import { recordEvent } from '@/features/bench/record-event';
import { waitsOf } from '@/model/engine/engine-wait';
import { freshTightening, jointNamed, stateNamed, YARD_NOW, yardShop } from '../db/temporary-shop';

let shop: Shop;
beforeEach(() => {
  shop = yardShop();
  freshTightening(shop);
});

const NOW = Date.parse(YARD_NOW);
const mains = () => jointNamed(shop, 'demo-n-joint-mains');
const alter = (part: Partial<Joint>) => expect(shop.joints.alter({ ...mains(), ...part })).toBe(true);
const told = () => facePage(shop, 'round', NOW)?.changed?.words;

describe('a sheet that was changed under a round that is open', () => {
  test('nothing is told while nothing was changed', () => expect(told()).toBeUndefined());
  test('another lubricant is told at the face, with both figures', () => {
    alter({ todayFilm: 'moly-paste' });
    expect(told()).toMatch(/The lubricant: pulled with Engine oil.*the sheet says Molybdenum.* now/);
    expect(told()).toMatch(/What the fastener should get: pulled with 53\.9 N·m/);
  });
  test('said to be for the next round, it is told no more; a correction is, as too far or not far enough', () => {
    alter({ todayFilm: 'moly-paste' });
    const target_Nm = Number(/the sheet says ([\d.]+) N·m now/.exec(told() ?? '')?.[1]);
    expect(target_Nm).toBeGreaterThan(0);
    const say = (means: 'next-round' | 'correction') =>
      alter({ detail: { ...mains().detail, changeMeans: { means, target_Nm } } });
    say('next-round');
    expect(told()).toBeUndefined();
    say('correction');
    expect(told()).toMatch(/too far/);
  });
  test('the engine’s tag says so once a nut of it was pulled, until it is said what it means', () => {
    const waits = () => waitsOf({ ...stateNamed(shop, 'demo-norrhem'), fits: [] })[0].waitsFor;
    const changed = 'Main bearings: its sheet was changed since';
    alter({ todayFilm: 'moly-paste' });
    expect(waits()).not.toBe(changed);
    recordEvent(shop, 'round', { id: 'pull-0001', kind: 'pull', step: 0, outcome: 'pulled', age_ms: 0 });
    expect(waits()).toBe(changed);
    alter({ todayFilm: 'engine-oil' });
    expect(waits()).not.toBe(changed);
    alter({ thread: 'M12' });
    expect(waits()).toBe(changed);
    alter({ detail: { ...mains().detail, changeMeans: { means: 'next-round', target_Nm: 40 } } });
    expect(waits()).not.toBe(changed);
  });
  test('what was said of one change says nothing of the next', () => {
    const waits = () => waitsOf({ ...stateNamed(shop, 'demo-norrhem'), fits: [] })[0].waitsFor;
    recordEvent(shop, 'round', { id: 'pull-0001', kind: 'pull', step: 0, outcome: 'pulled', age_ms: 0 });
    const leaf = shop.book.findLeaf(mains().leafId)!;
    alter({ todayFilm: 'moly-paste' });
    const of = decidingOf(mains(), leaf.printedText);
    alter({ detail: { ...mains().detail, changeMeans: { means: 'next-round', target_Nm: 40, of } } });
    expect(waits()).not.toMatch(/changed since/);
    alter({ todayFilm: 'wax-ptfe' });
    expect(waits()).toMatch(/changed since/);
    alter({ todayFilm: 'moly-paste' });
    expect(waits()).not.toMatch(/changed since/);
  });
  test('a face that stays open is told of it when it asks again', () => {
    expect(changedNow(shop, 'round', NOW)).toEqual({});
    alter({ todayFilm: 'moly-paste' });
    expect(changedNow(shop, 'round', NOW)?.changed?.words).toMatch(/The lubricant: pulled with Engine oil/);
    expect(changedNow(shop, 'no-such-round', NOW)).toBeUndefined();
  });
  test('a correction to the figure that was pulled is settled on the tag; one to another figure is not', () => {
    const waits = () => waitsOf({ ...stateNamed(shop, 'demo-norrhem'), fits: [] })[0].waitsFor;
    const pulled = shop.tightenings.find('round')?.plan.ladder.target_Nm ?? 0;
    recordEvent(shop, 'round', { id: 'pull-0001', kind: 'pull', step: 0, outcome: 'pulled', age_ms: 0 });
    const correct = (target_Nm: number) =>
      alter({
        todayFilm: 'moly-paste',
        detail: { ...mains().detail, changeMeans: { means: 'correction', target_Nm } },
      });
    correct(pulled * 1.004);
    expect(waits()).not.toMatch(/changed since/);
    correct(pulled * 1.006);
    expect(waits()).toMatch(/changed since/);
  });
  test('a joint that cannot be reckoned any more keeps nobody from the face', () => {
    alter({ wrenchId: 'demo-wrench-in', todayFilm: 'moly-paste' });
    expect(facePage(shop, 'round', NOW)?.joint.id).toBe('demo-n-joint-mains');
    expect(facePage(shop, 'none', NOW)).toBeUndefined();
  });
});
