import { assertPositive } from '@/core/units';

// Beyond it the series loses more digits to rounding than the terms far out leave away.
const FAR_OUT = 12;
const FAR_TERMS = 8;
const TERMS = 60;
const EULER = 0.577_215_664_901_532_9;

function farOut(x: number): number {
  const phase = x / Math.SQRT2 + Math.PI / 8;
  let [term, sum] = [1, 0];
  for (let k = 0; k < FAR_TERMS; k++) {
    sum -= term * Math.sin(phase + (k * Math.PI) / 4);
    term *= -((2 * k + 1) ** 2) / (8 * (k + 1) * x);
  }
  return Math.sqrt(Math.PI / (2 * x)) * Math.exp(-x / Math.SQRT2) * sum;
}

/**
 * Kelvin's function kei of order 0, for x above 0: how an infinite plate on an elastic foundation lies about a point
 * load. By its series (Abramowitz and Stegun 9.9.10 to 9.9.12), far out as the imaginary part of K0(x·e^(iπ/4)), 9.7.2.
 * @throws DomainError not-positive
 */
export function kei(x: number): number {
  assertPositive(x, 'x');
  if (x > FAR_OUT) return farOut(x);
  const quarter = (x * x) / 4;
  // (x²/4)^m / (m!)² and the digamma function at m + 1, as m goes up.
  let [term, psi] = [1, -EULER];
  let [ber, bei, rest] = [0, 0, 0];
  for (let m = 0; m < TERMS; m++) {
    const sign = m % 4 < 2 ? 1 : -1;
    if (m % 2 === 0) ber += sign * term;
    else {
      bei += sign * term;
      rest += sign * psi * term;
    }
    term *= quarter / (m + 1) ** 2;
    psi += 1 / (m + 1);
  }
  return -Math.log(x / 2) * bei - (Math.PI / 4) * ber + rest;
}
