import { assertTurned, liftArm, tighteningArm, type TurnedFastener } from '@/core/joint';
import { DomainError, assertNotNegative, assertPositive, assertWithin, type Note } from '@/core/units';

/** Torque at two angles on the straight part of a pull, the nut turning at both. */
export interface SlopeReading {
  readonly from_Nm: number;
  readonly to_Nm: number;
  /** Between the two. */
  readonly turned_deg: number;
}

/**
 * A joint's own slope from two torques at two marked angles.
 * @returns N·m a degree
 * @throws DomainError bad-field
 */
export function slopeRead({ from_Nm, to_Nm, turned_deg }: SlopeReading): number {
  assertPositive(from_Nm, 'from_Nm');
  assertPositive(turned_deg, 'turned_deg');
  if (!(to_Nm > from_Nm))
    throw new DomainError(
      'bad-field',
      `The torque has to rise over the angle: ${to_Nm} N·m is no more than ${from_Nm} N·m. Where it does not, something gives way.`,
      'to_Nm',
    );
  return (to_Nm - from_Nm) / turned_deg;
}

/**
 * The slope of a fastener whose joint is taken as stiff: R = c·k·P/360. What else gives makes the real one flatter, so
 * that a movement costs this much at most.
 * @returns N·m a degree
 * @throws DomainError bad-field
 */
export function slopeOfStiffness(fastener: Omit<TurnedFastener, 'prevailing_Nm'>, stiffness_N_per_mm: number): number {
  const turned: TurnedFastener = { ...fastener, prevailing_Nm: 0 };
  assertTurned(turned);
  assertPositive(stiffness_N_per_mm, 'stiffness_N_per_mm');
  return (tighteningArm(turned) * stiffness_N_per_mm * fastener.thread.pitch_mm) / 360 / 1000;
}

interface SettlementShared {
  /** Of the pull that it is gone over with, at the fastener. */
  readonly torque_Nm: number;
  readonly prevailing_Nm?: number;
}

/** A nut that moved, on a joint whose own slope was read on the straight part of its last pass. */
export interface MovedNut extends SettlementShared {
  readonly didNotMove?: false;
  readonly moved_deg: number;
  readonly slope_Nm_per_deg: number;
  /** What the angle may be off by, either way. */
  readonly angleError_deg?: number;
}

/** A nut that did not move at its figure. */
export interface UnmovedNut extends SettlementShared, Omit<TurnedFastener, 'prevailing_Nm'> {
  readonly didNotMove: true;
  /** Static friction over moving. */
  readonly staticRatio: number;
}

export interface Settlement {
  /** Share of the clamp load that was left before it was gone over. */
  readonly remaining: number;
  readonly low: number;
  readonly high: number;
  readonly notes: readonly Note[];
}

const MAX_STATIC_RATIO = 5;

/** A nut whose figure was read as it broke away. */
export interface BrokenAway extends SettlementShared, Omit<TurnedFastener, 'prevailing_Nm'> {
  /** At the fastener. */
  readonly broke_Nm: number;
  /** Whether it was slackened or tightened as it broke away. */
  readonly way: 'loosening' | 'tightening';
  /** Static friction over moving, between which it lies. */
  readonly staticLow: number;
  readonly staticHigh: number;
}

/** What of the torque turns the nut against its clamp load. @throws DomainError bad-field */
function clampingTorque({ torque_Nm, prevailing_Nm = 0 }: SettlementShared): number {
  assertPositive(torque_Nm, 'torque_Nm');
  assertNotNegative(prevailing_Nm, 'prevailing_Nm');
  if (!(torque_Nm > prevailing_Nm))
    throw new DomainError(
      'bad-field',
      `A torque of ${torque_Nm} N·m is no more than the nut turns with by itself, so it says nothing of the clamp load.`,
      'torque_Nm',
    );
  return torque_Nm - prevailing_Nm;
}

const BOUND: Note = {
  code: 'bound-only',
  message:
    'The nut did not move: it holds at least so much of its clamp load, and maybe all of it. That is a bound and no measurement.',
};

/** c/(p + ρ(μt·ct + μh·ch)): a nut that holds less would have moved. @throws DomainError bad-field */
function leastOfUnmoved(nut: UnmovedNut): number {
  clampingTorque(nut);
  const fastener: TurnedFastener = { ...nut, prevailing_Nm: 0 };
  assertTurned(fastener);
  assertWithin(nut.staticRatio, 1, MAX_STATIC_RATIO, 'staticRatio');
  const [arm, lift] = [tighteningArm(fastener), liftArm(nut.thread)];
  return arm / (lift + nut.staticRatio * (arm - lift));
}

/**
 * What was left of a nut's clamp load, from the figure at which it broke away: tightening F1 = (Tb − Tp)/(p + ρf),
 * loosening F1 = (Tb − Tp)/(ρf − p), with f its friction arm, p its lead and ρ static friction over moving.
 * @throws DomainError bad-field; self-loosening where its friction does not hold it
 */
export function settlementByBreakAway(nut: BrokenAway): Settlement {
  const clamping_Nm = clampingTorque(nut);
  const breaking_Nm = clampingTorque({ ...nut, torque_Nm: nut.broke_Nm });
  const fastener: TurnedFastener = { ...nut, prevailing_Nm: 0 };
  assertTurned(fastener);
  assertWithin(nut.staticLow, 1, MAX_STATIC_RATIO, 'staticLow');
  assertWithin(nut.staticHigh, nut.staticLow, MAX_STATIC_RATIO, 'staticHigh');
  const [arm, lift] = [tighteningArm(fastener), liftArm(nut.thread)];
  const sign = nut.way === 'loosening' ? -1 : 1;
  const at = (ratio: number) => {
    const holds = ratio * (arm - lift) + sign * lift;
    if (!(holds > 0))
      throw new DomainError('self-loosening', 'With so little friction it comes loose by itself.', 'muThread');
    return Math.min(1, ((breaking_Nm / clamping_Nm) * arm) / holds);
  };
  return {
    remaining: at(Math.sqrt(nut.staticLow * nut.staticHigh)),
    low: at(nut.staticHigh),
    high: at(nut.staticLow),
    notes: [],
  };
}

/**
 * What was left of a nut's clamp load before it was gone over. From its movement and the joint's own torque–angle slope:
 * F1/F0 = 1 − slope·moved/(T − Tp), with its ends at moved ± error. One that did not move is a bound.
 * @throws DomainError bad-field
 */
export function settlement(nut: MovedNut | UnmovedNut): Settlement {
  if (nut.didNotMove === true) {
    const low = leastOfUnmoved(nut);
    return { remaining: low, low, high: 1, notes: [BOUND] };
  }
  const { moved_deg, slope_Nm_per_deg, angleError_deg = 0 } = nut;
  const clamping_Nm = clampingTorque(nut);
  assertNotNegative(moved_deg, 'moved_deg');
  assertPositive(slope_Nm_per_deg, 'slope_Nm_per_deg');
  assertNotNegative(angleError_deg, 'angleError_deg');
  const at = (deg: number) => Math.min(1, Math.max(0, 1 - (slope_Nm_per_deg * deg) / clamping_Nm));
  return {
    remaining: at(moved_deg),
    low: at(moved_deg + angleError_deg),
    high: at(moved_deg - angleError_deg),
    notes: [],
  };
}
