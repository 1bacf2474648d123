import { describe, expect, test } from '@jest/globals';
import { jointInputs } from '@/db/reads/joint-inputs';
import { computeJoint } from '@/model/joint/joint-result';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { ownFilm } from '@/features/trial/own-film';
import { reachOf, trialPage } from '@/features/trial/queries';
import { jointPage } from '@/features/joint/queries';
import { stretchPage } from '@/features/stretch/queries';
import { numberWords, otherNumber } from '@/model/bolt/set-number';
import { newKind } from '@/model/joint/fastener-kind';
import { jointNamed, rowsNamed, YARD_NOW, yardShop } from '../db/temporary-shop';

const now = Date.parse(YARD_NOW);
const shop = yardShop();
const page = trialPage(shop, 'demo-trial-three-films');
const reach = () => {
  const trial = shop.trials.find('demo-trial-three-films');
  if (!trial) throw new Error('no trial');
  return reachOf(shop, trial, now);
};
const tried = (id: string) => page?.tried.find((one) => one.film.id === id);
const headSetting = () => {
  const joint = shop.joints.find('demo-f-joint-head');
  if (!joint) throw new Error('no head');
  return computeJoint(jointInputs(shop, joint, now)).ladder.setting.rounded;
};

describe('the yard’s lubricant trial', () => {
  test('finds three lubricants apart, each use of a bolt counted', () => {
    expect(page?.tried.map((one) => one.film.id)).toEqual(['engine-oil', 'moly-paste', 'dry-bare']);
    const [oil, moly, dry] = ['engine-oil', 'moly-paste', 'dry-bare'].map((id) => tried(id)?.result?.mu ?? 0) as [
      number,
      number,
      number,
    ];
    expect(moly).toBeLessThan(oil);
    expect(oil).toBeLessThan(dry);
    expect(tried('moly-paste')?.pulls.every((pull) => pull.use === 2)).toBe(true);
    expect([tried('engine-oil')?.result?.shrunk, tried('dry-bare')?.result?.shrunk]).toEqual([true, true]);
  });
  test('an own lubricant takes the next bolt’s interval, stays over the shipped row, and moves the joints listed', () => {
    const moly = tried('moly-paste');
    const own = moly?.own;
    if (!moly?.result?.nextMu || !own) throw new Error('no own lubricant');
    expect([own.provenance, own.thread.low, own.thread.high]).toEqual([
      'own',
      Number(moly.result.nextMu.low.toFixed(4)),
      Number(moly.result.nextMu.high.toFixed(4)),
    ]);
    const head = reach().moves[own.id]?.find(
      (moved) => moved.joint === 'Cylinder head' && moved.engine.startsWith('Thorncote'),
    );
    expect(head?.before).toBe(headSetting());
    shop.shelf.put('film', own, 0, YARD_NOW);
    expect(headSetting()).toBe(head?.after);
    // Its own bolts are not also what was known before them: on the shelf it comes to the same.
    expect(trialPage(shop, 'demo-trial-three-films')?.tried.find(({ film }) => film.id === own.id)?.own).toEqual(own);
    shop.shelf.remove('film', own.id, 1);
    expect(headSetting()).toBe(head?.before);
  });
  test('one bolt puts nothing on the shelf', () => {
    const oil = tried('engine-oil');
    if (!oil?.result) throw new Error('no result');
    expect(ownFilm(oil.film, { ...oil.result, nextMu: undefined }, 'x')).toBeUndefined();
  });
  test('the band of a joint with its thread stands behind it', () => {
    const { targets } = reach();
    expect(targets.map((one) => one.name)).toEqual(['Thorncote-Wicks Fourteen, Cylinder head']);
    expect(targets[0]?.low_N).toBeLessThan(targets[0]?.high_N ?? 0);
  });
});

test('the stretch set shows one bolt at its ceiling without the stretch', () => {
  const rows = rowsNamed(shop, 'demo-maestrale');
  const set = stretchPage(rows, 'demo-m-joint-rods', now, shelvesOf(shop))?.sets[0];
  expect(set?.bolts.map((one) => one.verdict.state)).toEqual(['inside', 'inside', 'ceiling-without-stretch', 'inside']);
  expect(set?.bolts[0]?.uses).toBe(1);
  expect(set).not.toHaveProperty('fasteners');
});

describe('a set of another number than its fasteners', () => {
  const joint = jointNamed(shop, 'demo-m-joint-rods');
  const long = newKind(joint, 'Long', [0]);
  const kinds = { ...joint, detail: { ...joint.detail, kinds: [long] } };
  test.each([
    ['of all', joint, '', 4, undefined],
    ['of fewer', joint, '', 3, 4],
    ['of more', joint, '', 6, 4],
    ['of the joint’s own, one being of a kind', kinds, '', 3, undefined],
    ['of the joint’s own and one of a kind', kinds, '', 4, 3],
    ['of a kind', kinds, 'Long', 1, undefined],
    ['of a kind and more', kinds, 'Long', 4, 1],
    ['of a kind that is no more', joint, 'Long', 4, undefined],
  ] as const)('%s', (_, of, kind, bolts, expected) => expect(otherNumber({ kind, bolts }, of)).toBe(expected));
  test('is told on its sheet and on its joint’s; one that counts no more is not', () => {
    const rows = rowsNamed(shop, 'demo-maestrale');
    const with8 = {
      ...rows,
      joints: rows.joints.map((one) => (one.id === joint.id ? { ...one, fasteners: 8 } : one)),
    };
    const sets = () => stretchPage(with8, joint.id, now, shelvesOf(shop))?.sets ?? [];
    expect(sets().map(({ fasteners }) => fasteners)).toEqual([8]);
    expect(jointPage(with8, shelvesOf(shop), joint.id, now)?.stretch.line).toContain(
      'one set of bolts: 4 of 8 bolts: nothing is read of the others: ',
    );
    const [own] = rows.bolts;
    if (!own) throw new Error('the yard has a set');
    const later = { ...own, set: { ...own.set, id: 'later', bolts: 8 }, readings: [] };
    const both = stretchPage({ ...with8, bolts: [own, later] }, joint.id, now, shelvesOf(shop));
    expect(both?.sets.map(({ counts, fasteners }) => [counts, fasteners])).toEqual([
      [false, undefined],
      [true, undefined],
    ]);
  });
  test('is said by what is wrong with it', () => {
    expect(numberWords(3, 4)).toBe('3 of 4 bolts: nothing is read of the others');
    expect(numberWords(6, 4)).toBe('6 bolts, and there are 4');
  });
});
