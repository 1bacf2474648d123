/*
 * A language may round its own exp and log as it likes in the last place, and no two browsers need agree. These are made
 * of sums, products and quotients alone, which are rounded alike everywhere: the same seed gives the same bits.
 */

const LN2_HIGH = 6.9314718036912381649e-1;
const LN2_LOW = 1.90821492927058770002e-10;
const INVERSE_LN2 = 1.442695040888963387;
/** Added and taken away again, it leaves the nearest whole number. */
const ROUNDER = 3 * 2 ** 51;
/** Beyond it no quantity of an engine lies. */
const FARTHEST = 700;
const LEAST_POWER = -1020;
const POWERS = Float64Array.from({ length: 2 * -LEAST_POWER + 1 }, (_, i) => 2 ** (i + LEAST_POWER));

/**
 * eˣ of `count` numbers, each by its own factor: `up` where it is at least 0, `down` beneath. To 1 part in 10¹⁵; beyond
 * ±700 nothing and infinity.
 * @source fdlibm (Sun Microsystems 1993), e_exp: the remainder after whole halvings by a rational function
 */
export function exponentials(z: Float64Array, up: number, down: number, count: number, into: Float64Array): void {
  for (let i = 0; i < count; i++) {
    const own = z[i] as number;
    const x = own * (own >= 0 ? up : down);
    if (x <= FARTHEST && x >= -FARTHEST) {
      const k = x * INVERSE_LN2 + ROUNDER - ROUNDER;
      const high = x - k * LN2_HIGH;
      const low = k * LN2_LOW;
      const r = high - low;
      const t = r * r;
      const c =
        r -
        t *
          (1.66666666666666019037e-1 +
            t *
              (-2.7777777777015593384e-3 +
                t * (6.61375632143793436117e-5 + t * (-1.6533902205465251539e-6 + t * 4.13813679705723846039e-8))));
      into[i] = (1 - (low - (r * c) / (2 - c) - high)) * (POWERS[(k | 0) - LEAST_POWER] as number);
    } else into[i] = x > 0 ? Infinity : x < 0 ? 0 : NaN;
  }
}

const STEPS = 2 ** 30;
/** From here on a part is halved: the last of √2's first 21 bits. */
const HALVED_FROM = 1 + 0x6a09c / 2 ** 20;
/** Between these, near √2, the sum is taken in another order, as it loses less there. */
const NEAR_ROOT = 1 + 0x6147a / 2 ** 20;
const PAST_ROOT = 1 + 0x6b852 / 2 ** 20;

/**
 * The natural logarithm, to 1 part in 10¹⁵; of nothing, of infinity and beneath nothing as the language has it.
 * @source fdlibm (Sun Microsystems 1993), e_log
 */
export function naturalLog(x: number): number {
  if (!(x > 0 && x < Infinity)) return Math.log(x);
  // x = part · 2ᵏ with a part from 1 to 2: exact, as nothing but powers of two is taken out.
  let scaled = x;
  let k = 0;
  while (scaled < 1) {
    scaled *= STEPS;
    k -= 30;
  }
  while (scaled >= STEPS) {
    scaled /= STEPS;
    k += 30;
  }
  const own = 31 - Math.clz32(scaled);
  const part = scaled / (POWERS[own - LEAST_POWER] as number);
  const isHalved = part >= HALVED_FROM;
  k += isHalved ? own + 1 : own;
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
