import { DomainError } from '@/core/units';
import { dot, factor, part, solve, type Matrix } from './positive-definite';

// Of the largest force, or of the largest gap: less is rounding.
const ROUNDING = 1e-12;
// A nut is taken in and let go a few times at most; more is rounding that goes round in a ring.
const MOST_ROUNDS = 20;

/**
 * The forces F ≥ 0 with M·F − s ≥ 0 and, wherever one is positive, the other zero: nuts pull and never push. M is
 * symmetric and positive definite, so there is exactly one. By Lawson and Hanson’s active set: nuts are taken in one
 * by one, and let go where they would push.
 * @param advances s, how far each nut was turned down, mm
 */
export function settled(giving: Matrix, advances: readonly number[]): number[] {
  const n = advances.length;
  const forces = advances.map(() => 0);
  const holding = new Set<number>();
  const reach = Math.max(...advances.map(Math.abs), 0);
  const missing = (i: number) => (advances[i] as number) - dot(giving[i] as readonly number[], forces);
  // All of them pulling is what nearly always comes of it.
  const first = n === 0 ? [] : solve(factor(giving), advances);
  if (first.every((force) => force >= 0)) return first;
  for (let round = 0; ; round++) {
    if (round > MOST_ROUNDS * (n + 1))
      throw new DomainError('not-settled', 'What is left in the fasteners could not be found.', 'compliance');
    let [worst, most] = [-1, ROUNDING * reach];
    for (let i = 0; i < n; i++) if (!holding.has(i) && missing(i) > most) [worst, most] = [i, missing(i)];
    if (worst < 0) return forces;
    holding.add(worst);
    for (;;) {
      const held = [...holding].sort((a, b) => a - b);
      const wanted = solve(
        factor(part(giving, held)),
        held.map((i) => advances[i] as number),
      );
      if (wanted.every((force) => force > 0)) {
        forces.fill(0);
        held.forEach((i, at) => {
          forces[i] = wanted[at] as number;
        });
        break;
      }
      // As far towards it as nothing pushes; whatever comes to nothing on the way is let go.
      const share = Math.min(
        ...held.flatMap((i, at) => {
          const [now, then] = [forces[i] as number, wanted[at] as number];
          return then <= 0 ? [now / (now - then)] : [];
        }),
      );
      held.forEach((i, at) => {
        forces[i] = (forces[i] as number) + share * ((wanted[at] as number) - (forces[i] as number));
      });
      for (const i of held)
        if ((forces[i] as number) <= ROUNDING * Math.max(...forces)) {
          forces[i] = 0;
          holding.delete(i);
        }
    }
  }
}
