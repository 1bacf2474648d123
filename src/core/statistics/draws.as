// The draws of a simulation two at a time, in AssemblyScript: the same sums in the same order as `plain-draws.ts`, so that
// both give the same bits (a test compares them). `npm run draws` compiles it into `draws-code.ts`.

const BATCH: i32 = 1024;
const COLUMN: usize = 8 * BATCH;
// Five columns of chance, then what is made of them; all that is read by the host are the clamp loads.
const CHANCE: usize = 0;
const FIRST: usize = 5 * COLUMN;
const FIRST_FACTORS: usize = 6 * COLUMN;
const SECOND: usize = 7 * COLUMN;
const SECOND_FACTORS: usize = 8 * COLUMN;
const NETS: usize = 9 * COLUMN;
const NUTS: usize = 10 * COLUMN;
const FORCES: usize = 11 * COLUMN;
/** The places of a column's tails. */
const TAILS: usize = 12 * COLUMN;

/** Where the clamp loads of a batch lie, in bytes. */
export const forcesAt: i32 = <i32>FORCES;

const STEP: f64 = 1.0 / 4294967296.0;
const HALF_STEP: f64 = 0.5 / 4294967296.0;
const SPLIT: f64 = 0.425;
const LN2_HIGH: f64 = 6.9314718036912381649e-1;
const LN2_LOW: f64 = 1.90821492927058770002e-10;
const FARTHEST: f64 = 700;
/** Added and taken away again, it leaves the nearest whole number. */
const ROUNDER: f64 = 6755399441055744;
const HALVED_FROM: f64 = 1.0 + <f64>0x6a09c / 1048576.0;
const NEAR_ROOT: f64 = 1.0 + <f64>0x6147a / 1048576.0;
const PAST_ROOT: f64 = 1.0 + <f64>0x6b852 / 1048576.0;

/** The generator's four words. */
export let word0: u32 = 0;
export let word1: u32 = 0;
export let word2: u32 = 0;
export let word3: u32 = 0;

/** xoshiro128++, a column beside the other. */
function fill(each: i32, count: i32): void {
  let a = word0;
  let b = word1;
  let c = word2;
  let d = word3;
  for (let i = 0; i < count; i++) {
    let at: usize = CHANCE + (<usize>i << 3);
    for (let k = 0; k < each; k++, at += COLUMN) {
      const word: u32 = rotl<u32>(a + d, 7) + a;
      store<f64>(at, <f64>word * STEP + HALF_STEP);
      const t = b << 9;
      c ^= a;
      d ^= b;
      b ^= c;
      a ^= d;
      c ^= t;
      d = rotl<u32>(d, 11);
    }
  }
  word0 = a;
  word1 = b;
  word2 = c;
  word3 = d;
}

/** Of a part of one, after fdlibm's e_log. */
function naturalLog(x: f64): f64 {
  const bits = reinterpret<u64>(x);
  const own = <i32>(bits >> 52) - 1023;
  const part = reinterpret<f64>((bits & 0x000fffffffffffff) | 0x3ff0000000000000);
  const isHalved = part >= HALVED_FROM;
  const k = <f64>(isHalved ? own + 1 : own);
  const f = (isHalved ? part / 2 : part) - 1;
  const s = f / (2 + f);
  const z = s * s;
  const w = z * z;
  const even = w * (3.999999999940941908e-1 + w * (2.222219843214978396e-1 + w * 1.531383769920937332e-1));
  const odd =
    z *
    (6.66666666666673513e-1 +
      w * (2.857142874366239149e-1 + w * (1.818357216161805012e-1 + w * 1.479819860511658591e-1)));
  const rest = odd + even;
  if (part < NEAR_ROOT || part >= PAST_ROOT) return k * LN2_HIGH - (s * (f - rest) - k * LN2_LOW - f);
  const half = 0.5 * f * f;
  return k * LN2_HIGH - (half - (s * (half + rest) + k * LN2_LOW) - f);
}

/** Wichura, AS 241: the quantile beyond the middle. */
function tail(r: f64): f64 {
  if (r <= 5) {
    const x = r - 1.6;
    return (
      (((((((7.7454501427834140764e-4 * x + 2.27238449892691845833e-2) * x + 2.4178072517745061177e-1) * x + 1.27045825245236838258) * x + 3.64784832476320460504) * x + 5.7694972214606914055) * x + 4.6303378461565452959) * x + 1.42343711074968357734) /
      (((((((1.05075007164441684324e-9 * x + 5.475938084995344946e-4) * x + 1.51986665636164571966e-2) * x + 1.4810397642748007459e-1) * x + 6.8976733498510000455e-1) * x + 1.6763848301838038494) * x + 2.05319162663775882187) * x + 1)
    );
  }
  const x = r - 5;
  return (
    (((((((2.01033439929228813265e-7 * x + 2.71155556874348757815e-5) * x + 1.2426609473880784386e-3) * x + 2.6532189526576123093e-2) * x + 2.9656057182850489123e-1) * x + 1.7848265399172913358) * x + 5.4637849111641143699) * x + 6.6579046435011037772) /
    (((((((2.04426310338993978564e-15 * x + 1.4215117583164458887e-7) * x + 1.8463183175100546818e-5) * x + 7.868691311456132591e-4) * x + 1.48753612908506148525e-2) * x + 1.3692988092273580531e-1) * x + 5.9983220655588793769e-1) * x + 1)
  );
}

function step(sum: v128, r: v128, next: f64): v128 {
  return f64x2.add(f64x2.mul(sum, r), f64x2.splat(next));
}

/** The normal's quantiles of a column; the middle's for all, the tails' put in their places after. */
function quantiles(from: usize, into: usize, count: i32): void {
  let found: usize = TAILS;
  for (let at: usize = 0, end = <usize>count << 3; at < end; at += 16) {
    const q = f64x2.sub(v128.load(from + at), f64x2.splat(0.5));
    const r = f64x2.sub(f64x2.splat(0.180625), f64x2.mul(q, q));
    let above = f64x2.splat(2509.0809287301226727);
    above = step(above, r, 33430.575583588128105);
    above = step(above, r, 67265.770927008700853);
    above = step(above, r, 45921.953931549871457);
    above = step(above, r, 13731.693765509461125);
    above = step(above, r, 1971.5909503065514427);
    above = step(above, r, 133.14166789178437745);
    above = step(above, r, 3.387132872796366608);
    let under = f64x2.splat(5226.495278852545925);
    under = step(under, r, 28729.085735721942674);
    under = step(under, r, 39307.89580009271061);
    under = step(under, r, 21213.794301586595867);
    under = step(under, r, 5394.1960214247511077);
    under = step(under, r, 687.1870074920579083);
    under = step(under, r, 42.313330701600911252);
    under = step(under, r, 1);
    v128.store(into + at, f64x2.div(f64x2.mul(q, above), under));
    const far = i64x2.bitmask(f64x2.gt(f64x2.abs(q), f64x2.splat(SPLIT)));
    store<i32>(found, <i32>at);
    found += <usize>(far & 1) << 2;
    store<i32>(found, <i32>at + 8);
    found += <usize>(far >> 1) << 2;
  }
  for (let k: usize = TAILS; k < found; k += 4) {
    const at = <usize>load<i32>(k);
    const p = load<f64>(from + at);
    const z = tail(Math.sqrt(-naturalLog(p < 0.5 ? p : 1 - p)));
    store<f64>(into + at, p < 0.5 ? -z : z);
  }
}

function farOut(x: f64): f64 {
  return x > 0 ? Infinity : x < 0 ? 0 : NaN;
}

/** e to the power of each of a column, by a factor either side of nothing, after fdlibm's e_exp. */
function exponentials(from: usize, up: f64, down: f64, into: usize, count: i32): void {
  const rounder = f64x2.splat(ROUNDER);
  for (let at: usize = 0, end = <usize>count << 3; at < end; at += 16) {
    const own = v128.load(from + at);
    const x = f64x2.mul(own, v128.bitselect(f64x2.splat(up), f64x2.splat(down), f64x2.ge(own, f64x2.splat(0))));
    const shifted = f64x2.add(f64x2.mul(x, f64x2.splat(1.442695040888963387)), rounder);
    const k = f64x2.sub(shifted, rounder);
    const high = f64x2.sub(x, f64x2.mul(k, f64x2.splat(LN2_HIGH)));
    const low = f64x2.mul(k, f64x2.splat(LN2_LOW));
    const r = f64x2.sub(high, low);
    const t = f64x2.mul(r, r);
    let sum = f64x2.add(f64x2.splat(-1.6533902205465251539e-6), f64x2.mul(t, f64x2.splat(4.13813679705723846039e-8)));
    sum = f64x2.add(f64x2.splat(6.61375632143793436117e-5), f64x2.mul(t, sum));
    sum = f64x2.add(f64x2.splat(-2.7777777777015593384e-3), f64x2.mul(t, sum));
    sum = f64x2.add(f64x2.splat(1.66666666666666019037e-1), f64x2.mul(t, sum));
    const c = f64x2.sub(r, f64x2.mul(t, sum));
    const power = i64x2.shl(i64x2.add(shifted, i64x2.splat(1023)), 52);
    const ratio = f64x2.div(f64x2.mul(r, c), f64x2.sub(f64x2.splat(2), c));
    const one = f64x2.sub(f64x2.splat(1), f64x2.sub(f64x2.sub(low, ratio), high));
    v128.store(into + at, f64x2.mul(one, power));
    if (i64x2.all_true(f64x2.le(f64x2.abs(x), f64x2.splat(FARTHEST)))) continue;
    const first = f64x2.extract_lane(x, 0);
    const second = f64x2.extract_lane(x, 1);
    if (!(Math.abs(first) <= FARTHEST)) store<f64>(into + at, farOut(first));
    if (!(Math.abs(second) <= FARTHEST)) store<f64>(into + at + 8, farOut(second));
  }
}

export let torque_Nm: f64 = 0;
export let deviation: f64 = 0;
export let graduation_Nm: f64 = 0;
export let prevailing_Nm: f64 = 0;
export let nutDeviation_Nm: f64 = 0;
export let lift: f64 = 0;
export let threadArm: f64 = 0;
export let headArm: f64 = 0;
export let muThread: f64 = 0;
export let upInThread: f64 = 0;
export let downInThread: f64 = 0;
export let muHead: f64 = 0;
export let upUnderHead: f64 = 0;
export let downUnderHead: f64 = 0;
/** How many columns of chance there are, and which of them is whose; 0, which is the thread's, where there is none. */
export let columns: i32 = 1;
export let headAt: i32 = 0;
export let wrenchAt: i32 = 0;
export let markAt: i32 = 0;
export let nutAt: i32 = 0;

function times(column: usize, factor: f64): v128 {
  return f64x2.mul(f64x2.splat(factor), v128.load(column));
}

/** Net torques: the wrench's, read between two marks, less what the nut itself takes. */
function netTorques(count: i32): void {
  const end = <usize>count << 3;
  if (wrenchAt > 0) quantiles(CHANCE + <usize>wrenchAt * COLUMN, NETS, count);
  if (nutAt > 0) quantiles(CHANCE + <usize>nutAt * COLUMN, NUTS, count);
  const marks = CHANCE + <usize>markAt * COLUMN;
  for (let at: usize = 0; at < end; at += 16) {
    let net = f64x2.splat(torque_Nm);
    if (wrenchAt > 0) net = f64x2.mul(net, f64x2.add(f64x2.splat(1), times(NETS + at, deviation)));
    if (markAt > 0) {
      const read = f64x2.sub(v128.load(marks + at), f64x2.splat(0.5));
      net = f64x2.add(net, f64x2.mul(f64x2.splat(graduation_Nm), read));
    }
    if (prevailing_Nm > 0) net = f64x2.sub(net, f64x2.splat(prevailing_Nm));
    if (nutAt > 0) net = f64x2.sub(net, times(NUTS + at, nutDeviation_Nm));
    v128.store(NETS + at, net);
  }
}

/** Draws up to a batch of clamp loads; gives the sum so far with theirs added in their order. */
export function draw(count: i32, before: f64): f64 {
  fill(columns, count);
  quantiles(CHANCE, FIRST, count);
  exponentials(FIRST, upInThread, downInThread, FIRST_FACTORS, count);
  let heads = FIRST_FACTORS;
  // In one film as wide under the head as in the thread both coefficients move by one factor.
  if (headAt > 0 || upUnderHead != upInThread || downUnderHead != downInThread) {
    if (headAt > 0) quantiles(CHANCE + <usize>headAt * COLUMN, SECOND, count);
    heads = SECOND_FACTORS;
    exponentials(headAt > 0 ? SECOND : FIRST, upUnderHead, downUnderHead, heads, count);
  }
  netTorques(count);
  let sum = before;
  for (let at: usize = 0, end = <usize>count << 3; at < end; at += 16) {
    const net = v128.load(NETS + at);
    const inThread = f64x2.mul(times(FIRST_FACTORS + at, muThread), f64x2.splat(threadArm));
    const underHead = f64x2.mul(times(heads + at, muHead), f64x2.splat(headArm));
    const arm = f64x2.add(f64x2.add(f64x2.splat(lift), inThread), underHead);
    const pulled = f64x2.div(f64x2.mul(net, f64x2.splat(1000)), arm);
    const force = v128.and(pulled, f64x2.gt(net, f64x2.splat(0)));
    v128.store(FORCES + at, force);
    sum += f64x2.extract_lane(force, 0);
    // Of an odd count the last has nobody beside it.
    if (at + 8 < end) sum += f64x2.extract_lane(force, 1);
  }
  return sum;
}
