import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { boltSetState, countingSets, lettingsGo } from '@/model/bolt/bolt-state';
import type { BoltReading, BoltReadingKind, BoltSet, MeasuredSet } from '@/model/bolt/bolt-set';
import { openBolts, openBoltsWords, openSetWords, type PulledSince } from '@/model/bolt/open-bolts';

const SET: BoltSet = {
  id: 'set',
  jointId: 'rods',
  kind: '',
  name: 'Rod bolts',
  bolts: 3,
  segments: [{ length_mm: 40, diameter_mm: 8 }],
  E_GPa: 205,
  minStretch_mm: 0.12,
  maxStretch_mm: 0.14,
  ceiling_Nm: 36,
  maxSet_mm: 0.01,
  bothEnds: true,
  createdAt: '2026-05-01T08:00:00.000Z',
};

type Read = readonly [bolt: number, kind: BoltReadingKind, length_mm: number, torque_Nm?: number];

const at = (minute: number) => new Date(Date.parse('2026-05-01T09:00:00.000Z') + 60_000 * minute).toISOString();

/** Readings a minute apart. */
const measured = (reads: readonly Read[], more: readonly Partial<BoltReading>[] = []): MeasuredSet => {
  const readings = reads.map(([bolt, kind, length_mm, torque_Nm = null], i): BoltReading => ({
    id: `r${i}`,
    setId: SET.id,
    bolt,
    kind,
    length_mm,
    typed: `${length_mm}`,
    torque_Nm,
    strikes: null,
    at: at(i),
  }));
  const strikes = more.flatMap((one, i) => {
    const of = readings.find(({ id }) => id === one.strikes);
    return of ? [{ ...of, id: `s${i}`, at: at(reads.length + i), ...one }] : [];
  });
  return { set: SET, readings: [...readings, ...strikes] };
};

const first = (...args: Parameters<typeof measured>) => {
  const [one] = boltSetState(measured(...args)).bolts;
  if (!one) throw new Error('no bolt');
  return one;
};

describe('where a bolt stands by its lengths', () => {
  test('stretched from its free length, and used once however often it is read under load', () => {
    const reads: readonly Read[] = [
      [1, 'free', 58],
      [1, 'tight', 58.1, 30],
      [1, 'tight', 58.13, 32],
    ];
    const { verdict, uses, last } = first(reads);
    expect(verdict.state).toBe('inside');
    expect(verdict.stretch_mm).toBeCloseTo(0.13, 9);
    expect([uses, last?.id]).toEqual([1, 'r2']);
    expect(first(reads.slice(0, 2)).verdict.state).toBe('short');
  });

  const PULLED: readonly Read[] = [
    [1, 'free', 58],
    [1, 'tight', 58.13],
  ];
  const then = (...reads: readonly (readonly [BoltReadingKind, number])[]): readonly Read[] => [
    ...PULLED,
    ...reads.map(([kind, length]): Read => [1, kind, length, kind === 'tight' ? 31 : undefined]),
  ];
  const little = then(['free', 58.006], ['tight', 58.137], ['released', 58.012]);
  test.each<[string, readonly Read[], string, number]>([
    ['released, it holds nothing', then(['released', 58.004]), 'to-pull', 1],
    ['read as free after a pull, it has grown as well as on release', then(['free', 58.02]), 'grown', 1],
    ['a little in each of two pulls is as much at once', little, 'grown', 2],
    ['grown, it stays so under load', then(['free', 58.02], ['tight', 58.15]), 'grown', 2],
    ['another in its place came so long', then(['released', 58.02], ['another', 58.05]), 'to-pull', 0],
    ['and is judged by its own', then(['another', 58.05], ['tight', 58.18]), 'inside', 1],
    ['pulled again, it counts from its last zero', then(['released', 58.008], ['tight', 58.125]), 'short', 2],
  ])('%s', (_, reads, state, uses) => expect([first(reads).verdict.state, first(reads).uses]).toEqual([state, uses]));

  test('what was taken back was never read, and taken back again it stands', () => {
    const reads: readonly Read[] = [
      [1, 'free', 58],
      [1, 'tight', 58.31, 31],
    ];
    expect(first(reads).verdict.state).toBe('over');
    expect(first(reads, [{ strikes: 'r1' }])).toMatchObject({
      verdict: { state: 'to-pull' },
      uses: 0,
      last: { id: 'r0' },
    });
    expect(first(reads, [{ strikes: 'r0' }]).verdict.state).toBe('free-length-wanted');
  });

  test('one bolt says nothing of another', () => {
    const { bolts } = boltSetState(
      measured([
        [1, 'free', 58],
        [2, 'free', 58.1],
        [2, 'tight', 58.23, 31],
      ]),
    );
    expect(bolts.map(({ verdict }) => verdict.state)).toEqual(['to-pull', 'inside', 'free-length-wanted']);
  });

  test('however it was read, one that is longer without load than it came by more than is allowed has grown', () => {
    const kind = fc.constantFrom<BoltReadingKind>('free', 'tight', 'released', 'another');
    const reads = fc.array(fc.tuple(kind, fc.integer({ min: 0, max: 40 })), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(reads, (given) => {
        const lengths = given.map(([one, thousandths]): Read => [1, one, 58 + thousandths / 1000]);
        const life = lengths.slice(
          Math.max(
            0,
            lengths.findLastIndex(([, one]) => one === 'another'),
          ),
        );
        const free = life.filter(([, one]) => one !== 'tight').map(([, , length]) => length);
        const grew = (free.at(-1) ?? 0) - (free[0] ?? 0) > SET.maxSet_mm;
        expect(first(lengths).verdict.state === 'grown').toBe(grew);
      }),
    );
  });
});

describe('bolts that are not inside their stretch', () => {
  const NEVER: PulledSince = { isPulled: false, from: '' };
  const said = (since: PulledSince, reads: readonly Read[]) =>
    openBoltsWords(openBolts(boltSetState(measured(reads)), since), SET);
  const FREE: readonly Read[] = [
    [1, 'free', 58],
    [2, 'free', 58],
    [3, 'free', 58],
  ];

  test('of a set that nobody began to pull nothing is said, but of one that is scrap', () => {
    expect(said(NEVER, FREE)).toBe('');
    expect(said(NEVER, [])).toBe('');
    expect(said(NEVER, [...FREE, [2, 'free', 58.05]])).toBe('2 has grown');
  });
  test('once one is under load, the others are to be read', () => {
    expect(said(NEVER, [...FREE, [2, 'tight', 58.13, 31]])).toBe('1 and 3 stretch not read');
    expect(said(NEVER, [...FREE.slice(0, 2), [2, 'tight', 58.1, 30]])).toBe(
      '1 stretch not read; 2 stretch short; 3 free length not read',
    );
  });
  test('once the joint is pulled for good, all are', () => {
    expect(said({ isPulled: true, from: at(-5) }, FREE)).toBe('stretch not read');
    expect(said({ isPulled: true, from: at(-5) }, [])).toBe('free length not read');
  });
  test('what was read before it was pulled anew is of another pull', () => {
    const all: readonly Read[] = [...FREE, [1, 'tight', 58.13, 31], [2, 'tight', 58.13, 31], [3, 'tight', 58.1, 36]];
    expect(said({ isPulled: true, from: at(1) }, all)).toBe('3 at its ceiling without the stretch');
    expect(said({ isPulled: true, from: at(4.5) }, all)).toBe(
      '1 and 2 stretch not read since it was pulled again; 3 at its ceiling without the stretch',
    );
    expect(said({ isPulled: true, from: at(20) }, all)).toBe('stretch not read since it was pulled again');
    // Opened up, and not begun again: its joint says that it is to be tightened.
    expect(said({ isPulled: false, from: at(20) }, all)).toBe('');
  });
  test('those to stop at are told from those to go on with', () => {
    const reads: readonly Read[] = [...FREE, [1, 'tight', 58.2, 31], [2, 'tight', 58.13, 37], [3, 'tight', 58.1, 30]];
    const open = openBolts(boltSetState(measured(reads)), NEVER);
    expect(open.map(({ bolt, stops }) => [bolt, stops])).toEqual([
      [1, true],
      [2, true],
      [3, false],
    ]);
  });
  test('a set is named by its own name, and its joint where that says more', () => {
    const open = [{ bolt: 3, words: 'stretch short', stops: false }];
    const words = (joint: string, name = SET.name) => openSetWords({ name: joint }, { set: { ...SET, name }, open });
    expect(words('Rod bolts')).toBe('Rod bolts: 3 stretch short');
    expect(words('Big ends')).toBe('Big ends, Rod bolts: 3 stretch short');
    expect(words('Big ends', 'Big ends, long bolts')).toBe('Big ends, long bolts: 3 stretch short');
  });
});

test('of sets of one kind the last counts, unless it is set aside; one of which no end is in reach never', () => {
  const set = (id: string, more: Partial<BoltSet> = {}): MeasuredSet => ({
    set: { ...SET, id, ...more },
    readings: [],
  });
  const ids = (sets: readonly MeasuredSet[]) => countingSets(sets).map((one) => one.set.id);
  expect(ids([set('a'), set('b'), set('c', { kind: 'long' })])).toEqual(['b', 'c']);
  expect(ids([set('a'), set('b', { aside: 'another bolt' })])).toEqual(['a']);
  expect(ids([set('a'), set('b', { bothEnds: false })])).toEqual([]);
});

test('to be read on release a bolt is let go, and its cap with it', () => {
  const reads: readonly Read[] = [
    [1, 'free', 58],
    [1, 'tight', 58.13],
    [1, 'released', 58.004],
  ];
  expect(lettingsGo([measured(reads)])).toEqual([{ jointId: 'rods', at: at(2) }]);
  expect(lettingsGo([measured(reads, [{ strikes: 'r2' }])])).toEqual([]);
  const another: readonly Read[] = [...reads.slice(0, 2), [1, 'another', 58.02]];
  expect(lettingsGo([measured(another)])).toEqual([{ jointId: 'rods', at: at(2) }]);
});
