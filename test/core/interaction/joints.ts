import fc from 'fast-check';

const sum = (values: readonly number[]) => values.reduce((total, one) => total + one, 0);

/** Joints that sink as one and give by chance besides, so that a pull often lets others go altogether. */
export const joints = fc
  .record({
    n: fc.integer({ min: 2, max: 7 }),
    seeds: fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 98, maxLength: 98 }),
    stiffness: fc.double({ min: 5e5, max: 5e7, noNaN: true }),
    turns: fc.array(fc.record({ nut: fc.nat(), target: fc.double({ min: 1e3, max: 4e4, noNaN: true }) }), {
      minLength: 2,
      maxLength: 16,
    }),
  })
  .map(({ n, seeds, stiffness, turns }) => {
    const rows = Array.from({ length: n }, (_, i) =>
      Array.from({ length: n }, (_v, j) => (j === 0 ? 1 : 0.3 * (seeds[i * n + j] ?? 0))),
    );
    const compliance = rows.map((a) => rows.map((b) => 1e-5 * sum(a.map((value, k) => value * (b[k] ?? 0)))));
    return { compliance, stiffness, turns: turns.map(({ nut, target }) => ({ nut: nut % n, target })) };
  });
