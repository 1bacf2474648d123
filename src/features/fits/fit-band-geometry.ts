import type { Limits } from '@/core/fits';

/** Shares of the band's width, 0 to 1. */
export interface BandShape {
  /** The hard limits stand at the same place in every band, so that bands beneath one another compare. */
  readonly low: number;
  readonly high: number;
  readonly least: number;
  readonly greatest: number;
  readonly doubtLeft: number;
  readonly doubtRight: number;
  readonly soft?: readonly [number, number];
  readonly target?: number;
  /** True where the figure runs off that end. */
  readonly offLeft: boolean;
  readonly offRight: boolean;
}

const LOW = 0.28;
const HIGH = 0.72;

const within = (share: number) => Math.min(Math.max(share, 0), 1);

interface BandInput {
  readonly least_mm: number;
  readonly greatest_mm: number;
  readonly doubt_mm: number;
  readonly hard: Limits;
  readonly soft?: Limits;
  readonly target_mm?: number;
}

/** Where the parts of a band lie. Limits that fall together are drawn a hundredth of a mm apart. */
export function bandShape({ least_mm, greatest_mm, doubt_mm, hard, soft, target_mm }: BandInput): BandShape {
  const width_mm = Math.max(hard.max_mm - hard.min_mm, 0.01);
  const share = (value_mm: number) => LOW + ((value_mm - hard.min_mm) / width_mm) * (HIGH - LOW);
  const [least, greatest] = [share(least_mm), share(greatest_mm)];
  return {
    low: LOW,
    high: HIGH,
    least: within(least),
    greatest: within(greatest),
    doubtLeft: within(share(least_mm - doubt_mm)),
    doubtRight: within(share(greatest_mm + doubt_mm)),
    ...(soft && { soft: [within(share(soft.min_mm)), within(share(soft.max_mm))] as const }),
    ...(target_mm !== undefined && { target: within(share(target_mm)) }),
    offLeft: least < 0,
    offRight: greatest > 1,
  };
}
