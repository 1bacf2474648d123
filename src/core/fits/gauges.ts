import { DomainError, assertFinite, assertNotNegative, assertPositive, wrongInput } from '@/core/units';
import { assertLimits, assertResolution, judge, type Limits, type Verdict } from './verdict';

const MAX = 400;

function assertList(values: readonly unknown[], field: string): void {
  if (!(values.length >= 1 && values.length <= MAX)) throw wrongInput(field, `must be a list of 1 to ${MAX}.`);
}

/**
 * What feelers say: the thickest that goes and the thinnest that does not. An interval, never a single figure.
 * @throws DomainError go-not-below-stop, bad-field
 */
export function feelers(goes_mm: readonly number[], stops_mm: readonly number[]) {
  assertList(goes_mm, 'goes_mm');
  assertList(stops_mm, 'stops_mm');
  goes_mm.forEach((leaf, i) => assertNotNegative(leaf, `goes_mm[${i}]`));
  stops_mm.forEach((leaf, i) => assertPositive(leaf, `stops_mm[${i}]`));
  const [min_mm, max_mm] = [Math.max(...goes_mm), Math.min(...stops_mm)];
  if (!(min_mm < max_mm))
    throw new DomainError(
      'go-not-below-stop',
      `A leaf of ${min_mm} mm goes and one of ${max_mm} mm does not: one of them was read wrong.`,
      'goes_mm',
    );
  return { min_mm, max_mm, middle_mm: (min_mm + max_mm) / 2 };
}

export interface FloatReading {
  readonly push: number;
  readonly pull: number;
}

export interface EndFloat {
  readonly mean_mm: number;
  readonly spread_mm: number;
  readonly verdict?: Verdict;
}

/**
 * End float from a dial, pushed and pulled several times: float = pull − push, mm.
 * @throws DomainError bad-field
 */
export function endFloat(readings_mm: readonly FloatReading[], limits?: Limits, resolution_mm?: number): EndFloat {
  assertList(readings_mm, 'readings_mm');
  assertResolution(resolution_mm);
  const floats = readings_mm.map(({ push, pull }, i) => {
    assertFinite(push, `readings_mm[${i}].push`);
    assertFinite(pull, `readings_mm[${i}].pull`);
    if (pull < push)
      throw new DomainError(
        'bad-field',
        `Pulled, ${pull} mm, lies below pushed, ${push} mm: the dial has slipped, or the two are exchanged.`,
        `readings_mm[${i}].pull`,
      );
    return pull - push;
  });
  const mean_mm = floats.reduce((sum, float) => sum + float, 0) / floats.length;
  const spread_mm = Math.max(...floats) - Math.min(...floats);
  if (!limits) return { mean_mm, spread_mm };
  assertLimits(limits, 'limits');
  const verdict = judge(mean_mm, mean_mm, limits, resolution_mm);
  return { mean_mm, spread_mm, verdict: verdict === 'inside' ? steady(spread_mm, resolution_mm) : verdict };
}

// Beyond two graduations readings do not repeat, and their mean says nothing.
const STEADY_GRADUATIONS = 2;

/** `too-close` where floats read one after another do not repeat within two graduations. */
export const steady = (spread_mm: number, resolution_mm: number | undefined): Verdict =>
  resolution_mm !== undefined && spread_mm > STEADY_GRADUATIONS * resolution_mm + 1e-9 ? 'too-close' : 'inside';

/**
 * A length brought to 20 °C, part and gauge both: L20 = L·(1 + αg·ΔT)/(1 + αp·ΔT), α in µm/m·K. @throws DomainError
 * bad-field
 */
export function at20C(
  length_mm: number,
  expansion_um_per_mK: number,
  measuredAt_C: number,
  gaugeExpansion_um_per_mK = 0,
): number {
  assertPositive(length_mm, 'length_mm');
  assertNotNegative(expansion_um_per_mK, 'expansion_um_per_mK');
  assertNotNegative(gaugeExpansion_um_per_mK, 'gaugeExpansion_um_per_mK');
  assertFinite(measuredAt_C, 'measuredAt_C');
  if (measuredAt_C < -273.15) throw wrongInput('measuredAt_C', `lies below absolute zero: ${measuredAt_C}.`);
  const warmer = (measuredAt_C - 20) * 1e-6;
  return (length_mm * (1 + gaugeExpansion_um_per_mK * warmer)) / (1 + expansion_um_per_mK * warmer);
}
