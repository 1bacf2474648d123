import type { HeadMetal } from '@/core/heat';
import type { HousePractice } from '@/model/practice/house-practice';
import type { TorqueUnit } from '@/core/units';

export const ENGINE_KINDS = ['car', 'motorcycle'] as const;
export type EngineKind = (typeof ENGINE_KINDS)[number];

export interface Engine {
  readonly id: string;
  readonly name: string;
  readonly kind: EngineKind;
  readonly year: number | null;
  readonly engineNumber: string;
  readonly headMetal: HeadMetal;
  readonly blockMetal: HeadMetal;
  readonly preferredUnit: TorqueUnit;
  /** Where this engine's practice differs from the shop's. */
  readonly practice: Partial<HousePractice>;
  /** Rises with every change; a writer names the one it read. */
  readonly version: number;
  readonly createdAt: string;
}

/** An engine that is not looked at for now: why, and since when. */
export interface Aside {
  readonly reason: string;
  readonly at: string;
}
