import type { Friction } from '@/core/film';
import { assertNotNegative, wrongInput } from '@/core/units';
import { N_MM_PER_N_M, assertAbovePrevailing, preloadOf } from './clamp';
import { assertTurned, headArm, threadArm, tighteningArm, type TurnedFastener } from './tightening-arm';

export interface ClampBandInput {
  readonly thread: TurnedFastener['thread'];
  readonly bearing: TurnedFastener['bearing'];
  readonly torque_Nm: number;
  readonly muThread: Friction;
  readonly muHead: Friction;
  readonly prevailing_Nm?: number;
  /** Highest less lowest of a locking nut's own torque; four standard deviations. */
  readonly prevailingSpread_Nm?: number;
  /** The wrench's ± figure, taken as two standard deviations, in per cent. */
  readonly wrenchAccuracy_pct: number;
  readonly graduation_Nm?: number;
  /** True where thread and head share one batch of film and slip together. */
  readonly sharedFilm?: boolean;
}

export interface ClampBand {
  readonly p5_N: number;
  readonly p50_N: number;
  readonly p95_N: number;
  readonly mean_N: number;
}

const Z95 = 1.6449;

const at = (input: ClampBandInput, end: keyof Friction): TurnedFastener => ({
  ...input,
  muThread: input.muThread[end],
  muHead: input.muHead[end],
});

function assertFriction({ low, middle, high }: Friction, field: string): void {
  if (!(low <= middle && middle <= high))
    throw wrongInput(field, `must rise from low through middle to high, got ${low}, ${middle}, ${high}.`);
}

/** Refuses a band that cannot be reckoned. @throws DomainError bad-field */
export function assertBand(input: ClampBandInput): void {
  for (const end of ['low', 'middle', 'high'] as const) assertTurned(at(input, end));
  assertFriction(input.muThread, 'muThread');
  assertFriction(input.muHead, 'muHead');
  assertNotNegative(input.wrenchAccuracy_pct, 'wrenchAccuracy_pct');
  assertNotNegative(input.graduation_Nm ?? 0, 'graduation_Nm');
  assertNotNegative(input.prevailingSpread_Nm ?? 0, 'prevailingSpread_Nm');
  assertAbovePrevailing(input.torque_Nm, input.prevailing_Nm, 'torque_Nm');
}

/** The arms at the two ends of the film, thread and head moving together or each by itself. */
function arms(input: ClampBandInput): { readonly c5: number; readonly c50: number; readonly c95: number } {
  const c50 = tighteningArm(at(input, 'middle'));
  if (input.sharedFilm !== false)
    return { c5: tighteningArm(at(input, 'low')), c50, c95: tighteningArm(at(input, 'high')) };
  const [ct, ch] = [threadArm(input.thread), headArm(input.bearing)];
  const rise = Math.hypot(
    ct * (input.muThread.high - input.muThread.middle),
    ch * (input.muHead.high - input.muHead.middle),
  );
  const fall = Math.hypot(
    ct * (input.muThread.middle - input.muThread.low),
    ch * (input.muHead.middle - input.muHead.low),
  );
  return { c5: c50 - fall, c50, c95: c50 + rise };
}

/**
 * The band of clamp load from film and wrench in closed form: 5th, 50th and 95th percentile.
 * F95 = F50·exp(√[ln²(c50/c5) + w²]), F5 = F50·exp(−√[ln²(c95/c50) + w²]); w the share of wrench, graduation and
 * locking nut at 1.645 deviations.
 * `mean_N` is the mean of the two-piece lognormal with these ends.
 * @throws DomainError bad-field
 */
export function clampBand(input: ClampBandInput): ClampBand {
  assertBand(input);
  const { c5, c50, c95 } = arms(input);
  const net = input.torque_Nm - (input.prevailing_Nm ?? 0);
  const deviation = Math.hypot(
    (input.wrenchAccuracy_pct / 200) * input.torque_Nm,
    (input.graduation_Nm ?? 0) / Math.sqrt(12),
    (input.prevailingSpread_Nm ?? 0) / 4,
  );
  const w = (Z95 * deviation) / net;
  const p50_N = preloadOf(at(input, 'middle'), input.torque_Nm);
  const up = Math.hypot(Math.log(c50 / c5), w);
  const down = Math.hypot(Math.log(c95 / c50), w);
  // Near the nut's own torque a product of errors runs away: no torque gives more than it would without the nut.
  const most_N = ((input.torque_Nm + Z95 * deviation) * N_MM_PER_N_M) / c5;
  const runsAway = (input.prevailing_Nm ?? 0) > 0;
  return {
    p5_N: p50_N * Math.exp(-down),
    p50_N,
    p95_N: runsAway ? Math.min(p50_N * Math.exp(up), most_N) : p50_N * Math.exp(up),
    mean_N: p50_N * splitMean(down / Z95, up / Z95),
  };
}

/** Mean of exp(x), x a split normal about 0 with deviations a below and b above, to the second order. */
const splitMean = (below: number, above: number): number =>
  1 + (above - below) / Math.sqrt(2 * Math.PI) + (above ** 2 + below ** 2) / 4;
