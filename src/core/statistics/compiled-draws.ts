import { columnsOf, type Draw, type Draws } from './draws';
import { DRAWS } from './draws-code';
import { spread } from './random';

type Cell = { value: number };

/** What `draws.as` hands out. */
interface Exports {
  readonly memory: { readonly buffer: ArrayBuffer };
  readonly draw: (count: number, before: number) => number;
  readonly forcesAt: Cell;
  readonly [name: string]: unknown;
}

const bytesOf = (text: string) => Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0));

/** Compiled at its first use, once; null where there is no WebAssembly, or it may not be compiled, or has no SIMD. */
let kept: WebAssembly.Module | null | undefined;

/** A program with columns of its own, as several runs may be under way; null where it is not to be had. */
function begun(): Exports | null {
  if (kept === null) return null;
  try {
    kept ??= new WebAssembly.Module(bytesOf(DRAWS));
    return new WebAssembly.Instance(kept).exports as unknown as Exports;
  } catch {
    kept = null;
    return null;
  }
}

/** Each name as it stands in `draws.as`. */
function valuesOf(draws: Draws): Readonly<Record<string, number>> {
  const [word0 = 0, word1 = 0, word2 = 0, word3 = 0] = spread(draws.seed);
  const { thread, head, lift, torque_Nm, deviation, graduation_Nm, prevailing_Nm, nutDeviation_Nm } = draws;
  return {
    ...{ word0, word1, word2, word3 },
    ...{ lift, torque_Nm, deviation, graduation_Nm, prevailing_Nm, nutDeviation_Nm },
    ...{ muThread: thread.middle, threadArm: thread.arm, upInThread: thread.up, downInThread: thread.down },
    ...{ muHead: head.middle, headArm: head.arm, upUnderHead: head.up, downUnderHead: head.down },
    ...columnsOf(draws),
  };
}

/**
 * Draws in WebAssembly, two samples at a time: the bits of {@link plainDraws}, sooner. Null where it is not to be had.
 * @throws DomainError bad-field where the seed is no whole number of at least 0
 */
export function compiledDraws(draws: Draws): Draw | null {
  const values = Object.entries(valuesOf(draws));
  const exports = begun();
  if (!exports) return null;
  for (const [name, value] of values) (exports[name] as Cell).value = value;
  const batch = new Float64Array(exports.memory.buffer, exports.forcesAt.value);
  return (forces, from, count, before) => {
    const sum = exports.draw(count, before);
    forces.set(batch.subarray(0, count), from);
    return sum;
  };
}
