import { describe, expect, test } from '@jest/globals';
import { jointInputs } from '@/db/reads/joint-inputs';
import { knownOfPlaces } from '@/features/bench/known-of-places';
import { assertHolesPlaced, notesOfHoles, shallowest, type Hole } from '@/model/joint/hole';
import { judgedHoles } from '@/model/joint/holes-judged';
import { newKind } from '@/model/joint/fastener-kind';
import { jointForSister } from '@/model/joint/joint-for-sister';
import { computeJoint } from '@/model/joint/joint-result';
import { turnOf } from '@/model/joint/joint-shape';
import { jointNamed, yardShop } from '../db/temporary-shop';
import { codeOf } from '../core/code-of';
import { there } from '../actions/own-shop';

const shop = yardShop();
const head = jointNamed(shop, 'demo-f-joint-head');
const hole = (place: number, part: Partial<Hole> = {}): Hole => ({
  place,
  end: 'blind',
  meets: 'dry',
  depth_mm: null,
  thread: 'good',
  isClear: true,
  ...part,
});
const withHoles = (holes: readonly Hole[], part: object = {}) => ({
  ...head,
  detail: { ...head.detail, ...part, holes },
});
const all = Array.from({ length: 14 }, (_, place) => hole(place));

describe('holes that somebody looked at', () => {
  test('are each of a place that there is, and entered once', () => {
    expect(() => assertHolesPlaced(withHoles(all))).not.toThrow();
    expect(codeOf(() => assertHolesPlaced(withHoles([hole(14)])))).toBe('bad-field');
    expect(codeOf(() => assertHolesPlaced(withHoles([hole(3), hole(3)])))).toBe('bad-field');
  });
  test('nothing is asked before somebody begins; then those that are left are not known', () => {
    expect(judgedHoles(head)).toEqual({ guards: [], unknown: [] });
    expect(judgedHoles(withHoles(all.slice(0, 5))).unknown).toMatchObject([{ code: 'holes', what: '9 of 14 holes' }]);
    expect(judgedHoles(withHoles(all))).toEqual({ guards: [], unknown: [] });
  });
  test('a bad thread and a blind hole with something in it stop the joint, by the numbers of the order', () => {
    const number = (place: number) => turnOf(head).indexOf(place) + 1;
    const { guards } = judgedHoles(
      withHoles([...all.slice(0, 12), hole(12, { thread: 'bad' }), hole(13, { isClear: false })]),
    );
    expect(guards.map(({ code, severity }) => [code, severity])).toEqual([
      ['hole-thread', 'stop'],
      ['hole-not-clear', 'stop'],
    ]);
    expect(guards[0]?.message).toContain(`number ${number(12)} is bad`);
    expect(guards[1]?.message).toContain(`number ${number(13)} is not dry`);
    // Through a hole that goes through it runs out.
    expect(judgedHoles(withHoles([hole(0, { end: 'through', isClear: false })])).guards).toEqual([]);
    const worked = computeJoint(jointInputs(shop, withHoles([hole(0, { thread: 'bad' })]), Date.now()));
    expect(worked.guards.map(({ code }) => code)).toContain('hole-thread');
    expect(worked.unknown.map(({ code }) => code)).toContain('holes');
  });
  test('the shallowest that was measured is what a bolt bottoms in', () => {
    expect(shallowest([hole(0), hole(1)])).toBeUndefined();
    expect(shallowest([hole(0, { depth_mm: 22 }), hole(1, { depth_mm: 17 }), hole(2)])).toBe(17);
    const bolted = (holes: readonly Hole[]) =>
      computeJoint(
        jointInputs(
          shop,
          withHoles(holes, {
            original: { ...head.detail.original, form: 'bolt', length_mm: 60, metalThread: null },
            parent: { ...head.detail.parent, grip_mm: 40, holeDepth_mm: 25, holeThrough: false },
          }),
          Date.now(),
        ),
      ).guards.map(({ code }) => code);
    expect(bolted([])).not.toContain('bottoms-in-hole');
    expect(bolted([hole(4, { depth_mm: 18 })])).toContain('bottoms-in-hole');
  });
  test('what the sheet says otherwise of a hole is asked about, and a blind one is one to bottom in', () => {
    const codes = (holes: readonly Hole[], part: object) =>
      judgedHoles(withHoles(holes, part)).guards.map(({ code }) => code);
    const through = { parent: { ...head.detail.parent, holeThrough: true } };
    expect(codes([hole(0)], through)).toEqual(['hole-otherwise']);
    expect(codes([hole(0, { end: 'through' })], through)).toEqual([]);
    const kinds = [newKind(head, 'Long', [1, 2])];
    const throughKind = kinds.map((kind) => ({ ...kind, detail: { ...kind.detail, ...through } }));
    expect(codes([hole(0), hole(1)], { kinds })).toEqual([]);
    expect(codes([hole(0), hole(1)], { kinds: throughKind })).toEqual(['hole-otherwise']);
    expect(codes([hole(0)], { kinds: throughKind })).toEqual([]);
    const noted = (kind: string) => ({ placeNotes: [{ place: 0, kind, words: '' }] });
    expect(codes([hole(0)], noted('wet'))).toEqual(['hole-noted-otherwise']);
    expect(codes([hole(0, { meets: 'water' })], noted('wet'))).toEqual([]);
    expect(codes([hole(0, { end: 'through' })], noted('blind'))).toEqual(['hole-noted-otherwise']);
    const worked = computeJoint(
      jointInputs(
        shop,
        withHoles([hole(0, { depth_mm: 18 })], {
          original: { ...head.detail.original, form: 'bolt', length_mm: 60, metalThread: null },
          parent: { ...head.detail.parent, grip_mm: 40, holeDepth_mm: null, holeThrough: true },
        }),
        Date.now(),
      ),
    );
    expect(worked.guards.map(({ code }) => code)).toContain('bottoms-in-hole');
  });
  test('an insert that was found in one is no news to the sheet only where it says so of that fastener', () => {
    const insert = { parent: { ...head.detail.parent, insert: true } };
    const kinds = [newKind(head, 'Long', [1, 2])].map((kind) => ({ ...kind, detail: { ...kind.detail, ...insert } }));
    const found = (at: number, part: object = {}) =>
      judgedHoles(withHoles([hole(at, { thread: 'insert' }), hole(5)], part)).guards;
    expect(found(0).map(({ code, severity }) => [code, severity])).toEqual([['hole-insert', 'ask']]);
    expect(found(0)[0]?.message).toContain(`in number ${turnOf(head).indexOf(0) + 1}, and the sheet has none`);
    expect(found(0, insert)).toEqual([]);
    expect(found(1, { kinds })).toEqual([]);
    expect(found(0, { kinds }).map(({ code }) => code)).toEqual(['hole-insert']);
    expect(judgedHoles(withHoles([hole(0, { thread: 'chased' })])).guards).toEqual([]);
  });
  test('one depth that was measured says nothing of the others', () => {
    const unknown = (holes: readonly Hole[]) =>
      judgedHoles(withHoles(holes)).unknown.map(({ code, what }) => [code, what]);
    expect(unknown([hole(13, { depth_mm: 20 }), ...all.slice(0, 13)])).toEqual([
      ['hole-depths', 'the depth of 13 blind holes'],
    ]);
    expect(unknown(all.map((one) => ({ ...one, depth_mm: 20 })))).toEqual([]);
    // None at all is not known altogether, and said so where the joint is judged.
    expect(unknown(all)).toEqual([]);
  });
  test('what has to be known of a hole is said at the bench, once', () => {
    expect(notesOfHoles([hole(2, { meets: 'water', isClear: false }), hole(3, { end: 'through' }), hole(4)])).toEqual([
      { place: 2, kind: 'wet', words: '' },
      { place: 2, kind: 'blind', words: '' },
    ]);
    const noted = { place: 2, kind: 'wet', words: 'the grey sealant' } as const;
    const known = knownOfPlaces(
      withHoles([hole(2, { meets: 'oil', isClear: false })], { placeNotes: [noted] }),
      [],
      undefined,
    );
    expect(known.placeNotes).toEqual([noted, { place: 2, kind: 'blind', words: '' }]);
  });
  test('are of this very part, and of no sister of it', () => {
    const into = { id: 'x', engineId: 'e', createdAt: '', leafIds: new Map([[head.leafId, head.leafId]]) };
    expect(there(jointForSister(withHoles(all), into)).detail.holes).toEqual([]);
  });
});
