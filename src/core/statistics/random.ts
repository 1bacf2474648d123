import { assertFinite, DomainError } from '../units';

/** A source of chance that gives the same numbers everywhere for the same seed. */
export interface Random {
  /** A whole number in 0 … 2³²−1. */
  readonly next: () => number;
  /** A number strictly between 0 and 1. */
  readonly uniform: () => number;
}

const MOST_SEED = Number.MAX_SAFE_INTEGER;

/** Spreads one seed over the four words of state. splitmix32 (Steele, Lea, Flood 2014, the 32-bit variant). */
function spread(seed: number): Uint32Array {
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
  assertFinite(seed, 'seed');
  if (!Number.isInteger(seed) || seed < 0 || seed > MOST_SEED)
    throw new DomainError('bad-field', `seed must be a whole number of at least 0, got ${seed}.`, 'seed');
  const s = spread(seed) as Uint32Array & { [index: number]: number };
  const next = () => {
    const [s0, s1, s3] = [s[0] as number, s[1] as number, s[3] as number];
    const sum = (s0 + s3) | 0;
    const result = (((sum << 7) | (sum >>> 25)) + s0) >>> 0;
    const s2 = (s[2] as number) ^ s0;
    const s3x = s3 ^ s1;
    s[1] = s1 ^ s2;
    s[0] = s0 ^ s3x;
    s[2] = s2 ^ (s1 << 9);
    s[3] = (s3x << 11) | (s3x >>> 21);
    return result;
  };
  return { next, uniform: () => (next() + 0.5) / 4294967296 };
}
