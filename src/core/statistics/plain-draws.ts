import { BATCH, columnsOf, type Draw, type Draws } from './draws';
import { exponentials } from './exponential';
import { normalQuantiles } from './normal';
import { createRandom } from './random';

const N_MM_PER_N_M = 1000;

/** Factors, what they multiply, and the arm on which that acts. */
type Scaled = readonly [factors: Float64Array, middle: number, arm: number];

/** From deviates to torques. */
function wrenched(nets: Float64Array, torque_Nm: number, deviation: number, count: number): void {
  for (let i = 0; i < count; i++) nets[i] = torque_Nm * (1 + deviation * (nets[i] as number));
}

/** Adds where between two marks each of them was read. */
function addMarks(
  nets: Float64Array,
  graduation_Nm: number,
  u: Float64Array,
  from: number,
  step: number,
  count: number,
): void {
  for (let i = 0, k = from; i < count; i++, k += step)
    nets[i] = (nets[i] as number) + graduation_Nm * ((u[k] as number) - 0.5);
}

/** The clamp loads of a batch's net torques, from a place in their list on; gives the sum so far with theirs. */
function clampLoads(
  nets: Float64Array,
  lift: number,
  [threads, muThread, ct]: Scaled,
  [heads, muHead, ch]: Scaled,
  forces: Float64Array,
  from: number,
  count: number,
  before: number,
): number {
  let sum = before;
  for (let i = 0; i < count; i++) {
    const net = nets[i] as number;
    const arm = lift + muThread * (threads[i] as number) * ct + muHead * (heads[i] as number) * ch;
    const force = net > 0 ? (net * N_MM_PER_N_M) / arm : 0;
    forces[from + i] = force;
    sum += force;
  }
  return sum;
}

/**
 * Draws in plain numbers, where {@link compiledDraws} is not to be had: the same bits.
 * @throws DomainError bad-field where the seed is no whole number of at least 0
 */
export function plainDraws(draws: Draws): Draw {
  const { shared, thread, head, torque_Nm, deviation, graduation_Nm, prevailing_Nm, nutDeviation_Nm } = draws;
  const { fill } = createRandom(draws.seed);
  // In one film as wide under the head as in the thread both coefficients move by one factor.
  const isAlike = shared && thread.up === head.up && thread.down === head.down;
  const { columns, headAt, wrenchAt, markAt, nutAt } = columnsOf(draws);
  const chance = new Float64Array(BATCH * columns);
  const column = () => new Float64Array(BATCH);
  const [zs, factors, nets] = [column(), column(), column()];
  const [zHeads, headFactors] = [shared ? zs : column(), isAlike ? factors : column()];
  const threads: Scaled = [factors, thread.middle, thread.arm];
  const heads: Scaled = [headFactors, head.middle, head.arm];
  // Whole columns, each in a loop of its own: a variable shared with a closure, or a number handed on by a call, would be
  // boxed at every sample.
  return (forces, from, count, before) => {
    const u = count === BATCH ? chance : chance.subarray(0, count * columns);
    fill(u);
    normalQuantiles(u, 0, columns, count, zs);
    exponentials(zs, thread.up, thread.down, count, factors);
    if (!shared) normalQuantiles(u, headAt, columns, count, zHeads);
    if (!isAlike) exponentials(zHeads, head.up, head.down, count, headFactors);
    if (deviation > 0) normalQuantiles(u, wrenchAt, columns, count, nets);
    if (deviation > 0) wrenched(nets, torque_Nm, deviation, count);
    else nets.fill(torque_Nm);
    if (graduation_Nm > 0) addMarks(nets, graduation_Nm, u, markAt, columns, count);
    if (prevailing_Nm > 0) for (let i = 0; i < count; i++) nets[i] = (nets[i] as number) - prevailing_Nm;
    if (nutDeviation_Nm > 0) {
      normalQuantiles(u, nutAt, columns, count, zs);
      for (let i = 0; i < count; i++) nets[i] = (nets[i] as number) - nutDeviation_Nm * (zs[i] as number);
    }
    return clampLoads(nets, draws.lift, threads, heads, forces, from, count, before);
  };
}
