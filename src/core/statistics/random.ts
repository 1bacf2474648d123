import { assertFinite, wrongInput } from '@/core/units';

/** A source of chance that gives the same numbers everywhere for the same seed. */
export interface Random {
  /** A whole number in 0 … 2³²−1. */
  readonly next: () => number;
  /** A number strictly between 0 and 1. */
  readonly uniform: () => number;
  /** Fills a list with such numbers: the same ones, in the same order, and much faster. */
  readonly fill: (into: Float64Array) => void;
}

const STEPS = 4294967296;
const STEP = 1 / STEPS;
const HALF_STEP = 0.5 / STEPS;
const MAX_SEED = Number.MAX_SAFE_INTEGER;

/**
 * Spreads one seed over the four words of state. splitmix32 (Steele, Lea, Flood 2014, the 32-bit variant).
 * @throws DomainError bad-field where the seed is no whole number of at least 0
 */
export function spread(seed: number): Uint32Array {
  assertFinite(seed, 'seed');
  if (!Number.isInteger(seed) || seed < 0 || seed > MAX_SEED)
    throw wrongInput('seed', `must be a whole number of at least 0, got ${seed}.`);
  const state = new Uint32Array(4);
  let word = ((seed % 4294967296) ^ Math.floor(seed / 4294967296)) >>> 0;
  for (let i = 0; i < 4; i++) {
    word = (word + 0x9e3779b9) >>> 0;
    let mixed = word;
    mixed = Math.imul(mixed ^ (mixed >>> 16), 0x21f0aaad);
    mixed = Math.imul(mixed ^ (mixed >>> 15), 0x735a2d97);
    state[i] = (mixed ^ (mixed >>> 15)) >>> 0;
  }
  return state;
}

/**
 * xoshiro128++ (Blackman and Vigna, public domain): 32 bits a step, whole-number arithmetic only.
 * @throws DomainError bad-field where the seed is no whole number of at least 0
 */
export function createRandom(seed: number): Random {
  const state = spread(seed);
  const one = new Float64Array(1);
  // The state lives in local whole numbers while a batch is drawn, and nothing is called in the loop: kept in an array, or
  // handed on, each draw would cost several times as much.
  const fill = (into: Float64Array): void => {
    let [s0, s1, s2, s3] = [state[0] as number, state[1] as number, state[2] as number, state[3] as number];
    for (let i = 0; i < into.length; i++) {
      const sum = (s0 + s3) | 0;
      into[i] = ((((sum << 7) | (sum >>> 25)) + s0) >>> 0) * STEP + HALF_STEP;
      const t = s1 << 9;
      s2 ^= s0;
      s3 ^= s1;
      s1 ^= s2;
      s0 ^= s3;
      s2 ^= t;
      s3 = (s3 << 11) | (s3 >>> 21);
    }
    state[0] = s0;
    state[1] = s1;
    state[2] = s2;
    state[3] = s3;
  };
  const uniform = () => {
    fill(one);
    return one[0] as number;
  };
  // Both are exact: a step and its half have few digits.
  return { next: () => (uniform() - HALF_STEP) * STEPS, uniform, fill };
}
